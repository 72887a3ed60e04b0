package yewberry.pdf;

import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import yewberry.core.output.ScreenAndPaper.Where;

/**
 * What of a file is seen on a screen only, and what is printed only: one group of optional content
 * (ISO 32000-1, 8.11) that readers switch by what they do (8.11.4.4), and what is there where it is
 * off (8.11.2.2), so that readers that switch nothing show what the screen shows.
 */
public final class SwitchedLayers {
    private static final COSName EVENT = COSName.getPDFName("Event");
    private static final COSName CATEGORY = COSName.getPDFName("Category");
    private static final COSName USAGE = COSName.getPDFName("Usage");
    private static final String SCREEN = "Screen";

    private final COSDictionary screen = new COSDictionary();
    private final COSDictionary paper = new COSDictionary();

    private SwitchedLayers() {
        COSDictionary view = new COSDictionary();
        view.setName("ViewState", "ON");
        COSDictionary print = new COSDictionary();
        print.setName("PrintState", "OFF");
        COSDictionary usage = new COSDictionary();
        usage.setItem(COSName.getPDFName("View"), view);
        usage.setItem(COSName.getPDFName("Print"), print);
        screen.setItem(COSName.TYPE, COSName.OCG);
        screen.setString(COSName.NAME, SCREEN);
        screen.setItem(USAGE, usage);
        paper.setItem(COSName.TYPE, COSName.getPDFName("OCMD"));
        // some readers heed what follows only where this is an array
        paper.setItem(COSName.OCGS, all());
        paper.setName("P", "AllOff");
    }

    /** Those of a document, which it then has. */
    static SwitchedLayers of(PDDocument document) {
        SwitchedLayers layers = new SwitchedLayers();
        COSDictionary usual = new COSDictionary();
        usual.setString(COSName.NAME, "As it is viewed or printed");
        usual.setItem(COSName.getPDFName("BaseState"), COSName.ON);
        usual.setItem(COSName.ORDER, layers.all());
        COSArray events = new COSArray();
        events.add(layers.event("View"));
        events.add(layers.event("Print"));
        usual.setItem(COSName.AS, events);
        COSDictionary properties = new COSDictionary();
        properties.setItem(COSName.OCGS, layers.all());
        properties.setItem(COSName.D, usual);
        document.getDocumentCatalog().getCOSObject().setItem(COSName.OCPROPERTIES, properties);
        return layers;
    }

    private COSArray all() {
        COSArray all = new COSArray();
        all.add(screen);
        return all;
    }

    private COSDictionary event(String name) {
        COSArray category = new COSArray();
        category.add(COSName.getPDFName(name));
        COSDictionary event = new COSDictionary();
        event.setName(EVENT, name);
        event.setItem(COSName.OCGS, all());
        event.setItem(CATEGORY, category);
        return event;
    }

    /** The names that a page's content calls them by. */
    void name(PDResources resources) {
        COSDictionary named = new COSDictionary();
        named.setItem(COSName.getPDFName(name(Where.SCREEN)), screen);
        named.setItem(COSName.getPDFName(name(Where.PAPER)), paper);
        resources.getCOSObject().setItem(COSName.PROPERTIES, named);
    }

    static String name(Where where) {
        return switch (where) {
            case SCREEN -> SCREEN;
            case PAPER -> "Paper";
            case BOTH -> throw new IllegalArgumentException("It is in no group");
        };
    }

    /** Whether all is as on a screen where nothing switches it. */
    public static boolean areAsViewed(PDDocument document) {
        PDOptionalContentProperties all = document.getDocumentCatalog().getOCProperties();
        return all != null && all.isGroupEnabled(SCREEN);
    }

    /**
     * The groups as a reader switches them that views a file or prints it: 8.11.4.4.
     *
     * @param event View or Print
     */
    public static Optional<PDOptionalContentProperties> switched(
            PDDocument document, String event) {
        COSDictionary properties =
                document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.OCPROPERTIES);
        if (properties == null || properties.getCOSDictionary(COSName.D) == null) {
            return Optional.empty();
        }
        COSDictionary usual = new COSDictionary(properties.getCOSDictionary(COSName.D));
        COSArray off = copy(usual.getCOSArray(COSName.OFF));
        COSArray on = copy(usual.getCOSArray(COSName.ON));
        COSArray events = usual.getCOSArray(COSName.AS);
        for (int i = 0; events != null && i < events.size(); i++) {
            if (events.getObject(i) instanceof COSDictionary each
                    && event.equals(each.getNameAsString(EVENT))) {
                apply(each, event, on, off);
            }
        }
        usual.setItem(COSName.ON, on);
        usual.setItem(COSName.OFF, off);
        COSDictionary changed = new COSDictionary(properties);
        changed.setItem(COSName.D, usual);
        return Optional.of(new PDOptionalContentProperties(changed));
    }

    private static void apply(COSDictionary event, String name, COSArray on, COSArray off) {
        COSArray groups = event.getCOSArray(COSName.OCGS);
        for (int i = 0; groups != null && i < groups.size(); i++) {
            COSBase reference = groups.get(i);
            if (!(groups.getObject(i) instanceof COSDictionary group)
                    || group.getCOSDictionary(USAGE) == null) {
                continue;
            }
            COSDictionary usage =
                    group.getCOSDictionary(USAGE).getCOSDictionary(COSName.getPDFName(name));
            String state = usage == null ? null : usage.getNameAsString(name + "State");
            if (state != null) {
                remove(on, group);
                remove(off, group);
                (state.equals("ON") ? on : off).add(reference);
            }
        }
    }

    private static void remove(COSArray from, COSDictionary group) {
        for (int i = from.size() - 1; i >= 0; i--) {
            if (from.getObject(i) == group) {
                from.remove(i);
            }
        }
    }

    private static COSArray copy(COSArray of) {
        COSArray copy = new COSArray();
        if (of != null) {
            for (int i = 0; i < of.size(); i++) {
                copy.add(of.get(i));
            }
        }
        return copy;
    }
}
