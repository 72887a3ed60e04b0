package yewberry.core.picture;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.List;
import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Inks;
import yewberry.core.color.Rgb;
import yewberry.core.color.ScreenTable;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.scene.InkPlanes;
import yewberry.core.scene.Item;
import yewberry.core.scene.Medium;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * Paints a page in press colour, plate by plate, pixel by pixel: opacities, blend modes, gradients
 * and overprint as a press would have them, turned into screen colour at the end.
 */
public final class PressRaster {
    private final PageScene scene;
    private final View view;
    private final Rect region;
    private final double scale;
    private final int width;
    private final int height;
    private final InkPlanes planes;
    private final float[][] ink;
    private final float[] alpha;
    private final double[] pixel;
    private final double[] over;

    private PressRaster(PageScene scene, View view, Rect region, double ppi) {
        this.scene = scene.on(Medium.of(view.viewing()));
        this.view = view;
        this.region = region;
        this.scale = ppi / 72;
        // what binary fractions add to a whole number of pixels must not make one more
        this.width = (int) Math.ceil(region.width() * scale - 1e-6);
        this.height = (int) Math.ceil(region.height() * scale - 1e-6);
        this.planes = InkPlanes.of(scene, view.condition());
        this.ink = new float[planes.count()][width * height];
        this.alpha = new float[width * height];
        this.pixel = new double[planes.count()];
        this.over = new double[planes.count()];
    }

    /**
     * A part of a page, areas and text.
     *
     * @param region in the space of the page; sides are rounded up to whole pixels
     * @param ppi pixels per inch
     */
    public static BufferedImage page(PageScene scene, View view, Rect region, double ppi) {
        PressRaster raster = new PressRaster(scene, view, region, ppi);
        raster.areas();
        raster.scene.text().forEach(raster::text);
        return raster.screen();
    }

    /** The same without text. */
    public static BufferedImage areas(PageScene scene, View view, Rect region, double ppi) {
        PressRaster raster = new PressRaster(scene, view, region, ppi);
        raster.areas();
        return raster.screen();
    }

    /**
     * What all areas and a colour that is printed over them come to.
     *
     * @param paint that overprints, everywhere
     */
    public static BufferedImage overprinted(
            PageScene scene, Paint paint, View view, Rect region, double ppi) {
        PressRaster raster = new PressRaster(scene, view, region, ppi);
        raster.areas();
        double[] source = raster.planes.of(paint.color());
        for (int at = 0; at < raster.alpha.length; at++) {
            raster.overprint(at, source, 1);
        }
        return raster.screen();
    }

    private void areas() {
        scene.areas().forEach(this::area);
    }

    private void area(Item.AreaFill fill) {
        Rect rect = fill.rect().intersection(scene.boxes().bleed());
        double[] columns = coverage(rect.x() - region.x(), rect.width(), width);
        double[] rows = coverage(rect.y() - region.y(), rect.height(), height);
        Painted.Source source = Painted.source(fill, planes, scale * 72);
        for (int row = 0; row < height; row++) {
            if (rows[row] == 0) {
                continue;
            }
            double y = region.y() + (row + 0.5) / scale;
            for (int column = 0; column < width; column++) {
                if (columns[column] > 0) {
                    double x = region.x() + (column + 0.5) / scale;
                    double covered = columns[column] * rows[row] * source.alpha(x, y);
                    paint(row * width + column, source.ink(x, y), covered, fill.blend());
                }
            }
        }
    }

    /** How much of each pixel in one direction lies within a stretch given in points. */
    private double[] coverage(double from, double length, int pixels) {
        double start = from * scale;
        double end = (from + length) * scale;
        double[] covered = new double[pixels];
        for (int i = Math.max(0, (int) Math.floor(start)); i < pixels && i < end; i++) {
            covered[i] = Math.clamp(Math.min(i + 1, end) - Math.max(i, start), 0, 1);
        }
        return covered;
    }

