package yewberry.server.api;

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
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.color.WrittenColor;
import yewberry.core.legibility.Pairings;
import yewberry.core.mends.SwatchMend;
import yewberry.core.publication.Level;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
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
        Pairings pairings =
                Pairings.of(
                        open.composer(publication).composeAll(publication),
                        unused ? swatches(publication, open.press(publication)) : List.of(),
                        open.legibility(publication),
                        level,
                        view);
        return PairMatrix.of(pairings, publication, view);
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
        View view = open.view(open.state().publication(), viewing);
        Rgb one = view.see(WrittenColor.read(text));
        Rgb other = view.see(WrittenColor.read(backdrop));
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
            @RequestParam Optional<UUID> backdrop,
            @RequestParam(defaultValue = "100") double backdropTint,
            @RequestParam double required) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PressCondition press = open.press(publication);
        Tinted front = new Tinted(text, textTint);
        Optional<Tinted> behind = backdrop.map(swatch -> new Tinted(swatch, backdropTint));
        List<PairMend> mends = new ArrayList<>();
        Medium medium = publication.setup().destination().media().getFirst();
        Rgb below = behind.map(use -> seen(publication, use, medium, press)).orElse(Rgb.WHITE);
        SwatchMend.of(front, below, required, medium, publication, press).stream()
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
