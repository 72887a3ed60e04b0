package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.SizeClass;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.ColorChoice;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Paint;
import yewberry.core.strata.Stratum;

/** One stratum as the interface shows it, from the top text down to the stock. */
public sealed interface StratumView {
    /**
     * @param ratio contrast with what is below it at this point, cut to two decimals
     * @param changesPages how many pages show it, so that editing it changes so many
     * @param chosen why its colour is this one, where it is a legible one
     * @param below what is seen below it here, {@code #rrggbb}
     */
    record TextStratum(
            String text,
            UUID swatch,
            String swatchName,
            String values,
            String screen,
            String origin,
            Owner owner,
            int changesPages,
            UUID frame,
            UUID story,
            UUID paragraph,
            UUID run,
            UUID look,
            String lookName,
            BigDecimal ratio,
            double required,
            boolean passes,
            String sizeReason,
            boolean overprints,
            double tint,
            Optional<String> chosen,
            String below)
            implements StratumView {}

    /**
     * What is written in the page of a file.
     *
     * @param ratio contrast with what is below it at this point, cut to two decimals
     * @param file the page of the file
     * @param mixed the exact colour
     * @param below what is seen below it here, {@code #rrggbb}
     * @param run what its mends go by
     */
    record FileTextStratum(
            UUID run,
            String text,
            String values,
            String screen,
            String origin,
            Owner owner,
            Optional<Imported> file,
            String face,
            Color mixed,
            BigDecimal ratio,
            double required,
            boolean passes,
            String sizeReason,
            String below)
            implements StratumView {}

    /**
     * @param mixed the exact colour here, where the area is not one swatch that covers
     * @param asset that is placed
     * @param ppi pixels per inch of a picture as it lies on the page
     */
    record FillStratum(
            UUID background,
            Optional<UUID> swatch,
            String swatchName,
            String values,
            String screen,
            String origin,
            Owner owner,
            int changesPages,
            String bleed,
            double tint,
            String goesTo,
            Optional<Color> mixed,
            Optional<UUID> asset,
            Optional<Double> ppi)
            implements StratumView {}

    /** The line around letters. */
    record StrokeStratum(
            UUID look,
            String lookName,
            UUID swatch,
            String swatchName,
            String values,
            String screen,
            String origin,
            Owner owner,
            int changesPages,
            double tint)
            implements StratumView {}

    /**
     * A shading, a border or a highlight.
     *
     * @param look that says it
     * @param where it lies on the page; nothing where its frame is rotated
     * @param own whether the paragraph says it itself, in place of its look
     * @param mixed the exact colour here, where it is not one swatch that covers
     */
    record BehindTextStratum(
            Item.TextFill.Kind behind,
            String words,
            UUID paragraph,
            UUID look,
            String lookName,
            Optional<UUID> swatch,
            String swatchName,
            String values,
            String screen,
            String origin,
            Owner owner,
            int changesPages,
            double tint,
            Optional<Color> mixed,
            Optional<Extent> where,
            UUID story,
            boolean own)
            implements StratumView {}

    /**
     * A picture or a word in front of the backgrounds.
     *
     * @param kind whether it is content or a running item, in words
     * @param name of its file, or its word
     * @param mixed the exact colour here, where it is not one swatch that covers
     * @param ppi pixels per inch of a picture as it lies on the page
     */
    record FrontStratum(
            UUID frame,
            String kind,
            String name,
            PictureFrame.Level level,
            String meaning,
            Optional<UUID> swatch,
            String values,
            String screen,
            String origin,
            Owner owner,
            int changesPages,
            double tint,
            String goesTo,
            Optional<Color> mixed,
            Optional<UUID> asset,
            Optional<Double> ppi)
            implements StratumView {}

    record StockStratum(String screen, String note) implements StratumView {}

    /**
     * Everything through one point of a page.
     *
     * @param totalInk what the press would put there, all inks together, in percent
     * @param inkLimit of the press condition, in percent
     */
    record PointStrata(
            UUID page,
            int number,
            double x,
            double y,
            List<StratumView> strata,
            double totalInk,
            double inkLimit) {
        /** What is found through a point of a page. */
        public static PointStrata of(
                UUID page,
                double x,
                double y,
                List<Stratum> strata,
                Publication publication,
                PressCondition press) {
            double total = strata.getFirst().inked().map(press::totalInk).orElse(0.0);
            return new PointStrata(
                    page,
                    publication.indexOf(page) + 1,
                    x,
                    y,
                    strata.stream().map(stratum -> StratumView.of(stratum, publication)).toList(),
                    Math.rint(total),
                    press.inkLimit());
        }
    }

