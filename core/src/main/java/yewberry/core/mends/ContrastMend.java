package yewberry.core.mends;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Publication;

/** A way to make text legible. */
public sealed interface ContrastMend extends Mend permits ColorMend, BandMend, Remedy, SwatchMend {
    /** A colour that it brings, as it is seen. */
    Rgb screen();

    /** The least that the text has then. */
    double ratio();

    /** The least that passes then. */
    double required();

    @Override
    default Optional<Seen> seen() {
        return Optional.of(new Seen(screen(), ratio(), required()));
    }

    /**
     * All that is known for a run: colours first, then where a band behind it may end, then the
     * rest. Empty where nothing helps.
     *
     * @param ids for what is new
     */
    static List<ContrastMend> of(
            UUID run,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids) {
        List<ContrastMend> all = new ArrayList<>();
        all.addAll(
                ColorMend.of(
                        run,
                        publication,
                        composer.composeAll(publication),
                        legibility,
                        condition,
                        ids.get()));
        all.addAll(BandMend.of(run, publication, composer, legibility, condition, ids.get()));
        all.addAll(
                Remedy.of(
                        run,
                        EnumSet.allOf(Remedy.Kind.class),
                        publication,
                        composer,
                        legibility,
                        condition,
                        ids));
        return List.copyOf(all);
    }
}
