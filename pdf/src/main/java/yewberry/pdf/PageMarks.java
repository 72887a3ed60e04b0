package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.GregorianCalendar;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSDocument;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageTree;
import org.apache.pdfbox.util.DateConverter;

/**
 * What was added to a page of a file, in the page's own page-piece data (ISO 32000-1, 14.5): which
 * forms, and what was there before, so that all of it comes off again.
 */
final class PageMarks {
    private static final COSName OURS = COSName.getPDFName("Yewberry");
    private static final COSName PIECES = COSName.getPDFName("PieceInfo");
    private static final COSName PRIVATE = COSName.getPDFName("Private");
    private static final COSName MODIFIED = COSName.getPDFName("LastModified");
    private static final COSName ITEMS = COSName.getPDFName("Items");
    private static final COSName BEFORE = COSName.getPDFName("BehindContents");
    private static final COSName AFTER = COSName.getPDFName("OverContents");
    private static final COSName RESOURCES_WERE = COSName.getPDFName("ResourcesWere");
    private static final COSName CONTENTS_WERE = COSName.getPDFName("ContentsWere");
    private static final COSName CHANGED = COSName.getPDFName("ChangedContents");
    private static final COSName FORMS = COSName.getPDFName("ChangedForms");
    private static final COSName ANNOTATIONS_WERE = COSName.getPDFName("AnnotsWere");
    private static final COSName MODIFIED_WAS = COSName.getPDFName("LastModifiedWas");

    /** Shorter content is not compressed: it would not be shorter then. */
    private static final int SHORT = 200;

    /** What several pages have: what is the same is in the file once. */
    static final class Shared {
        private final Map<String, COSStream> streams = new HashMap<>();
        private final Map<AddedItem, COSDictionary> items = new HashMap<>();
    }

    private final PDPage page;
    private final COSDocument document;
    private final Shared shared;

    PageMarks(PDPage page, COSDocument document) {
        this(page, document, new Shared());
    }

    /**
     * @param shared with other pages of the document; gets more
     */
    PageMarks(PDPage page, COSDocument document, Shared shared) {
        this.page = page;
        this.document = document;
        this.shared = shared;
    }

    private COSDictionary of() {
        return page.getCOSObject();
    }

    private Optional<COSDictionary> data() {
        return Optional.ofNullable(of().getCOSDictionary(PIECES))
                .map(pieces -> pieces.getCOSDictionary(OURS))
                .map(ours -> ours.getCOSDictionary(PRIVATE));
    }

    /** What was added, in the order in which it is painted. */
    List<AddedItem> items() {
        List<AddedItem> items = new ArrayList<>();
        data().map(each -> each.getCOSArray(ITEMS))
                .ifPresent(array -> {
                    for (int i = 0; i < array.size(); i++) {
                        if (array.getObject(i) instanceof COSDictionary item) {
                            AddedItem.of(item).ifPresent(items::add);
                        }
                    }
                });
        return items;
    }

    /** The forms of what was added, where they are. */
    List<COSStream> forms() {
        List<COSStream> forms = new ArrayList<>();
        COSDictionary resources =
                PDPageTree.getInheritableAttribute(of(), COSName.RESOURCES) instanceof COSBase found
                                && resolved(found) instanceof COSDictionary is
                        ? is
                        : new COSDictionary();
        COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
        for (AddedItem item : items()) {
            if (objects != null
                    && objects.getDictionaryObject(COSName.getPDFName(item.resource()))
                            instanceof COSStream form) {
                forms.add(form);
            }
        }
        return forms;
    }

    /** A page like this one without what was added, to be read; this one stays as it is. */
    PDPage bare() {
        PDPage copy = new PDPage(new COSDictionary(of()));
        data().ifPresent(new PageMarks(copy, document)::unwrap);
        return copy;
    }

    /**
     * What takes the place of the page's own content.
     *
     * @param content nothing where it stays
     * @param told how it is told
     * @param forms names of forms that took the places of others for it, or are new
     * @param leftOut annotations that the page has no longer
     */
    record Contents(
            Optional<COSStream> content,
            AddedItem told,
            Collection<COSName> forms,
            Collection<COSDictionary> leftOut) {}