    static StratumView of(Stratum stratum, Publication publication) {
        return switch (stratum) {
            case Stratum.Text text ->
                    text.run().isInFile() ? inFile(text, publication) : text(text, publication);
            case Stratum.Fill fill -> fill(fill, publication);
            case Stratum.BehindText behind -> behind(behind, publication);
            case Stratum.Stroke stroke -> stroke(stroke, publication);
            case Stratum.Front front -> front(front, publication);
            case Stratum.Stock stock ->
                    new StockStratum(
                            stock.screen().hex(),
                            "The paper; where nothing covers it, it counts as white");
        };
    }

    private static StratumView fill(Stratum.Fill stratum, Publication publication) {
        Item.AreaFill fill = stratum.fill();
        Optional<Paint> first = fill.paints().stream().findFirst();
        Optional<AreaPaint.Picture> picture =
                fill.paint() instanceof AreaPaint.Picture placed
                        ? Optional.of(placed)
                        : Optional.empty();
        String values =
                fill.solid()
                        .map(paint -> paint.defined().toString())
                        .orElseGet(() -> "%s here".formatted(tenths(stratum.result())));
        return new FillStratum(
                fill.background(),
                first.flatMap(Paint::swatch),
                fill.inWords(),
                values,
                stratum.screen().hex(),
                fill.origin().inWords(),
                fill.origin().owner(),
                pages(fill.origin(), publication),
                bleed(stratum.bleeds()),
                first.map(Paint::tint).orElse(100.0),
                goesTo(fill.goesTo(), stratum.shown()),
                fill.solid().isPresent() ? Optional.empty() : Optional.of(stratum.result()),
                picture.map(placed -> placed.asset().id()),
                picture.filter(placed -> placed.ppi().isPresent())
                        .map(placed -> Math.rint(placed.ppi().getAsDouble())));
    }

    private static StratumView front(Stratum.Front stratum, Publication publication) {
        Item.FrontFill fill = stratum.fill();
        Optional<Paint> first = fill.paints().stream().findFirst();
        Optional<AreaPaint.Picture> picture =
                fill.paint() instanceof AreaPaint.Picture placed
                        ? Optional.of(placed)
                        : Optional.empty();
        return new FrontStratum(
                fill.element(),
                fill.kind(),
                fill.named(),
                fill.source().level(),
                fill.isImported() ? "As it came" : meaning(fill.source()),
                first.flatMap(Paint::swatch),
                fill.solid()
                        .map(paint -> paint.defined().toString())
                        .orElseGet(() -> "%s here".formatted(tenths(stratum.result()))),
                stratum.screen().hex(),
                fill.origin().inWords(),
                fill.origin().owner(),
                pages(fill.origin(), publication),
                first.map(Paint::tint).orElse(100.0),
                goesTo(fill.goesTo(), stratum.shown()),
                fill.solid().isPresent() ? Optional.empty() : Optional.of(stratum.result()),
                picture.map(placed -> placed.asset().id()),
                picture.filter(placed -> placed.ppi().isPresent())
                        .map(placed -> Math.rint(placed.ppi().getAsDouble())));
    }

    private static String meaning(PictureFrame frame) {
        if (!frame.isRead()) {
            return "Decoration";
        }
        return frame.meaning().isOpen()
                ? "No alternative text yet"
                : "Alternative text: " + frame.meaning().text();
    }

    private static StratumView behind(Stratum.BehindText stratum, Publication publication) {
        Item.TextFill fill = stratum.fill();
        Story story =
                publication.story(
                        publication
                                .frame(new Story.Link(fill.origin().owner(), fill.textFrame()))
                                .story());
        Optional<Paint> first = fill.paints().stream().findFirst();
        return new BehindTextStratum(
                fill.kind(),
                fill.kind().inWords(),
                fill.paragraph(),
                fill.look(),
                fill.lookName(),
                first.flatMap(Paint::swatch),
                fill.inWords(),
                fill.solid()
                        .map(paint -> paint.defined().toString())
                        .orElseGet(() -> "%s here".formatted(tenths(stratum.result()))),
                stratum.screen().hex(),
                fill.origin().inWords(),
                fill.origin().owner(),
                pages(fill.origin(), publication),
                first.map(Paint::tint).orElse(100.0),
                fill.solid().isPresent() ? Optional.empty() : Optional.of(stratum.result()),
                fill.turn().isNone()
                        ? Optional.of(Extent.of(fill.form().bounds()))
                        : Optional.empty(),
                story.id(),
                story.paragraphs().find(fill.paragraph()).flatMap(Paragraph::panel).isPresent());
    }

