package yewberry.server.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Random;
import javax.imageio.ImageIO;

/** The pictures of the demo, made of noise and simple shapes. */
final class DemoPictures {
    private static final int CELL = 256;

    private final Random random = new Random(20_261_001);
    private final double[][] noise = new double[CELL][CELL];

    private DemoPictures() {
        for (double[] row : noise) {
            for (int i = 0; i < CELL; i++) {
                row[i] = random.nextDouble();
            }
        }
    }

    /**
     * The milky way above the marsh, as a JPEG file: calm and dark in its upper half, where a title
     * stands.
     *
     * @param width pixels
     * @param height pixels
     */
    static byte[] milkyWay(int width, int height) {
        return new DemoPictures().sky(width, height);
    }

    private byte[] sky(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, color((double) x / width, (double) y / height));
            }
        }
        Graphics2D graphics = graphics(image);
        stars(graphics, width, height);
        marsh(graphics, width, height);
        graphics.dispose();
        return file(image, "jpeg");
    }

    /** Dark blue overhead, a band of light across, a last glow at the horizon. */
    private int color(double x, double y) {
        double across = y - 0.62 - 0.28 * (0.5 - x);
        double cloud = cloud(x * 5, y * 7);
        double band = Math.exp(-across * across / 0.012) * (0.35 + 0.9 * cloud);
        double lane = Math.exp(-Math.pow(across + 0.02 * cloud, 2) / 0.0011) * cloud;
        double light = Math.max(0, band - 0.8 * lane) * 0.55;
        double glow = Math.exp(-(0.93 - y) * 16);
        double red = 14 + 120 * light + 150 * Math.min(1, glow);
        double green = 22 + 118 * light + 96 * Math.min(1, glow);
        double blue = 46 + 128 * light + 74 * Math.min(1, glow);
        double grain = (noise[(int) (y * 9973) & 255][(int) (x * 7919) & 255] - 0.5) * 3;
        return level(red + grain) << 16 | level(green + grain) << 8 | level(blue + grain);
    }

    private static int level(double value) {
        return Math.clamp(Math.round(value), 0, 255);
    }

    /** Five octaves of smoothed noise, 0 to 1. */
    private double cloud(double x, double y) {
        double sum = 0;
        double part = 0.5;
        double scale = 1;
        for (int octave = 0; octave < 5; octave++) {
            sum += part * smooth(x * scale, y * scale);
            part /= 2;
            scale *= 2.03;
        }
        return sum;
    }

    private double smooth(double x, double y) {
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double u = ease(x - left);
        double v = ease(y - top);
        double upper = at(left, top) * (1 - u) + at(left + 1, top) * u;
        double lower = at(left, top + 1) * (1 - u) + at(left + 1, top + 1) * u;
        return upper * (1 - v) + lower * v;
    }

    private static double ease(double part) {
        return part * part * (3 - 2 * part);
    }

    private double at(int x, int y) {
        return noise[y & CELL - 1][x & CELL - 1];
    }

    /** Faint above the middle, brighter and more of them towards the band. */
    private void stars(Graphics2D graphics, int width, int height) {
        int count = 1400;
        for (int i = 0; i < count; i++) {
            double x = random.nextDouble();
            double y = Math.pow(random.nextDouble(), 0.6) * 0.9;
            double lower = Math.clamp((y - 0.45) / 0.15, 0, 1);
            double bright = (0.16 + 0.84 * lower) * Math.pow(random.nextDouble(), 2.2);
            double size = (0.4 + 1.5 * bright) * width / 1000;
            int alpha = (int) (40 + 215 * bright);
            graphics.setColor(new Color(236, 238, 250, y < 0.45 ? Math.min(alpha, 70) : alpha));
            graphics.fill(new Ellipse2D.Double(x * width, y * height, size, size));
        }
    }

    /** Reeds and the dome of the observatory before the sky. */
    private void marsh(Graphics2D graphics, int width, int height) {
        graphics.setColor(new Color(6, 10, 18));
        Path2D ground = new Path2D.Double();
        ground.moveTo(0, height);
        for (int i = 0; i <= 60; i++) {
            double x = i / 60.0;
            ground.lineTo(x * width, height * (0.925 + 0.02 * smooth(x * 9, 3)));
        }
        ground.lineTo(width, height);
        ground.closePath();
        graphics.fill(ground);
        graphics.setStroke(new BasicStroke(width / 900f));
        for (int i = 0; i < 420; i++) {
            double x = random.nextDouble() * width;
            double foot = height * (0.945 + 0.05 * random.nextDouble());
            double high = height * (0.02 + 0.035 * random.nextDouble());
            double lean = (random.nextDouble() - 0.4) * high * 0.5;
            graphics.draw(new Line2D.Double(x, foot, x + lean, foot - high));
        }
        double unit = width / 14.0;
        double left = width * 0.68;
        double base = height * 0.94;
        graphics.fill(new Rectangle2D.Double(left, base - unit, 2 * unit, unit));
        graphics.fill(
                new Arc2D.Double(left, base - 2 * unit, 2 * unit, 2 * unit, 0, 180, Arc2D.PIE));
    }

    /**
     * The mark of the observatory on a white box, as a PNG file.
     *
     * @param side pixels
     */
    static byte[] mark(int side) {
        BufferedImage image = new BufferedImage(side, side, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = graphics(image);
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, side, side);
        double unit = side / 10.0;
        graphics.setColor(new Color(0x24, 0x5a, 0x8c));
        graphics.fill(
                new Arc2D.Double(2 * unit, 2.2 * unit, 6 * unit, 6 * unit, 0, 180, Arc2D.PIE));
        graphics.fill(new Rectangle2D.Double(2 * unit, 5.6 * unit, 6 * unit, 0.8 * unit));
        graphics.setColor(new Color(0xe0, 0x8a, 0x2e));
        graphics.setStroke(
                new BasicStroke(
                        (float) (0.5 * unit), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        for (int i = 0; i < 3; i++) {
            double y = (7.1 + 0.8 * i) * unit;
            Path2D wave = new Path2D.Double();
            wave.moveTo((1.6 + 0.5 * i) * unit, y);
            wave.curveTo(
                    4 * unit, y - 0.7 * unit, 6 * unit, y + 0.7 * unit, (8.4 - 0.5 * i) * unit, y);
            graphics.draw(wave);
        }
        graphics.setColor(Color.WHITE);
        graphics.fill(new Rectangle2D.Double(4.7 * unit, 2 * unit, 0.6 * unit, 2.4 * unit));
        graphics.dispose();
        return file(image, "png");
    }

    private static Graphics2D graphics(BufferedImage image) {
        Graphics2D graphics = image.createGraphics();
        graphics.setRenderingHint(
                RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(
                RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        return graphics;
    }

    private static byte[] file(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
