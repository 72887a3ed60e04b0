package yewberry.core.picture;

import java.awt.image.BufferedImage;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;

/** A placed picture by itself, as a screen shows it. */
public final class PlacedPicture {
    private PlacedPicture() {}

    /**
     * @param image on the medium of the view
     * @return of type {@code TYPE_INT_ARGB}, as large as the picture
     */
    public static BufferedImage of(PlaneImage image, View view) {
        byte[] screen = new byte[image.width() * image.height() * 3];
        switch (view.medium()) {
            case PAPER -> view.table().convert(image.samples(), screen);
            case SCREEN -> {
                for (int i = 0; i < screen.length; i++) {
                    screen[i] = (byte) ~image.samples()[i];
                }
            }
        }
        BufferedImage picture =
                new BufferedImage(image.width(), image.height(), BufferedImage.TYPE_INT_ARGB);
        for (int y = 0; y < image.height(); y++) {
            for (int x = 0; x < image.width(); x++) {
                int at = (y * image.width() + x) * 3;
                Rgb seen =
                        view.shifted(
                                new Rgb(
                                        screen[at] & 0xff,
                                        screen[at + 1] & 0xff,
                                        screen[at + 2] & 0xff));
                int alpha = (int) Math.round(image.alpha(x, y) * 255);
                picture.setRGB(
                        x, y, alpha << 24 | seen.red() << 16 | seen.green() << 8 | seen.blue());
            }
        }
        return picture;
    }
}