    /** Changes the page's own content. */
    interface Change {
        /** Nothing where it stays. */
        Optional<Contents> of(PDPage page) throws IOException;
    }

    /**
     * What was there before any of it was added.
     *
     * @param resources of the page's own; null where it inherited them
     * @param modified when it was changed; null where it did not say
     * @param contents null where they were not changed, only added to
     * @param changed what took their place
     * @param forms names of forms that took the places of others for that
     * @param annotations null where all of them are still there
     */
    private record Before(
            COSBase resources,
            COSBase modified,
            COSBase contents,
            COSBase changed,
            COSArray forms,
            COSBase annotations) {
        static Before of(COSBase resources, COSBase modified) {
            return new Before(resources, modified, null, null, null, null);
        }

        static Before of(COSDictionary own) {
            return new Before(
                    own.getItem(RESOURCES_WERE),
                    own.getItem(MODIFIED_WAS),
                    own.getItem(CONTENTS_WERE),
                    own.getItem(CHANGED),
                    own.getCOSArray(FORMS),
                    own.getItem(ANNOTATIONS_WERE));
        }

        /** Where content that was changed already changes again, the first is what comes back. */
        Before withContents(COSBase were, Contents now) {
            COSArray names = new COSArray(forms == null ? List.of() : forms.toList());
            now.forms().forEach(names::add);
            return new Before(
                    resources,
                    modified,
                    now.content().isEmpty() || contents != null ? contents : were,
                    now.content().map(COSBase.class::cast).orElse(changed),
                    names,
                    annotations);
        }

        /** The same of annotations. */
        Before withAnnotations(COSBase were) {
            return new Before(
                    resources,
                    modified,
                    contents,
                    changed,
                    forms,
                    annotations == null ? were : annotations);
        }
    }

    /**
     * Adds forms that are among the page's resources already, around what was added before.
     *
     * @param change of the content itself
     * @param resourcesWere what the page had of its own; nothing where it inherited them
     * @param now {@link #date as it stands in files}
     */
    void add(List<AddedItem> added, Change change, Optional<COSBase> resourcesWere, String now)
            throws IOException {
        List<AddedItem> items = new ArrayList<>(items());
        items.addAll(0, added.stream().filter(AddedItem::behind).toList());
        items.addAll(added.stream().filter(item -> !item.behind()).toList());
        Optional<COSDictionary> known = data();
        Before before;
        if (known.isEmpty()) {
            before = Before.of(resourcesWere.orElse(null), of().getItem(MODIFIED));
        } else {
            before = Before.of(known.get());
            unwrap(known.get());
        }
        Optional<Contents> changed = change.of(page);
        if (changed.isPresent()) {
            before = before.withContents(of().getItem(COSName.CONTENTS), changed.get());
            changed.get().content().ifPresent(content -> of().setItem(COSName.CONTENTS, content));
            if (!changed.get().leftOut().isEmpty()) {
                before = before.withAnnotations(of().getItem(COSName.ANNOTS));
                of().setItem(
                                COSName.ANNOTS,
                                without(of().getCOSArray(COSName.ANNOTS), changed.get().leftOut()));
            }
            items.add(changed.get().told());
        }
        wrap(items, before, now);
    }

