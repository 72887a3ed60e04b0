package yewberry.pdf.read;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.PlaneImageCache;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Medium;

/** Images of one file as they were read last, up to a bound in memory. Not thread-safe. */
public final class ImageCache {
    /** Of all memory: several of these are in use at once. */
    private static final int PART = 24;

    private final PlaneImageCache<Key> known = PlaneImageCache.ofMemory(PART);

    private record Key(
            COSDictionary image, Medium medium, int planes, int factor, List<Recoloring> changes) {}

    /**
     * @param at its middle, in points from the top left of the page as it is seen
     * @param wanted pixels across that it is wanted in
     * @throws IOException if it cannot be decoded
     */
    PlaneImage get(PDImage image, DeviceColors colors, Point2D at, int wanted) throws IOException {
        int factor = PlaneImage.factor(image.getWidth(), wanted);
        RecoloredPictures recolored = new RecoloredPictures(colors, COSStream::new);
        List<Recoloring> changes = recolored.changes(image, at);
        Key key = new Key(image.getCOSObject(), colors.medium(), colors.count(), factor, changes);
        PlaneImage found = known.get(key);
        if (found == null) {
            PDImage shown = image;
            Optional<COSStream> changed =
                    changes.isEmpty() ? Optional.empty() : recolored.of(image, at);
            if (changed.isPresent()) {
                shown = new PDImageXObject(new PDStream(changed.get()), null);
            }
            found = new ImageReader(colors).read(shown).reduced(factor);
            if (image instanceof PDImageXObject) {
                known.put(key, found);
            }
        }
        return found;
    }
}
