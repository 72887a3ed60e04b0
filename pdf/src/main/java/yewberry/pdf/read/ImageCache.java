package yewberry.pdf.read;

import java.io.IOException;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.PlaneImageCache;
import yewberry.core.color.Medium;

/** Images of one file as they were read last, up to a bound in memory. Not thread-safe. */
public final class ImageCache {
    /** Of all memory: several of these are in use at once. */
    private static final int PART = 24;

    private final PlaneImageCache<Key> known = PlaneImageCache.ofMemory(PART);

    private record Key(COSDictionary image, Medium medium, int planes, int factor) {}

    /**
     * @param wanted pixels across that it is wanted in
     * @throws IOException if it cannot be decoded
     */
    PlaneImage get(PDImage image, DeviceColors colors, int wanted) throws IOException {
        int factor = PlaneImage.factor(image.getWidth(), wanted);
        Key key = new Key(image.getCOSObject(), colors.medium(), colors.count(), factor);
        PlaneImage found = known.get(key);
        if (found == null) {
            found = new ImageReader(colors).read(image).reduced(factor);
            if (image instanceof PDImageXObject) {
                known.put(key, found);
            }
        }
        return found;
    }
}
