package yewberry.pdf;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import yewberry.core.color.Medium;
import yewberry.core.output.ScreenAndPaper.Where;

/**
 * What of a file is seen on a screen only, and what is printed only: one group of optional content
 * (ISO 32000-1, 8.11) that readers switch by what they do (8.11.4.4), and what is there where it is
 * off (8.11.2.2), so that readers that switch nothing show one of the two.
 */
public final class SwitchedLayers {
    private static final COSName EVENT = COSName.getPDFName("Event");
    private static final COSName CATEGORY = COSName.getPDFName("Category");
    private static final COSName USAGE = COSName.getPDFName("Usage");
    private static final COSName MAKER = COSName.getPDFName("CreatorInfo");
    private static final COSName CREATOR = COSName.getPDFName("Creator");
    private static final String US = "Yewberry";
    private static final String SCREEN = "Screen";

    private final COSBase screen;
    private final COSBase paper;
    private final COSArray groups = new COSArray();

    private SwitchedLayers(COSBase screen) {
        this.screen = screen;
        groups.add(screen);
        COSDictionary members = new COSDictionary();
        members.setItem(COSName.TYPE, COSName.getPDFName("OCMD"));
        // some readers heed what follows only where this is an array
        members.setItem(COSName.OCGS, copy(groups));
        members.setName("P", "AllOff");
        this.paper = members;
    }

    private static COSDictionary group() {
        COSDictionary view = new COSDictionary();
        view.setName("ViewState", "ON");
        COSDictionary print = new COSDictionary();
        print.setName("PrintState", "OFF");
        COSDictionary usage = new COSDictionary();
        usage.setItem(COSName.getPDFName("View"), view);
        usage.setItem(COSName.getPDFName("Print"), print);
        COSDictionary group = new COSDictionary();
        group.setItem(COSName.TYPE, COSName.OCG);
        group.setString(COSName.NAME, SCREEN);
        group.setItem(USAGE, usage);
        return group;
    }

    /** One that says who added it, so that it comes off again. */
    private static COSDictionary added() {
        COSDictionary maker = new COSDictionary();
        maker.setString(CREATOR, US);
        maker.setName(COSName.SUBTYPE, "Artwork");
        COSDictionary group = group();
        group.getCOSDictionary(USAGE).setItem(MAKER, maker);
        return group;
    }

    /** Those of a document, which it then has. */
    static SwitchedLayers of(PDDocument document) {
        SwitchedLayers layers = new SwitchedLayers(group());
        COSDictionary usual = new COSDictionary();
        usual.setString(COSName.NAME, "As it is viewed or printed");
        usual.setItem(COSName.getPDFName("BaseState"), COSName.ON);
        usual.setItem(COSName.ORDER, copy(layers.groups));
        COSArray events = new COSArray();
        events.add(layers.event("View"));
        events.add(layers.event("Print"));
        usual.setItem(COSName.AS, events);
        COSDictionary properties = new COSDictionary();
        properties.setItem(COSName.OCGS, copy(layers.groups));
        properties.setItem(COSName.D, usual);
        document.getDocumentCatalog().getCOSObject().setItem(COSName.OCPROPERTIES, properties);
        return layers;
    }

