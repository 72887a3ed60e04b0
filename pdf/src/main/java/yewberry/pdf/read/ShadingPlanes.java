package yewberry.pdf.read;

import java.awt.Graphics2D;
import java.awt.Paint;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType1;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;
import org.apache.pdfbox.util.Matrix;

/** The planes of a shading at the pixels of a raster: ISO 32000-1, 8.7.4.5. */
interface ShadingPlanes {
    /** Entries of the table that colours along the way are looked up in. */
    int STEPS = 8192;

    /**
     * @return how much of the pixel it covers: all, or nothing where the shading does not go
     */
    double at(int x, int y, double[] planes);

    /**
     * @param toPixels from the space of the shading to pixels
     * @param ground whether its background is painted where it does not go, as in a pattern
     */
    static ShadingPlanes of(
            PDShading shading,
            DeviceColors colors,
            AffineTransform toPixels,
            int width,
            int height,
            boolean ground)
            throws IOException {
        AffineTransform back;
        try {
            back = toPixels.createInverse();
        } catch (NoninvertibleTransformException flat) {
            return (x, y, planes) -> 0;
        }
        double[] behind =
                ground && shading.getBackground() != null
                        ? colors.of(shading.getColorSpace(), shading.getBackground().toFloatArray())
                                .planes()
                        : null;
        return switch (shading) {
            case PDShadingType2 along -> along(along, colors, back, behind);
            case PDShadingType1 function -> byFunction(function, colors, back, behind);
            default -> byLight(shading, colors, toPixels, width, height, behind);
        };
    }

    private static double behind(double[] behind, double[] planes) {
        if (behind == null) {
            return 0;
        }
        System.arraycopy(behind, 0, planes, 0, planes.length);
        return 1;
    }

    /** Axial, and radial between two circles. */
    private static ShadingPlanes along(
            PDShadingType2 shading, DeviceColors colors, AffineTransform back, double[] behind)
            throws IOException {
        float[] coords = shading.getCoords().toFloatArray();
        float[] domain =
                shading.getDomain() == null
                        ? new float[] {0, 1}
                        : shading.getDomain().toFloatArray();
        boolean before = goesOn(shading.getExtend(), 0);
        boolean beyond = goesOn(shading.getExtend(), 1);
        double[][] table = new double[STEPS + 1][];
        for (int i = 0; i <= STEPS; i++) {
            float input = domain[0] + (domain[1] - domain[0]) * i / STEPS;
            table[i] = colors.of(shading.getColorSpace(), shading.evalFunction(input)).planes();
        }
        boolean radial = shading instanceof PDShadingType3;
        Point2D.Double point = new Point2D.Double();
        return (x, y, planes) -> {
            point.setLocation(x + 0.5, y + 0.5);
            back.transform(point, point);
            double way =
                    radial
                            ? radial(coords, point.x, point.y, before, beyond)
                            : axial(coords, point.x, point.y);
            if (Double.isNaN(way) || way < 0 && !before || way > 1 && !beyond) {
                return behind(behind, planes);
            }
            double at = way <= 0 ? 0 : way >= 1 ? STEPS : way * STEPS;
            int low = Math.min(STEPS - 1, (int) at);
            double part = at - low;
            double[] lower = table[low];
            double[] upper = table[low + 1];
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane] = lower[plane] + (upper[plane] - lower[plane]) * part;
            }
            return 1;
        };
    }

    private static boolean goesOn(COSArray extend, int at) {
        return extend != null
                && extend.size() > at
                && extend.getObject(at) instanceof COSBoolean set
                && set.getValue();
    }

    private static double axial(float[] coords, double x, double y) {
        double dx = coords[2] - coords[0];
        double dy = coords[3] - coords[1];
        double length = dx * dx + dy * dy;
        return length == 0 ? Double.NaN : ((x - coords[0]) * dx + (y - coords[1]) * dy) / length;
    }

    /** The greatest way whose circle goes through the point and is there: 8.7.4.5.4. */
    private static double radial(
            float[] coords, double x, double y, boolean before, boolean beyond) {
        double dx = coords[3] - coords[0];
        double dy = coords[4] - coords[1];
        double dr = coords[5] - coords[2];
        double px = x - coords[0];
        double py = y - coords[1];
        double a = dx * dx + dy * dy - dr * dr;
        double b = px * dx + py * dy + coords[2] * dr;
        double c = px * px + py * py - (double) coords[2] * coords[2];
        double[] ways;
        if (Math.abs(a) < 1e-9) {
            ways = b == 0 ? new double[0] : new double[] {c / (2 * b)};
        } else {
            double inner = b * b - a * c;
            if (inner < 0) {
                return Double.NaN;
            }
            double root = Math.sqrt(inner);
            ways = new double[] {(b + root) / a, (b - root) / a};
        }
        double best = Double.NaN;
        for (double way : ways) {
            boolean there = (way >= 0 || before) && (way <= 1 || beyond);
            if (there && coords[2] + way * dr >= 0 && !(best >= way)) {
                best = way;
            }
        }
        return best;
    }

    private static ShadingPlanes byFunction(
            PDShadingType1 shading, DeviceColors colors, AffineTransform back, double[] behind)
            throws IOException {
        AffineTransform toDomain;
        try {
            toDomain = shading.getMatrix().createAffineTransform().createInverse();
        } catch (NoninvertibleTransformException flat) {
            return (x, y, planes) -> 0;
        }
        float[] domain =
                shading.getDomain() == null
                        ? new float[] {0, 1, 0, 1}
                        : shading.getDomain().toFloatArray();
        Point2D.Double point = new Point2D.Double();
        return (x, y, planes) -> {
            point.setLocation(x + 0.5, y + 0.5);
            back.transform(point, point);
            toDomain.transform(point, point);
            if (point.x < domain[0]
                    || point.x > domain[1]
                    || point.y < domain[2]
                    || point.y > domain[3]) {
                return behind(behind, planes);
            }
            try {
                float[] values =
                        shading.evalFunction(new float[] {(float) point.x, (float) point.y});
                double[] of = colors.of(shading.getColorSpace(), values).planes();
                System.arraycopy(of, 0, planes, 0, planes.length);
                return 1;
            } catch (IOException broken) {
                return 0;
            }
        };
    }

    /** Meshes, as PDFBox paints them in light. */
    private static ShadingPlanes byLight(
            PDShading shading,
            DeviceColors colors,
            AffineTransform toPixels,
            int width,
            int height,
            double[] behind)
            throws IOException {
        Paint paint = shading.toPaint(new Matrix());
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setTransform(toPixels);
        graphics.setPaint(paint);
        try {
            graphics.fill(
                    toPixels.createInverse()
                            .createTransformedShape(new java.awt.Rectangle(0, 0, width, height)));
        } catch (NoninvertibleTransformException flat) {
            throw new IllegalStateException(flat);
        } finally {
            graphics.dispose();
        }
        return (x, y, planes) -> {
            int pixel = image.getRGB(x, y);
            if (pixel >>> 24 == 0) {
                return behind(behind, planes);
            }
            try {
                double[] of =
                        colors.of(
                                        PDDeviceRGB.INSTANCE,
                                        new float[] {
                                            (pixel >> 16 & 0xff) / 255f,
                                            (pixel >> 8 & 0xff) / 255f,
                                            (pixel & 0xff) / 255f
                                        })
                                .planes();
                System.arraycopy(of, 0, planes, 0, planes.length);
                return 1;
            } catch (IOException never) {
                return 0;
            }
        };
    }
}