    private void wrap(List<AddedItem> items, Before was, String now) throws IOException {
        SavedStates states = SavedStates.of(page);
        COSStream before = stream(paint(items, true) + "q\n".repeat(1 + states.missing()));
        COSStream after = stream("\n" + "Q\n".repeat(1 + states.open()) + paint(items, false));
        COSArray contents = new COSArray();
        contents.add(before);
        contents().forEach(contents::add);
        contents.add(after);
        of().setItem(COSName.CONTENTS, contents);
        COSDictionary own = new COSDictionary();
        COSArray array = new COSArray();
        items.forEach(item -> array.add(shared.items.computeIfAbsent(item, AddedItem::dictionary)));
        own.setItem(ITEMS, array);
        own.setItem(BEFORE, before);
        own.setItem(AFTER, after);
        set(own, RESOURCES_WERE, was.resources());
        set(own, MODIFIED_WAS, was.modified());
        set(own, CONTENTS_WERE, was.contents());
        set(own, CHANGED, was.changed());
        set(own, FORMS, was.forms());
        set(own, ANNOTATIONS_WERE, was.annotations());
        COSDictionary ours = new COSDictionary();
        ours.setItem(PRIVATE, own);
        ours.setString(MODIFIED, now);
        COSDictionary known = of().getCOSDictionary(PIECES);
        COSDictionary pieces = known == null ? new COSDictionary() : new COSDictionary(known);
        pieces.setItem(OURS, ours);
        of().setItem(PIECES, pieces);
        of().setString(MODIFIED, now);
        // what only this page has is written where it is: that is much less to write and to read
        array.setDirect(true);
        own.setDirect(true);
        ours.setDirect(true);
        pieces.setDirect(true);
    }

    /** As it stands in files. */
    static String date(Instant now) {
        return DateConverter.toString(GregorianCalendar.from(now.atZone(ZoneOffset.UTC)));
    }

    /** The streams of the page's content, as they are referred to. */
    private List<COSBase> contents() {
        COSBase contents = of().getItem(COSName.CONTENTS);
        return contents == null ? List.of() : streams(contents);
    }

    private static List<COSBase> streams(COSBase contents) {
        List<COSBase> streams = new ArrayList<>();
        COSBase all = resolved(contents);
        if (all instanceof COSArray array) {
            for (int i = 0; i < array.size(); i++) {
                streams.add(array.get(i));
            }
        } else if (all instanceof COSStream) {
            streams.add(contents);
        }
        return streams;
    }

    private static String paint(List<AddedItem> items, boolean behind) {
        StringBuilder content = new StringBuilder();
        for (AddedItem item : items) {
            if (item.behind() == behind && item.kind().isPainted()) {
                content.append(
                        "/Artifact <<%s>> BDC\nq\n/%s Do\nQ\nEMC\n"
                                .formatted(item.kind().artifact(), item.resource()));
            }
        }
        return content.toString();
    }

    private COSStream stream(String content) throws IOException {
        COSStream known = shared.streams.get(content);
        if (known != null) {
            return known;
        }
        COSStream stream = document.createCOSStream();
        write(stream, content.getBytes(StandardCharsets.US_ASCII));
        shared.streams.put(content, stream);
        return stream;
    }

    static void write(COSStream stream, byte[] content) throws IOException {
        try (OutputStream out =
                content.length < SHORT
                        ? stream.createOutputStream()
                        : stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(content);
        }
    }

    /**
     * Leaves only these of what was added; where none is left, the page is as it came.
     *
     * @param now {@link #date as it stands in files}
     * @return whether anything came off
     */
    boolean keep(List<AddedItem> kept, String now) throws IOException {
        Optional<COSDictionary> known = data();
        if (known.isEmpty() || items().equals(kept)) {
            return false;
        }
        Before was = Before.of(known.get());
        List<AddedItem> before = items();
        // colours were changed together, and come off together
        boolean colorsStay =
                kept.containsAll(before.stream().filter(item -> !item.kind().isPainted()).toList());
        List<AddedItem> stay =
                kept.stream().filter(item -> item.kind().isPainted() || colorsStay).toList();
        Set<String> gone = new HashSet<>();
        before.forEach(item -> gone.add(item.resource()));
        stay.forEach(item -> gone.remove(item.resource()));
        unwrap(known.get());
        if (!colorsStay) {
            contentsComeBack(was);
            annotationsComeBack(was);
        }
        if (stay.isEmpty()) {
            restore(COSName.RESOURCES, was.resources());
            restore(MODIFIED, was.modified());
            return true;
        }
        COSDictionary resources = of().getCOSDictionary(COSName.RESOURCES);
        COSDictionary forms = new COSDictionary(resources.getCOSDictionary(COSName.XOBJECT));
        gone.forEach(name -> forms.removeItem(COSName.getPDFName(name)));
        if (!colorsStay) {
            formsComeBack(forms, was);
        }
        resources.setItem(COSName.XOBJECT, forms);
        Before left = Before.of(was.resources(), was.modified());
        wrap(stay, colorsStay ? was : left, now);
        return true;
    }

