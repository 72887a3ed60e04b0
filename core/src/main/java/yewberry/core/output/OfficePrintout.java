package yewberry.core.output;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** What comes out of an office printer: its picture, and what cannot be read on it. */
public final class OfficePrintout {
    private final PageScene scene;
    private final OfficePrinter.Job job;
    private final Legibility legibility;
    private final View view;

    public OfficePrintout(
            PageScene scene,
            OfficePrinter.Job job,
            Publication publication,
            PressCondition condition) {
        this.scene = scene;
        this.job = job;
        this.legibility =
                new Legibility(condition, Demand.of(publication.setup()), Destination.SCREEN);
        this.view =
                new View(
                        job.backgrounds() ? Viewing.AS_DESIGNED : Viewing.BACKGROUNDS_OFF,
                        Medium.SCREEN,
                        condition,
                        condition.paper());
    }

    /** Words that come out so that they cannot be read, or not whole. */
    public record Trouble(String words, String why, Rect where) {}

    /** The part of the page that it prints. */
    public Rect printable() {
        Rect trim = scene.boxes().trim();
        OfficePrinter printer = job.printer();
        return trim.inset(
                Length.mm(printer.left()).points(),
                Length.mm(printer.top()).points(),
                Length.mm(printer.right()).points(),
                Length.mm(printer.bottom()).points());
    }

    /** What cannot be read, or is cut off, in the order of the page. */
    public List<Trouble> troubles() {
        List<Trouble> troubles = new ArrayList<>();
        for (RunContrast each : legibility.judge(scene, view)) {
            double least =
                    each.against().stream()
                            .mapToDouble(against ->
                                    Contrast.ratio(
                                            job.printed(against.foreground()),
                                            job.printed(against.color())))
                            .min()
                            .orElse(21);
            if (least < each.required()) {
                troubles.add(
                        new Trouble(
                                each.run().text(),
                                "%.1f : 1 on what is behind it, %.1f : 1 is needed"
                                        .formatted(Math.floor(least * 10) / 10, each.required()),
                                each.run().bounds()));
            }
        }
        Rect printable = printable();
        for (Item.GlyphRun run : scene.text()) {
            if (!printable.contains(run.bounds())) {
                troubles.add(
                        new Trouble(
                                run.text(),
                                "it stands where the printer cannot print",
                                run.bounds()));
            }
        }
        return troubles;
    }

    /**
     * As it comes out, out to the trim.
     *
     * @param ppi pixels per inch
     */
    public BufferedImage picture(double ppi) {
        Rect trim = scene.boxes().trim();
        BufferedImage image = PageRaster.page(scene, view, trim, ppi);
        Rect printable = printable();
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                double px = trim.x() + (x + 0.5) * 72 / ppi;
                double py = trim.y() + (y + 0.5) * 72 / ppi;
                int rgb = image.getRGB(x, y);
                Rgb printed =
                        printable.contains(px, py)
                                ? job.printed(Rgb.of(rgb))
                                : new Rgb(255, 255, 255);
                image.setRGB(
                        x,
                        y,
                        0xff << 24 | printed.red() << 16 | printed.green() << 8 | printed.blue());
            }
        }
        return image;
    }

    /**
     * On which sheet a page comes out, and on which side of it.
     *
     * @param index of the page among those printed, from 0
     */
    public static String sheet(int index, boolean duplex) {
        return duplex
                ? "Sheet %d, %s".formatted(index / 2 + 1, index % 2 == 0 ? "front" : "back")
                : "Sheet %d".formatted(index + 1);
    }
}
