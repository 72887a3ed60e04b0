package yewberry.pdf.read;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.graphics.PDXObject;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentMembershipDictionary;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;

/** What of a page belongs to a layer that is switched off (ISO 32000-1, 8.11). */
final class Layers {
    private final Optional<PDOptionalContentProperties> properties;
    private final Deque<Boolean> sequences = new ArrayDeque<>();
    private int off;

    Layers(Optional<PDOptionalContentProperties> properties) {
        this.properties = properties;
    }

    Optional<PDOptionalContentProperties> properties() {
        return properties;
    }

    /** Whether the operators that come now paint nothing. */
    boolean isOff() {
        return off > 0;
    }

    boolean isOff(PDXObject object) {
        return isOff(object.getCOSObject());
    }

    /** Whether a form, a picture or an annotation belongs to a layer that is off. */
    boolean isOff(COSDictionary object) {
        return object.getDictionaryObject(COSName.OC) instanceof COSDictionary of
                && isSwitchedOff(of);
    }

    private boolean isSwitchedOff(COSDictionary of) {
        if (properties.isEmpty()) {
            return false;
        }
        return switch (PDPropertyList.create(of)) {
            case PDOptionalContentGroup group -> !properties.get().isGroupEnabled(group);
            case PDOptionalContentMembershipDictionary members -> isOff(members);
            case null, default -> false;
        };
    }

    /** 8.11.2.2: what is there as some groups are on or off; of none it always is. */
    private boolean isOff(PDOptionalContentMembershipDictionary members) {
        List<Boolean> on = new ArrayList<>();
        for (PDPropertyList each : members.getOCGs()) {
            if (each instanceof PDOptionalContentGroup group) {
                on.add(properties.get().isGroupEnabled(group));
            }
        }
        return !on.isEmpty()
                && !switch (members.getVisibilityPolicy().getName()) {
                    case "AllOn" -> !on.contains(false);
                    case "AnyOff" -> on.contains(false);
                    case "AllOff" -> !on.contains(true);
                    default -> on.contains(true);
                };
    }

    void begin(COSName tag, COSDictionary of) {
        boolean switched = COSName.OC.equals(tag) && of != null && isSwitchedOff(of);
        sequences.push(switched);
        off += switched ? 1 : 0;
    }

    /** What begins now is part of none that a stream before it left open. */
    void endAll() {
        sequences.clear();
        off = 0;
    }

    void end() {
        if (!sequences.isEmpty() && sequences.pop()) {
            off--;
        }
    }
}