    /** The content that the page had, with what other programs put around it since. */
    private void contentsComeBack(Before was) {
        if (was.contents() == null) {
            return;
        }
        COSBase changed = resolved(was.changed());
        List<COSBase> back = new ArrayList<>();
        for (COSBase stream : contents()) {
            if (resolved(stream) == changed) {
                back.addAll(streams(was.contents()));
            } else {
                back.add(stream);
            }
        }
        restore(
                COSName.CONTENTS,
                back.equals(streams(was.contents())) ? was.contents() : asOne(back));
    }

    private static COSArray without(COSArray all, Collection<COSDictionary> leftOut) {
        COSArray others = new COSArray();
        for (int i = 0; i < all.size(); i++) {
            if (!(all.getObject(i) instanceof COSDictionary each && leftOut.contains(each))) {
                others.add(all.get(i));
            }
        }
        return others;
    }

    /** The annotations that the page had, with what other programs put there since over them. */
    private void annotationsComeBack(Before was) {
        if (!(resolved(was.annotations()) instanceof COSArray before)) {
            return;
        }
        COSArray now = of().getCOSArray(COSName.ANNOTS);
        COSArray back = new COSArray(before.toList());
        for (int i = 0; now != null && i < now.size(); i++) {
            if (!before.toList().contains(now.get(i))) {
                back.add(now.get(i));
            }
        }
        restore(COSName.ANNOTS, back.size() == before.size() ? was.annotations() : back);
    }

    private void formsComeBack(COSDictionary forms, Before was) {
        if (was.forms() == null || !(resourcesBefore(was) instanceof COSDictionary resources)) {
            return;
        }
        COSDictionary before = resources.getCOSDictionary(COSName.XOBJECT);
        for (COSBase each : was.forms()) {
            if (each instanceof COSName name) {
                forms.removeItem(name);
                set(forms, name, before == null ? null : before.getItem(name));
            }
        }
    }

    private COSBase resourcesBefore(Before was) {
        if (was.resources() != null) {
            return resolved(was.resources());
        }
        COSBase own = of().getItem(COSName.RESOURCES);
        of().removeItem(COSName.RESOURCES);
        COSBase inherited = PDPageTree.getInheritableAttribute(of(), COSName.RESOURCES);
        set(of(), COSName.RESOURCES, own);
        return resolved(inherited);
    }

    private static COSBase resolved(COSBase item) {
        return item instanceof COSObject object ? object.getObject() : item;
    }

    private static void set(COSDictionary of, COSName key, COSBase value) {
        if (value != null) {
            of.setItem(key, value);
        }
    }

    /** The page with its own content, and without what it says of what was added. */
    private void unwrap(COSDictionary own) {
        COSBase before = own.getDictionaryObject(BEFORE);
        COSBase after = own.getDictionaryObject(AFTER);
        List<COSBase> others = new ArrayList<>();
        COSArray all = of().getCOSArray(COSName.CONTENTS);
        for (int i = 0; all != null && i < all.size(); i++) {
            if (all.getObject(i) != before && all.getObject(i) != after) {
                others.add(all.get(i));
            }
        }
        restore(COSName.CONTENTS, asOne(others));
        COSDictionary pieces = new COSDictionary(of().getCOSDictionary(PIECES));
        pieces.removeItem(OURS);
        restore(PIECES, pieces.size() == 0 ? null : pieces);
    }

    private static COSBase asOne(List<COSBase> streams) {
        return switch (streams.size()) {
            case 0 -> null;
            case 1 -> streams.getFirst();
            default -> {
                COSArray array = new COSArray();
                streams.forEach(array::add);
                yield array;
            }
        };
    }

    private void restore(COSName key, COSBase was) {
        if (was == null) {
            of().removeItem(key);
        } else {
            of().setItem(key, was);
        }
    }
}