    /**
     * Those that the pages of a file are given, which has groups of its own or none.
     *
     * @param usual whose look readers show that switch nothing
     */
    static SwitchedLayers addedTo(PDDocument document, Medium usual) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary properties = copy(catalog.getCOSDictionary(COSName.OCPROPERTIES));
        COSDictionary config = copy(properties.getCOSDictionary(COSName.D));
        COSName state = usual == Medium.SCREEN ? COSName.ON : COSName.OFF;
        Set<COSDictionary> those = new HashSet<>();
        copy(config.getCOSArray(state)).forEach(each -> those.add(dictionary(each)));
        for (COSBase each : own(properties)) {
            if (those.contains(dictionary(each))) {
                return new SwitchedLayers(each);
            }
        }
        SwitchedLayers layers = new SwitchedLayers(added());
        append(properties, COSName.OCGS, layers.screen);
        append(config, state, layers.screen);
        append(config, COSName.ORDER, layers.screen);
        append(config, COSName.AS, layers.event("View"));
        append(config, COSName.AS, layers.event("Print"));
        properties.setItem(COSName.D, config);
        catalog.setItem(COSName.OCPROPERTIES, properties);
        return layers;
    }

    /** The groups of a file that were added to it by this. */
    private static List<COSBase> own(COSDictionary properties) {
        List<COSBase> own = new ArrayList<>();
        for (COSBase each : copy(properties.getCOSArray(COSName.OCGS))) {
            if (isAdded(dictionary(each))) {
                own.add(each);
            }
        }
        return own;
    }

    private static boolean isAdded(COSDictionary group) {
        COSDictionary usage = group.getCOSDictionary(USAGE);
        COSDictionary maker = usage == null ? null : usage.getCOSDictionary(MAKER);
        return maker != null && US.equals(maker.getString(CREATOR));
    }

    /** Whether a file has groups that were added to it by this. */
    static boolean areIn(PDDocument document) {
        COSDictionary known =
                document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.OCPROPERTIES);
        return known != null && !own(known).isEmpty();
    }

    /** The groups that a form goes by. */
    static Set<COSDictionary> namedBy(COSStream form) {
        COSDictionary named =
                copy(form.getCOSDictionary(COSName.RESOURCES)).getCOSDictionary(COSName.PROPERTIES);
        Set<COSDictionary> groups = new HashSet<>();
        for (COSBase each : copy(named).getValues()) {
            groups.add(dictionary(each));
            copy(dictionary(each).getCOSArray(COSName.OCGS))
                    .forEach(member -> groups.add(dictionary(member)));
        }
        return groups;
    }

    /**
     * Takes those off again that nothing belongs to any more; groups of others stay.
     *
     * @param used what things still belong to
     * @return whether any came off
     */
    static boolean takeOff(PDDocument document, Set<COSDictionary> used) {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary properties = copy(catalog.getCOSDictionary(COSName.OCPROPERTIES));
        Set<COSDictionary> gone = new HashSet<>();
        own(properties).forEach(each -> gone.add(dictionary(each)));
        gone.removeAll(used);
        if (gone.isEmpty()) {
            return false;
        }
        COSDictionary config = copy(properties.getCOSDictionary(COSName.D));
        for (COSName list : List.of(COSName.ON, COSName.OFF, COSName.ORDER)) {
            without(config, list, gone);
        }
        COSArray events = new COSArray();
        for (COSBase each : copy(config.getCOSArray(COSName.AS))) {
            COSDictionary event = copy(dictionary(each));
            without(event, COSName.OCGS, gone);
            if (event.containsKey(COSName.OCGS)) {
                events.add(event);
            }
        }
        set(config, COSName.AS, events);
        without(properties, COSName.OCGS, gone);
        properties.setItem(COSName.D, config);
        if (properties.containsKey(COSName.OCGS)) {
            catalog.setItem(COSName.OCPROPERTIES, properties);
        } else {
            catalog.removeItem(COSName.OCPROPERTIES);
        }
        return true;
    }

    private static void without(COSDictionary of, COSName list, Set<COSDictionary> gone) {
        COSArray left = new COSArray();
        for (COSBase each : copy(of.getCOSArray(list))) {
            if (!gone.contains(dictionary(each))) {
                left.add(each);
            }
        }
        set(of, list, left);
    }

    private static void set(COSDictionary of, COSName list, COSArray to) {
        if (to.size() == 0) {
            of.removeItem(list);
        } else {
            of.setItem(list, to);
        }
    }

    private static void append(COSDictionary to, COSName list, COSBase what) {
        COSArray array = copy(to.getCOSArray(list));
        array.add(what);
        to.setItem(list, array);
    }

    /** What is no dictionary says nothing. */
    private static COSDictionary dictionary(COSBase of) {
        COSBase found = of instanceof COSObject reference ? reference.getObject() : of;
        return found instanceof COSDictionary is ? is : new COSDictionary();
    }

    private static COSDictionary copy(COSDictionary of) {
        return of == null ? new COSDictionary() : new COSDictionary(of);
    }

    private COSBase on(Where where) {
        return switch (where) {
            case SCREEN -> screen;
            case PAPER -> paper;
            case BOTH -> throw new IllegalArgumentException("It is in no group");
        };
    }

    private COSDictionary event(String name) {
        COSArray category = new COSArray();
        category.add(COSName.getPDFName(name));
        COSDictionary event = new COSDictionary();
        event.setName(EVENT, name);
        event.setItem(COSName.OCGS, copy(groups));
        event.setItem(CATEGORY, category);
        return event;
    }

    /** The names that a page's content calls them by. */
    void name(PDResources resources, Where... all) {
        COSDictionary named = new COSDictionary();
        for (Where where : all) {
            named.setItem(COSName.getPDFName(name(where)), on(where));
        }
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
        return switched(document, event, _ -> true);
    }

    /**
     * The same where only what was added to a file is switched, and its own groups are as usual.
     *
     * @param event View or Print
     */
    public static Optional<PDOptionalContentProperties> addedSwitched(
            PDDocument document, String event) {
        return switched(document, event, SwitchedLayers::isAdded);
    }

    private static Optional<PDOptionalContentProperties> switched(
            PDDocument document, String event, Predicate<COSDictionary> which) {
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
                apply(each, event, which, on, off);
            }
        }
        usual.setItem(COSName.ON, on);
        usual.setItem(COSName.OFF, off);
        COSDictionary changed = new COSDictionary(properties);
        changed.setItem(COSName.D, usual);
        return Optional.of(new PDOptionalContentProperties(changed));
    }

    private static void apply(
            COSDictionary event,
            String name,
            Predicate<COSDictionary> which,
            COSArray on,
            COSArray off) {
        COSArray groups = event.getCOSArray(COSName.OCGS);
        for (int i = 0; groups != null && i < groups.size(); i++) {
            COSBase reference = groups.get(i);
            if (!(groups.getObject(i) instanceof COSDictionary group)
                    || group.getCOSDictionary(USAGE) == null
                    || !which.test(group)) {
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
