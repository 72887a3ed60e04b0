package yewberry.core.output;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.IntStream;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.PageRange;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Spreads;

/**
 * What is made of a publication, and how.
 *
 * @param pages such as 3-7, 12, odd or the names of parts; empty for all
 * @param claims whether a PDF says which standards it follows
 * @param marks around its pages; nothing for none
 * @param bleed another than that of the publication; nothing for that
 * @param backgrounds whether they are in it; without, text that needs them is in other colours
 * @param flattened whether pages of PDFs that are placed become pictures
 * @param ppi pixels per inch of pictures
 * @param spreads whether pages that face each other are one page of a PDF, or one picture
 * @param toBleed whether pictures go out to the bleed
 * @param overprintShown whether text that overprints is blended with what is below it instead, so
 *     that those who know no overprint show it as it is printed
 * @param fileName with {name}, {kind}, {pages} and {date}; empty for the usual
 */
public record OutputSettings(
        OutputKind kind,
        String pages,
        boolean claims,
        Optional<PrinterMarks> marks,
        Optional<Bleed> bleed,
        boolean backgrounds,
        boolean flattened,
        double ppi,
        boolean spreads,
        boolean toBleed,
        boolean overprintShown,
        String fileName) {
    private static final double LEAST_PPI = 10;
    private static final double MOST_PPI = 1200;
    private static final int LONGEST_NAME = 200;
    private static final String USUAL_NAME = "{name}-{kind}";

    public OutputSettings {
        pages = pages.strip();
        fileName = fileName.strip();
        if (!(ppi >= LEAST_PPI && ppi <= MOST_PPI)) {
            throw new Refused("Pictures have 10 to 1200 pixels per inch; choose a number between.");
        }
        if (fileName.length() > LONGEST_NAME) {
            throw new Refused(
                    "A file name has at most %d characters; this one has %d."
                            .formatted(LONGEST_NAME, fileName.length()));
        }
        if (spreads && toBleed && kind.isPicture()) {
            throw new Refused(
                    "Spreads are joined at the trim, where there is no bleed between the pages. Choose spreads to the trim, or pages to the bleed.");
        }
        if (overprintShown && !isOfInk(kind)) {
            throw new Refused(
                    "Only inks overprint, and this has none; choose that for a press PDF or one PDF for all.");
        }
        if (marks.filter(PrinterMarks::any).isPresent() && kind == OutputKind.OFFICE_PDF) {
            throw new Refused(
                    "An office printout is not cut; leave printer's marks out of it, or make a press PDF.");
        }
        if (marks.filter(PrinterMarks::any).isPresent() && !isOfInk(kind)) {
            throw new Refused(
                    "Printer's marks are in all inks of a press, and this has none; leave them out of it, or make a press PDF.");
        }
    }

    private static boolean isOfInk(OutputKind kind) {
        return kind.isPdf() && kind.medium() == Medium.PAPER;
    }

    /** As is usual for a kind: all pages, as they are set. */
    public static OutputSettings of(OutputKind kind) {
        return new OutputSettings(
                kind,
                "",
                true,
                Optional.empty(),
                Optional.empty(),
                true,
                false,
                144,
                false,
                false,
                false,
                "");
    }

    public OutputSettings withPages(String changed) {
        return with(changed, claims, marks, backgrounds, spreads, overprintShown);
    }

    public OutputSettings withMarks(Optional<PrinterMarks> changed) {
        return with(pages, claims, changed, backgrounds, spreads, overprintShown);
    }

    public OutputSettings withBackgrounds(boolean changed) {
        return with(pages, claims, marks, changed, spreads, overprintShown);
    }

    public OutputSettings withSpreads(boolean changed) {
        return with(pages, claims, marks, backgrounds, changed, overprintShown);
    }

    public OutputSettings withOverprintShown(boolean changed) {
        return with(pages, claims, marks, backgrounds, spreads, changed);
    }

    public OutputSettings withClaims(boolean changed) {
        return with(pages, changed, marks, backgrounds, spreads, overprintShown);
    }

    private OutputSettings with(
            String changedPages,
            boolean changedClaims,
            Optional<PrinterMarks> changedMarks,
            boolean changedBackgrounds,
            boolean changedSpreads,
            boolean changedOverprint) {
        return new OutputSettings(
                kind,
                changedPages,
                changedClaims,
                changedMarks,
                bleed,
                changedBackgrounds,
                flattened,
                ppi,
                changedSpreads,
                toBleed,
                changedOverprint,
                fileName);
    }

    /**
     * The positions of the pages that are in it, from 0.
     *
     * @throws Refused if it names one that there is not
     */
    public List<Integer> pages(Publication publication) {
        int count = publication.pages().size();
        if (pages.isEmpty()) {
            return IntStream.range(0, count).boxed().toList();
        }
        SortedSet<Integer> chosen = new TreeSet<>();
        for (String each : pages.split("[,;]")) {
            if (each.isBlank()) {
                continue;
            }
            List<Integer> part = part(each.strip(), publication);
            chosen.addAll(part.isEmpty() ? PageRange.of(each, count) : part);
        }
        // of commas alone nothing is chosen, which is refused
        return chosen.isEmpty() ? PageRange.of(pages, count) : List.copyOf(chosen);
    }

    /**
     * The same, those together that are seen as one: with spreads two that face each other.
     *
     * @throws Refused if it names one that there is not
     */
    public List<List<Integer>> leaves(Publication publication) {
        List<Integer> chosen = pages(publication);
        List<List<Integer>> leaves = new ArrayList<>();
        for (int i = 0; i < chosen.size(); i++) {
            int page = chosen.get(i);
            boolean joined =
                    spreads
                            && i + 1 < chosen.size()
                            && chosen.get(i + 1) == page + 1
                            && Spreads.beside(publication, page).equals(Optional.of(page + 1));
            leaves.add(chosen.subList(i, joined ? i + 2 : i + 1));
            i += joined ? 1 : 0;
        }
        return leaves;
    }

    /** The pages from where a part of that name begins to where the next one does; or none. */
    private static List<Integer> part(String name, Publication publication) {
        List<Integer> pages = new ArrayList<>();
        boolean within = false;
        for (int i = 0; i < publication.pages().size(); i++) {
            Optional<String> begins = publication.pages().get(i).part();
            within = begins.map(name::equalsIgnoreCase).orElse(within);
            if (within) {
                pages.add(i);
            }
        }
        return pages;
    }

    /** How a PDF of it is written. */
    public PdfProfile profile() {
        PdfProfile usual =
                switch (kind) {
                    case PRESS_PDF -> PdfProfile.PRESS;
                    case READING_PDF -> PdfProfile.READING;
                    case ALL_PDF -> PdfProfile.ALL;
                    case SCREEN_AND_PAPER_PDF -> PdfProfile.SCREEN_AND_PAPER;
                    case OFFICE_PDF -> PdfProfile.plain(kind.medium());
                    case PNG, JPEG, SVG, WEB ->
                            throw new IllegalArgumentException("No PDF: " + kind);
                };
        PdfProfile claimed = claims ? usual : usual.withoutClaims();
        return claimed.with(marks.filter(PrinterMarks::any), flattened, overprintShown);
    }

    /**
     * The name of its file: whatever it is made of, one that every system takes.
     *
     * @param today that {date} stands for
     */
    public String fileName(Publication publication, LocalDate today) {
        String wanted = fileName.isEmpty() ? USUAL_NAME : fileName;
        String filled =
                wanted.replace("{name}", publication.name())
                        .replace("{kind}", kind.suffix())
                        .replace("{pages}", pages.isEmpty() ? "all" : pages)
                        .replace("{date}", today.toString());
        String stem =
                filled.toLowerCase(Locale.ROOT).endsWith("." + kind.ending())
                        ? filled.substring(0, filled.length() - kind.ending().length() - 1)
                        : filled;
        return Names.fileStem(stem) + "." + kind.ending();
    }
}
