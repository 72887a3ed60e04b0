package yewberry.core.publication;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;
import yewberry.core.color.Rgb;

/**
 * That a colour of a file is another one in what comes of it. The file itself stays as it is.
 *
 * @param from the colour, as it is seen on a screen
 * @param within how far from it others may be that are changed as well, as CIEDE2000; 0 only itself
 * @param what is painted in it; at least one
 * @param pages numbers of the pages of the file; none means all
 * @param to what takes its place; nothing makes it see-through
 * @param area of each of those pages as it is seen, from its top left; what has its middle there,
 *     and text that begins there, is recoloured. Nothing means all of the page
 * @throws Refused if nothing is chosen, text is to be see-through, the distance is not within 0 to
 *     50, or an area is of no page
 */
public record Recolor(
        Rgb from,
        double within,
        Set<What> what,
        List<Integer> pages,
        Optional<Tinted> to,
        Optional<Box> area) {
    private static final double FARTHEST = 50;

    /** What is painted. */
    public enum What {
        TEXT("text"),
        LINES("lines"),
        FILLS("fills"),
        /** Pixels of pictures. */
        PICTURES("pictures");

        private final String words;

        What(String words) {
            this.words = words;
        }

        public String inWords() {
            return words;
        }
    }

    /** Wherever it is on those pages. */
    public Recolor(
            Rgb from, double within, Set<What> what, List<Integer> pages, Optional<Tinted> to) {
        this(from, within, what, pages, to, Optional.empty());
    }

    public Recolor {
        if (area.isPresent() && pages.isEmpty()) {
            throw new Refused("Choose the pages that the area is on.");
        }
        if (what.isEmpty()) {
            throw new Refused("Choose what is recoloured: text, lines, fills or pictures.");
        }
        if (to.isEmpty() && what.contains(What.TEXT)) {
            throw new Refused(
                    "Text is not made see-through; choose a swatch for it, or leave text out.");
        }
        what = Collections.unmodifiableSet(EnumSet.copyOf(what)); // always in the same order
        pages = List.copyOf(new TreeSet<>(pages));
        if (!(within >= 0 && within <= FARTHEST)) {
            throw new Refused(
                    "A distance of %s between colours is not possible here; choose from 0 to %s."
                            .formatted(Numbers.plain(within), Numbers.plain(FARTHEST)));
        }
    }

    /** Whether another one says of just the same what it becomes. */
    public boolean isForTheSameAs(Recolor other) {
        return from.equals(other.from)
                && within == other.within
                && what.equals(other.what)
                && pages.equals(other.pages)
                && area.equals(other.area);
    }

    /** Whether it is for a page of the file. */
    public boolean isOn(int page) {
        return pages.isEmpty() || pages.contains(page);
    }

    Recolor withReference(UUID old, UUID replacement) {
        return new Recolor(
                from,
                within,
                what,
                pages,
                to.map(each -> each.withReference(old, replacement)),
                area);
    }
}
