package yewberry.server.api;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.color.WrittenColor;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Pairings;
import yewberry.core.legibility.SwatchMend;
import yewberry.core.publication.Level;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Uses;
import yewberry.core.scene.Item;
import yewberry.core.scene.Paint;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.Extent;

/** Every text colour against every background colour. */
@RestController
@RequestMapping("/api/publications/{id}/pairings")
class PairingApi {
    private final Publications publications;

    PairingApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * @param swatch nothing is the bare stock
     * @param mixed whether it is the worst of many colours, as of a gradient
     */
    record PairSide(
            Optional<UUID> swatch,
            boolean mixed,
            double tint,
            String name,
            String values,
            String screen) {
        static PairSide of(Paint paint, View view) {
            return new PairSide(
                    paint.swatch(),
                    paint.sampled(),
                    paint.tint(),
                    paint.inWords(),
                    paint.defined().toString(),
                    view.see(paint.color()).hex());
        }
    }

    /** The smallest text that is set in a pair. */
    record PairSample(UUID page, String words, Extent where, double size) {}

    /**
     * @param ratio as seen in the viewing, cut to two decimals
     * @param pages numbers of the pages where the pair occurs
     */
    record PairCell(
            int text,
            int ground,
            BigDecimal ratio,
            double required,
            boolean passes,
            List<Integer> pages,
            Optional<PairSample> sample) {}

    record PairMatrix(List<PairSide> texts, List<PairSide> grounds, List<PairCell> cells) {}

    /**
     * A pair of colours that was typed.
     *
     * @param verdict what the ratio is enough for, in words
     */
    record TypedPair(String text, String ground, BigDecimal ratio, String verdict) {}

    /**
     * The nearest passing change of one side.
     *
     * @param name of the swatch that changes: that side's own, or what it derives from
     * @param changes what else has that swatch, in words
     */
    record PairMend(
            String side,
            String name,
            String values,
            String screen,
            BigDecimal ratio,
            List<String> changes,
            Edit edit) {}

    @GetMapping
    PairMatrix matrix(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "AA") Level level,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing,
            @RequestParam(defaultValue = "false") boolean unused) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, viewing);
        Pairings pairings =
                Pairings.of(
                        open.composer(publication).composeAll(publication),
                        unused ? swatches(publication, open.press(publication)) : List.of(),
                        open.legibility(publication),
                        level,
                        view);
        return new PairMatrix(
                pairings.texts().stream().map(paint -> PairSide.of(paint, view)).toList(),
                pairings.grounds().stream()
                        .map(ground ->
                                ground.map(paint -> PairSide.of(paint, view))
                                        .orElseGet(() ->
                                                new PairSide(
                                                        Optional.empty(),
                                                        false,
                                                        100,
                                                        "Bare stock",
                                                        "no ink",
                                                        view.bare().hex())))
                        .toList(),
                pairings.cells().stream().map(cell -> cell(cell, publication)).toList());
    }

    private static List<Paint> swatches(Publication publication, PressCondition press) {
        Palette palette = new Palette(publication::swatch, press);
        return publication.swatches().stream().map(each -> Paint.of(each, palette)).toList();
    }

    private static PairCell cell(Pairings.Cell cell, Publication publication) {
        return new PairCell(
                cell.text(),
                cell.ground(),
                Contrast.cut(cell.ratio()),
                cell.required(),
                cell.passes(),
                cell.occurrences().stream()
                        .map(each -> publication.indexOf(each.scene().page()) + 1)
                        .distinct()
                        .sorted()
                        .toList(),
                cell.occurrences().stream().findFirst().map(PairingApi::sample));
    }

    private static PairSample sample(Pairings.Occurrence occurrence) {
        Item.GlyphRun run = occurrence.run();
        return new PairSample(
                occurrence.scene().page(), run.text(), Extent.of(run.bounds()), run.size());
    }

    /** The ratio of two colours as they are written. */
    @GetMapping("/typed")
    TypedPair typed(
            @PathVariable UUID id,
            @RequestParam String text,
            @RequestParam String ground,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        OpenPublication open = publications.get(id);
        View view = open.view(open.state().publication(), viewing);
        Rgb one = view.see(WrittenColor.read(text));
        Rgb other = view.see(WrittenColor.read(ground));
        double ratio = Contrast.ratio(one, other);
        return new TypedPair(one.hex(), other.hex(), Contrast.cut(ratio), verdict(ratio));
    }

    private static String verdict(double ratio) {
        if (ratio >= Level.AAA.required(false)) {
            return "passes AAA";
        }
        if (ratio >= Level.AA.required(false)) {
            return "passes AA, and AAA where the text is large";
        }
        return ratio >= Level.AA.required(true) ? "passes AA where the text is large" : "fails";
    }

    /** The nearest passing changes of either side. */
    @GetMapping("/mends")
    List<PairMend> mends(
            @PathVariable UUID id,
            @RequestParam UUID text,
            @RequestParam(defaultValue = "100") double textTint,
            @RequestParam Optional<UUID> ground,
            @RequestParam(defaultValue = "100") double groundTint,
            @RequestParam double required) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Tinted front = new Tinted(text, textTint);
        Optional<Tinted> behind = ground.map(swatch -> new Tinted(swatch, groundTint));
        List<PairMend> mends = new ArrayList<>();
        Medium medium = publication.setup().destination().media().getFirst();
        Rgb below = behind.map(use -> seen(publication, use, medium, press)).orElse(Rgb.WHITE);
        SwatchMend.of(front, below, required, medium, publication, press).stream()
                .map(mend -> mend("text", mend, publication))
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
                .map(mend -> mend("ground", mend, publication))
                .forEach(mends::add);
        return mends;
    }

    private static Rgb seen(
            Publication publication, Tinted use, Medium medium, PressCondition press) {
        Color color = new Palette(publication::swatch, press).color(use.swatch());
        return press.seen(Palette.tint(color, use.tint()), medium);
    }

    private static PairMend mend(String side, SwatchMend mend, Publication publication) {
        return new PairMend(
                side,
                mend.swatch().name(),
                values(mend.definition()),
                mend.screen().hex(),
                Contrast.cut(mend.ratio()),
                Uses.where(publication, mend.swatch().id()),
                new Edit.ChangeSwatch(mend.swatch().id(), mend.definition()));
    }

    private static String values(Definition definition) {
        return switch (definition) {
            case Definition.Plain(Color color) -> color.toString();
            case Definition.SpotInk(Color color) -> color.toString();
            case Definition.Tint(UUID base, double percent) ->
                    "%s %% of its base".formatted(Numbers.plain(percent));
            case Definition.Lighter(UUID base, double percent) ->
                    "%s %% lighter than its base".formatted(Numbers.plain(percent));
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    "%s %% of its first colour".formatted(Numbers.plain(percent));
        };
    }
}
