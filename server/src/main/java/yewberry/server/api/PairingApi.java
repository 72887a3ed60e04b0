package yewberry.server.api;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.color.WrittenColor;
import yewberry.core.findings.Exemptions;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.Pairings;
import yewberry.core.mends.SwatchMend;
import yewberry.core.publication.Level;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.PairMatrix;
import yewberry.server.view.PairMend;
import yewberry.server.view.TypedPair;

/** Every text colour against every background colour. */
@RestController
@RequestMapping("/api/publications/{id}/pairings")
class PairingApi {
    /** So long it is looked for what else comes of mends; who asks is waiting. */
    private static final Duration TRYING = Duration.ofSeconds(4);

    private final Publications publications;

    PairingApi(Publications publications) {
        this.publications = publications;
    }

    @GetMapping
    PairMatrix matrix(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "AA") Level level,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing,
            @RequestParam(defaultValue = "false") boolean unused) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, viewing);
        List<PageScene> scenes = open.composer(publication).composeAll(publication);
        Pairings pairings =
                Pairings.of(
                        scenes,
                        unused ? swatches(publication, open.press(publication)) : List.of(),
                        open.legibility(publication),
                        level,
                        view);
        return PairMatrix.of(
                pairings,
                publication,
                view,
                excepted(publication, scenes, open.legibility(publication)));
    }

    /** The runs that an exception holds for. */
    private static Set<UUID> excepted(
            Publication publication, List<PageScene> scenes, Legibility legibility) {
        if (publication.exemptions().isEmpty()) {
            return Set.of();
        }
        return Exemptions.of(publication)
                .all(publication, scenes.stream().flatMap(each -> legibility.judge(each).stream()))
                .stream()
                .filter(Exemptions.Held::holds)
                .map(each -> each.exemption().run())
                .collect(Collectors.toSet());
    }

    private static List<Paint> swatches(Publication publication, PressCondition press) {
        Palette palette = new Palette(publication::swatch, press);
        return publication.swatches().stream().map(each -> Paint.of(each, palette)).toList();
    }

    /** The ratio of two colours as they are written. */
    @GetMapping("/typed")
    TypedPair typed(
            @PathVariable UUID id,
            @RequestParam String text,
            @RequestParam String backdrop,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        OpenPublication open = publications.get(id);
        Setup setup = open.state().publication().setup();
        return TypedPair.of(
                WrittenColor.read(text),
                WrittenColor.read(backdrop),
                setup,
                open.view(open.state().publication(), viewing),
                ByViewing.views(setup, open.press(open.state().publication())));
    }

    /**
     * The nearest passing changes of either side, each with what else would come of it, as far as
     * that is known in a few seconds.
     */
    @GetMapping("/mends")
    List<PairMend> mends(
            @PathVariable UUID id,
            @RequestParam UUID text,
            @RequestParam(defaultValue = "100") double textTint,
            @RequestParam Optional<UUID> backdrop,
            @RequestParam(defaultValue = "100") double backdropTint,
            @RequestParam double required) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Tinted front = new Tinted(text, textTint);
        Optional<Tinted> behind = backdrop.map(swatch -> new Tinted(swatch, backdropTint));
        List<PairMend> mends = new ArrayList<>();
        long until = System.nanoTime() + TRYING.toNanos();
        Function<SwatchMend, SwatchMend> tried =
                mend ->
                        mend.on(
                                publication,
                                open.composer(publication),
                                open.legibility(publication),
                                System.nanoTime() < until);
        Medium medium = publication.setup().destination().media().getFirst();
        Rgb below = behind.map(use -> seen(publication, use, medium, press)).orElse(Rgb.WHITE);
        SwatchMend.of(front, below, required, medium, publication, press).stream()
                .map(tried)
                .map(mend -> PairMend.of("text", mend, publication))
                .forEach(mends::add);
        behind.stream()
                .flatMap(use ->
                        SwatchMend.of(
                                use,
                                seen(publication, front, medium, press),
                                required,
                                medium,
                                publication,
                                press)
                                .stream())
                .map(tried)
                .map(mend -> PairMend.of("backdrop", mend, publication))
                .forEach(mends::add);
        return mends;
    }

    private static Rgb seen(
            Publication publication, Tinted use, Medium medium, PressCondition press) {
        Color color = new Palette(publication::swatch, press).color(use.swatch());
        return press.seen(Palette.tint(color, use.tint()), medium);
    }
}
