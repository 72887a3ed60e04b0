package yewberry.pdf.read;

import yewberry.core.raster.PlaneRaster;

/** The planes at a pixel, and how much of it is there. */
interface Ink {
    /**
     * @return 0 to 1; nothing, or less, where it does not paint
     */
    double at(int x, int y, double[] planes);

    /** Its planes where it is all there everywhere, and the same; null where it is not. */
    default double[] everywhere() {
        return null;
    }

    /** One colour everywhere. */
    record Flat(double[] everywhere) implements Ink {
        @Override
        public double at(int x, int y, double[] planes) {
            System.arraycopy(everywhere, 0, planes, 0, planes.length);
            return 1;
        }
    }

    static Ink flat(DeviceColors.Inked inked) {
        return new Flat(inked.planes());
    }

    /** What was painted before, pixel for pixel. */
    static Ink of(PlaneRaster raster) {
        return (x, y, planes) -> pixel(raster, y * raster.width() + x, planes);
    }

    /** The planes of a pixel that was painted before, and how much of it is there. */
    static double pixel(PlaneRaster raster, int at, double[] planes) {
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane] = raster.plane(plane, at);
        }
        return raster.alpha(at);
    }
}