    private static Color tenths(Color color) {
        return color instanceof Cmyk ink
                ? new Cmyk(
                        Math.rint(ink.cyan() * 10) / 10,
                        Math.rint(ink.magenta() * 10) / 10,
                        Math.rint(ink.yellow() * 10) / 10,
                        Math.rint(ink.black() * 10) / 10)
                : color;
    }

    private static String goesTo(Background.GoesTo to, boolean shown) {
        String where =
                to.screen()
                        ? to.paper() ? "On screen and paper" : "On screen only, not printed"
                        : to.paper() ? "On paper only" : "Switched off";
        return shown ? where : where + "; not in this viewing";
    }

    private static StratumView text(Stratum.Text text, Publication publication) {
        Item.GlyphRun run = text.run();
        Demand demand = Demand.of(publication.setup());
        SizeClass sizeClass = SizeClass.of(run.type());
        double required = demand.required(sizeClass.large());
        return new TextStratum(
                run.text(),
                run.paint().swatch().orElseThrow(),
                run.paint().inWords(),
                run.paint().defined().toString(),
                text.screen().hex(),
                run.origin().inWords(),
                run.origin().owner(),
                pages(run.origin(), publication),
                run.frame(),
                publication.frame(new Story.Link(run.origin().owner(), run.frame())).story(),
                run.paragraph(),
                run.run(),
                run.look().id(),
                looks(run, publication),
                Contrast.cut(text.ratio()),
                required,
                text.ratio() >= required,
                sizeClass.reason(),
                run.paint().overprints(),
                run.paint().tint(),
                run.choice().map(ColorChoice::inWords),
                text.below().hex());
    }

    /** What text wears, in words, and whether it differs from that. */
    private static String looks(Item.GlyphRun run, Publication publication) {
        Optional<Run> words = publication.findRun(run.run());
        Optional<String> characters =
                words.flatMap(Run::look).map(each -> publication.characterLook(each).name());
        boolean differs =
                words.flatMap(Run::local).isPresent()
                        || !publication.look(run.look().id()).equals(run.look());
        return Stream.of(
                        Optional.of(run.look().name()),
                        characters,
                        differs ? Optional.of("with local differences") : Optional.<String>empty())
                .flatMap(Optional::stream)
                .collect(Collectors.joining(", "));
    }

    private static StratumView inFile(Stratum.Text text, Publication publication) {
        Item.GlyphRun run = text.run();
        SizeClass sizeClass = SizeClass.of(run.type());
        double required = Demand.of(publication.setup()).required(sizeClass.large());
        return new FileTextStratum(
                run.run(),
                run.text(),
                run.paint().color().toString(),
                text.screen().hex(),
                run.origin().inWords(),
                run.origin().owner(),
                publication.page(run.origin().owner().id()).imported(),
                run.face().inWords(),
                run.paint().color(),
                Contrast.cut(text.ratio()),
                required,
                text.ratio() >= required,
                sizeClass.reason(),
                text.below().hex());
    }

    private static StratumView stroke(Stratum.Stroke stroke, Publication publication) {
        Item.GlyphStroke line = stroke.stroke();
        return new StrokeStratum(
                line.letters().look().id(),
                line.letters().look().name(),
                line.paint().swatch().orElseThrow(),
                line.paint().inWords(),
                line.paint().defined().toString(),
                stroke.screen().hex(),
                line.origin().inWords(),
                line.origin().owner(),
                pages(line.origin(), publication),
                line.paint().tint());
    }

    private static int pages(Origin origin, Publication publication) {
        return switch (origin) {
            case Origin.FromPage _, Origin.FromFile _, Origin.FromAnnotation _ -> 1;
            case Origin.FromParent parent -> publication.pagesWith(parent.parent());
        };
    }

    private static String bleed(Set<Edge> edges) {
        return switch (edges.size()) {
            case 0 -> "Ends inside the page";
            case 4 -> "Reaches the bleed on all sides";
            default ->
                    "Reaches the bleed at the "
                            + edges.stream()
                                    .map(edge -> edge.name().toLowerCase(java.util.Locale.ROOT))
                                    .reduce((a, b) -> a + ", " + b)
                                    .orElseThrow();
        };
    }
}
