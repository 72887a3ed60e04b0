package yewberry.core.compose;

import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Sample;
import yewberry.core.asset.Backed;
import yewberry.core.asset.Documents;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.PageEdit;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.Remedy;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;

/** A page of a file with three words, in a publication, and what judges and mends them. */
final class WrittenFile {
    private WrittenFile() {}

    static final PressCondition COATED = PressCondition.coated();

    static final UUID FILE = new UUID(7, 1);

    static final UUID PAGE = new UUID(7, 2);

    static final Owner OWN = new Owner.OnPage(PAGE);

    static final Cmyk PALE = new Cmyk(0, 0, 0, 30);

    static final Cmyk BLACK = new Cmyk(0, 0, 0, 100);

    static final List<PageText.Used> COLORS =
            List.of(
                    new PageText.Used(PageText.Painted.FILLS, Optional.of(Rgb.WHITE), 3, 0),
                    new PageText.Used(PageText.Painted.PICTURES, Optional.empty(), 1, 0));

    static final Cmyk WHITE = new Cmyk(0, 0, 0, 0);

    /** Three words of the size of 10 pt, one below the other, whose letters are boxes. */
    record Written(PageText.Ground ground, Optional<PageText.Ground> annotation, Color color)
            implements Documents {
        Written(PageText.Ground ground, Color color) {
            this(ground, Optional.empty(), color);
        }

        @Override
        public Asset.Document read(KnownFile file) {
            Asset.Leaf leaf = new Asset.Leaf(200, 100, false, List.of());
            return new Asset.Document(List.of(leaf));
        }

        /**
         * Black on the right, nothing on the left; a word lies on both. What lies behind it is all
         * over the page.
         */
        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] samples = new byte[4 * width * height];
            byte[] alpha = new byte[width * height];
            for (int at = 0; at < alpha.length; at++) {
                double there = at % width > width * 0.2 ? 1 : 0;
                double[] inks = {0, 0, 0, there};
                for (Backed each : page.backed()) {
                    double[] over = inks((Cmyk) each.color());
                    double all = there + each.opacity() - there * each.opacity();
                    for (int ink = 0; ink < 4; ink++) {
                        double below = inks[ink] * there * (1 - each.opacity());
                        inks[ink] = (below + over[ink] * each.opacity()) / all;
                    }
                    there = all;
                }
                alpha[at] = (byte) Math.round(255 * there);
                for (int ink = 0; ink < 4; ink++) {
                    samples[4 * at + ink] = (byte) Math.round(255 * inks[ink]);
                }
            }
            return new PlaneImage(width, height, 4, samples, Optional.of(alpha));
        }

        private static double[] inks(Cmyk color) {
            return new double[] {
                color.cyan() / 100, color.magenta() / 100, color.yellow() / 100, color.black() / 100
            };
        }

        private PageText.Ground ground(FilePage page) {
            return page.backed().isEmpty()
                    ? ground
                    : page.backed().getLast().opacity() == 1
                            ? new PageText.Ground.Flat(page.backed().getLast().color())
                            : new PageText.Ground.Mixed(true);
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            Path2D box = new Path2D.Double(new Rectangle2D.Double(50, -700, 500, 700));
            PageText.FileFace face =
                    new PageText.FileFace("Plain", 400, false, 800, 200, Map.of(1, box));
            List<PageText.Glyph> glyphs =
                    List.of(
                            new PageText.Glyph(1, "l", 0),
                            new PageText.Glyph(1, "o", 6),
                            new PageText.Glyph(1, "g", 12));
            PageText.Stretch stretch =
                    new PageText.Stretch(
                            0,
                            0,
                            10,
                            0,
                            30,
                            50,
                            page.recolored().stream()
                                    .findFirst()
                                    .flatMap(Recoloring::to)
                                    .orElse(color),
                            COATED.toScreen(color),
                            false,
                            ground(page),
                            annotation,
                            List.of(new PageText.Line(30, 50, 18, glyphs)));
            return new PageText(
                    List.of(face),
                    List.of(stretch),
                    List.of(),
                    COLORS,
                    annotation.isPresent()
                            ? List.of(new PageText.Place(25, 40, 40, 15))
                            : List.of(),
                    List.of());
        }
    }

    static Publication after(Publication in, Edit... edits) {
        Publication now = in;
        for (Edit edit : edits) {
            now = Editing.edit(now, edit).publication();
        }
        return now;
    }

    static Publication set() {
        Asset.Document content =
                new Written(new PageText.Ground.Bare(), BLACK).read(KnownFile.of(new byte[0]));
        return after(
                Sample.publication(),
                new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", content)),
                new PageEdit.AddImported(
                        FILE, 1, List.of(PAGE), Optional.of(Sample.page(4)), Optional.empty()));
    }

    static Background night(boolean over) {
        return new Background(
                        Sample.id("behind"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(Sample.NIGHT.id())))
                .withOver(over);
    }

    static Composer composer(PageText.Ground ground, Color color) {
        return new Composer(
                COATED, new Pictures(sha256 -> new byte[0], new Written(ground, color)));
    }

    static final Legibility AA = new Legibility(COATED, Level.AA, Destination.PAPER);

    /** The words are those of an annotation. */
    static Composer annotated(PageText.Ground page, PageText.Ground annotation, Color color) {
        Written written = new Written(page, Optional.of(annotation), color);
        return new Composer(COATED, new Pictures(sha256 -> new byte[0], written));
    }

    static RunContrast judged(Publication set, PageText.Ground ground, Color color) {
        PageScene scene = composer(ground, color).compose(set, 4);
        return AA.judge(scene).getFirst();
    }

    static double ratio(Color text, Color ground) {
        double front = luminance(COATED.toScreen(text));
        double back = luminance(COATED.toScreen(ground));
        return (Math.max(front, back) + 0.05) / (Math.min(front, back) + 0.05);
    }

    /** WCAG 2.2, "relative luminance". */
    static double luminance(Rgb rgb) {
        return 0.2126 * linear(rgb.red())
                + 0.7152 * linear(rgb.green())
                + 0.0722 * linear(rgb.blue());
    }

    static double linear(int component) {
        double part = component / 255.0;
        return part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4);
    }

    static Finding.TooLittleContrast contrast(Composer composer, Publication in, int page) {
        return Findings.of(composer.compose(in, page), AA, in.setup(), COATED).stream()
                .filter(Finding.TooLittleContrast.class::isInstance)
                .map(Finding.TooLittleContrast.class::cast)
                .findFirst()
                .orElseThrow();
    }

    static List<Remedy> remedies(Composer composer, Publication in, Remedy.Kind kind) {
        UUID run = AA.judge(composer.compose(in, 4)).getFirst().run().run();
        return Remedy.of(
                run, EnumSet.of(kind), in, composer, AA, COATED, () -> Sample.id("shading"));
    }

    static Backing backing(int page, double opacity) {
        return new Backing(
                Sample.id("backing"),
                page,
                new Box(Length.mm(8), Length.mm(12), Length.mm(20), Length.mm(8)),
                Length.mm(1),
                Tinted.full(Sample.NIGHT.id()),
                opacity);
    }
}