    private void paint(int at, double[] source, double covered, BlendMode mode) {
        if (covered <= 0) {
            return;
        }
        if (covered == 1 && mode == BlendMode.NORMAL) {
            alpha[at] = 1;
            for (int plane = 0; plane < source.length; plane++) {
                ink[plane][at] = (float) source[plane];
            }
            return;
        }
        for (int plane = 0; plane < pixel.length; plane++) {
            pixel[plane] = ink[plane][at];
        }
        alpha[at] = (float) Blend.ink(pixel, alpha[at], source, covered, mode);
        for (int plane = 0; plane < pixel.length; plane++) {
            ink[plane][at] = (float) pixel[plane];
        }
    }

    private void text(Item.GlyphRun run) {
        BufferedImage mask = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D graphics = mask.createGraphics();
        graphics.setRenderingHint(
                RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(
                RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.setColor(Color.WHITE);
        for (Item.Line line : run.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
                place.translate(
                        line.x() + glyph.x() - region.x(),
                        line.baseline() + glyph.y() - region.y());
                place.scale(run.scale(), run.scale());
                graphics.fill(place.createTransformedShape(run.face().outline(glyph.id()).path()));
            }
        }
        graphics.dispose();
        byte[] covered = ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
        double[] source = planes.of(run.paint().color());
        for (int at = 0; at < covered.length; at++) {
            if (covered[at] != 0) {
                double part = (covered[at] & 0xff) / 255.0;
                if (run.paint().overprints()) {
                    overprint(at, source, part);
                } else {
                    paint(at, source, part, BlendMode.NORMAL);
                }
            }
        }
    }

    /** Where the source has no ink, that below stays. */
    private void overprint(int at, double[] source, double part) {
        for (int plane = 0; plane < over.length; plane++) {
            over[plane] = source[plane] > 0 ? source[plane] : ink[plane][at] * alpha[at];
        }
        paint(at, over, part, BlendMode.NORMAL);
    }

    private BufferedImage screen() {
        byte[] process = new byte[width * height * 4];
        double[][] equivalents = equivalents();
        double[] sum = new double[4];
        for (int at = 0; at < alpha.length; at++) {
            for (int plate = 0; plate < 4; plate++) {
                sum[plate] = ink[plate][at];
                for (int spot = 0; spot < equivalents.length; spot++) {
                    sum[plate] += ink[4 + spot][at] * equivalents[spot][plate];
                }
                process[at * 4 + plate] =
                        (byte) Math.round(Math.min(1, sum[plate] * alpha[at]) * 255);
            }
        }
        byte[] rgb = new byte[width * height * 3];
        table().convert(process, rgb);
        return image(rgb);
    }

    private ScreenTable table() {
        return view.viewing() == Viewing.ON_PRESS
                ? view.condition().proofTable(view.stock())
                : view.condition().screenTable();
    }

    /** What stands for each spot ink in process ink. */
    private double[][] equivalents() {
        List<Inks.Spot> spots = planes.spots();
        double[][] equivalents = new double[spots.size()][];
        for (int i = 0; i < equivalents.length; i++) {
            Cmyk of = view.condition().toInk(spots.get(i).equivalent());
            equivalents[i] =
                    new double[] {
                        of.cyan() / 100, of.magenta() / 100, of.yellow() / 100, of.black() / 100
                    };
        }
        return equivalents;
    }

    private BufferedImage image(byte[] rgb) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int[] row = new int[width];
        boolean shifts = view.shifts();
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int at = (y * width + x) * 3;
                row[x] = (rgb[at] & 0xff) << 16 | (rgb[at + 1] & 0xff) << 8 | rgb[at + 2] & 0xff;
                if (shifts) {
                    Rgb seen =
                            view.shifted(new Rgb(row[x] >> 16, row[x] >> 8 & 0xff, row[x] & 0xff));
                    row[x] = seen.red() << 16 | seen.green() << 8 | seen.blue();
                }
            }
            image.setRGB(0, y, width, 1, row, 0, width);
        }
        return image;
    }
}
