package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.GregorianCalendar;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSDocument;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;

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
    private static final COSName MODIFIED_WAS = COSName.getPDFName("LastModifiedWas");

    private final PDPage page;
    private final COSDocument document;

    PageMarks(PDPage page, COSDocument document) {
        this.page = page;
        this.document = document;
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

    /**
     * Adds forms that are among the page's resources already, around what was added before.
     *
     * @param resourcesWere what the page had of its own; nothing where it inherited them
     */
    void add(List<AddedItem> added, Optional<COSBase> resourcesWere, Instant now)
            throws IOException {
        List<AddedItem> items = new ArrayList<>(items());
        items.addAll(0, added.stream().filter(AddedItem::behind).toList());
        items.addAll(added.stream().filter(item -> !item.behind()).toList());
        Optional<COSDictionary> known = data();
        if (known.isEmpty()) {
            wrap(items, resourcesWere.orElse(null), of().getItem(MODIFIED), now);
        } else {
            COSDictionary own = known.get();
            unwrap(own);
            wrap(items, own.getItem(RESOURCES_WERE), own.getItem(MODIFIED_WAS), now);
        }
    }

    private void wrap(
            List<AddedItem> items, COSBase resourcesWere, COSBase modifiedWas, Instant now)
            throws IOException {
        SavedStates states = SavedStates.of(page);
        COSStream before = document.createCOSStream();
        COSStream after = document.createCOSStream();
        write(before, paint(items, true) + "q\n".repeat(1 + states.missing()));
        write(after, "\n" + "Q\n".repeat(1 + states.open()) + paint(items, false));
        COSArray contents = new COSArray();
        contents.add(before);
        contents().forEach(contents::add);
        contents.add(after);
        of().setItem(COSName.CONTENTS, contents);
        COSDictionary own = new COSDictionary();
        COSArray array = new COSArray();
        items.forEach(item -> array.add(item.dictionary()));
        own.setItem(ITEMS, array);
        own.setItem(BEFORE, before);
        own.setItem(AFTER, after);
        if (resourcesWere != null) {
            own.setItem(RESOURCES_WERE, resourcesWere);
        }
        if (modifiedWas != null) {
            own.setItem(MODIFIED_WAS, modifiedWas);
        }
        COSDictionary ours = new COSDictionary();
        ours.setItem(PRIVATE, own);
        date(ours, now);
        COSDictionary known = of().getCOSDictionary(PIECES);
        COSDictionary pieces = known == null ? new COSDictionary() : new COSDictionary(known);
        pieces.setItem(OURS, ours);
        of().setItem(PIECES, pieces);
        date(of(), now);
    }

    private static void date(COSDictionary of, Instant now) {
        of.setDate(MODIFIED, GregorianCalendar.from(now.atZone(ZoneOffset.UTC)));
    }

    /** The streams of the page's content, as they are referred to. */
    private List<COSBase> contents() {
        List<COSBase> streams = new ArrayList<>();
        COSBase contents = of().getDictionaryObject(COSName.CONTENTS);
        if (contents instanceof COSArray array) {
            for (int i = 0; i < array.size(); i++) {
                streams.add(array.get(i));
            }
        } else if (contents instanceof COSStream) {
            streams.add(of().getItem(COSName.CONTENTS));
        }
        return streams;
    }

    private static String paint(List<AddedItem> items, boolean behind) {
        StringBuilder content = new StringBuilder();
        for (AddedItem item : items) {
            if (item.behind() == behind) {
                content.append(
                        "/Artifact <<%s>> BDC\nq\n/%s Do\nQ\nEMC\n"
                                .formatted(item.kind().artifact(), item.resource()));
            }
        }
        return content.toString();
    }

    private static void write(COSStream stream, String content) throws IOException {
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(content.getBytes(StandardCharsets.US_ASCII));
        }
    }

    /**
     * Leaves only these of what was added; where none is left, the page is as it came.
     *
     * @return whether anything came off
     */
    boolean keep(List<AddedItem> kept, Instant now) throws IOException {
        Optional<COSDictionary> known = data();
        if (known.isEmpty() || items().equals(kept)) {
            return false;
        }
        COSDictionary own = known.get();
        COSBase were = own.getItem(RESOURCES_WERE);
        COSBase modified = own.getItem(MODIFIED_WAS);
        Set<String> gone = new HashSet<>();
        items().forEach(item -> gone.add(item.resource()));
        kept.forEach(item -> gone.remove(item.resource()));
        unwrap(own);
        if (kept.isEmpty()) {
            restore(COSName.RESOURCES, were);
            restore(MODIFIED, modified);
            return true;
        }
        COSDictionary resources = of().getCOSDictionary(COSName.RESOURCES);
        COSDictionary forms = new COSDictionary(resources.getCOSDictionary(COSName.XOBJECT));
        gone.forEach(name -> forms.removeItem(COSName.getPDFName(name)));
        resources.setItem(COSName.XOBJECT, forms);
        wrap(kept, were, modified, now);
        return true;
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
