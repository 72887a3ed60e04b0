package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import yewberry.core.Cancellation;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.Rect;
import yewberry.pdf.Opening;
import yewberry.pdf.PageIndex;
import yewberry.pdf.SwitchedLayers;
import yewberry.pdf.proof.PaintedPage.PaintedGlyph;
import yewberry.pdf.proof.ReadBackReport.BoxCheck;
import yewberry.pdf.proof.ReadBackReport.Extent;
import yewberry.pdf.proof.ReadBackReport.OtherPage;
import yewberry.pdf.proof.ReadBackReport.PageReport;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.ImageCache;
import yewberry.pdf.read.PagePlates;

/**
 * Two files that were made, page by page: what of the second differs from the first in size, in
 * colour, in its place and in its text.
 */
public final class FileComparison implements PageReaders.Reader {
    private static final int PPI = ReadBack.PPI;

    /** Letters that stand so far from where they stood have moved, in points: 0.1 mm. */
    private static final double MOVED = 0.1 * 72 / 25.4;

    /** In percent of a plate, or of light. */
    private static final double RECOLORED = 0.5;

    /** Letters so far from each other are of two words, in ems. */
    private static final double APART = 0.15;

    /** So many words of what was changed are told. */
    private static final int WORDS = 8;

    private final PDDocument first;
    private final PDDocument second;
    private final PageIndex firstPages;
    private final PageIndex secondPages;
    private final List<Pair> pairs;
    private final Common common;
    private final PressCondition condition;
    private final AtomicInteger pictures;
    private final ImageCache firstImages = new ImageCache();
    private final ImageCache secondImages = new ImageCache();

    /**
     * Two pages that are compared, by their numbers from 1.
     *
     * @param label of the second
     * @param before the label of the first
     */
    private record Pair(int first, int second, String label, String before) {}

    /**
     * What both files are painted in.
     *
     * @param medium paper where both are for a press, else a screen
     * @param alike whether both state colours in the same way
     */
    private record Common(Medium medium, boolean alike, List<String> spots) {}

    private FileComparison(
            PDDocument first,
            PDDocument second,
            List<Pair> pairs,
            Common common,
            PressCondition condition,
            AtomicInteger pictures) {
        this.first = first;
        this.second = second;
        this.firstPages = PageIndex.of(first);
        this.secondPages = PageIndex.of(second);
        this.pairs = pairs;
        this.common = common;
        this.condition = condition;
        this.pictures = pictures;
    }

    /**
     * @param spots the names of the spot inks that may be in them
     * @throws IOException if one of them cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport of(
            Path first,
            Path second,
            List<String> spots,
            PressCondition condition,
            Progress progress)
            throws IOException {
        List<String> problems = new ArrayList<>();
        List<Pair> pairs = pairs(leaves(first), leaves(second), problems);
        Common common;
        try (PDDocument one = open(first);
                PDDocument other = open(second)) {
            boolean press = isForPress(one);
            boolean alike = press == isForPress(other);
            common = new Common(press && alike ? Medium.PAPER : Medium.SCREEN, alike, spots);
        }
        AtomicInteger pictures = new AtomicInteger();
        PageReaders.Opener opener =
                document ->
                        new FileComparison(
                                open(first), document, pairs, common, condition, pictures);
        return ReadBackReport.of(
                PageReaders.read(second, "", opener, pairs.size(), progress), problems);
    }

    private static PDDocument open(Path file) throws IOException {
        return Opening.of(file, "");
    }

    /** ISO 15930-7 has an output intent of its own kind. */
    private static boolean isForPress(PDDocument document) {
        return document.getDocumentCatalog().getOutputIntents().stream()
                .anyMatch(each -> "GTS_PDFX".equals(each.getCOSObject().getNameAsString("S")));
    }

    /** Where there are none, pages are numbered. */
    private static List<String> labels(PDDocument document) throws IOException {
        PDPageLabels labels = document.getDocumentCatalog().getPageLabels();
        return labels == null
                ? IntStream.rangeClosed(1, document.getNumberOfPages())
                        .mapToObj(String::valueOf)
                        .toList()
                : Arrays.asList(labels.getLabelsByPageIndices());
    }

    /** What pages are known again by; the file is opened anew now and then, as it is read. */
    private static List<PagePairs.Leaf> leaves(Path file) throws IOException {
        List<PagePairs.Leaf> leaves = new ArrayList<>();
        int count = 1;
        while (leaves.size() < count) {
            try (PDDocument document = open(file)) {
                count = document.getNumberOfPages();
                List<String> labels = labels(document);
                PageIndex pages = PageIndex.of(document);
                int to = Math.min(count, leaves.size() + PageReaders.KEPT);
                for (int at = leaves.size(); at < to; at++) {
                    Cancellation.check();
                    leaves.add(leaf(labels.get(at), pages.page(at + 1)));
                }
            }
        }
        return leaves;
    }

    private static PagePairs.Leaf leaf(String label, PDPage page) throws IOException {
        PaintedPage painted = PaintedPage.read(page);
        PDRectangle trim = page.getTrimBox();
        String kind =
                "%.1f %.1f %d %d"
                        .formatted(
                                trim.getWidth(),
                                trim.getHeight(),
                                painted.areas().size(),
                                painted.files().size());
        return new PagePairs.Leaf(label, kind, new Text(painted.glyphs(), trim).words());
    }

    private static List<Pair> pairs(
            List<PagePairs.Leaf> first, List<PagePairs.Leaf> second, List<String> problems) {
        List<Pair> pairs = new ArrayList<>();
        BitSet inFirst = new BitSet();
        BitSet inSecond = new BitSet();
        for (PagePairs.Pair pair : PagePairs.of(first, second)) {
            inFirst.set(pair.first());
            inSecond.set(pair.second());
            pairs.add(
                    new Pair(
                            pair.first() + 1,
                            pair.second() + 1,
                            second.get(pair.second()).label(),
                            first.get(pair.first()).label()));
        }
        only(without(first, inFirst), "first", problems);
        only(without(second, inSecond), "second", problems);
        return pairs;
    }

    private static List<String> without(List<PagePairs.Leaf> pages, BitSet paired) {
        return IntStream.range(0, pages.size())
                .filter(at -> !paired.get(at))
                .mapToObj(at -> pages.get(at).label())
                .toList();
    }

    private static void only(List<String> labels, String file, List<String> problems) {
        if (!labels.isEmpty()) {
            problems.add(
                    "%s %s only in the %s file."
                            .formatted(
                                    labels.size() == 1 ? "Page" : "Pages",
                                    String.join(", ", labels)
                                            + (labels.size() == 1 ? " is" : " are"),
                                    file));
        }
    }

    @Override
    public PageReport page(int at) throws IOException {
        Pair pair = pairs.get(at);
        PDPage before = firstPages.page(pair.first());
        PDPage now = secondPages.page(pair.second());
        PDRectangle from = before.getTrimBox();
        PDRectangle to = now.getTrimBox();
        BoxCheck size =
                new BoxCheck(
                        "TrimBox",
                        extent(from),
                        extent(to),
                        near(from.getWidth(), to.getWidth())
                                && near(from.getHeight(), to.getHeight()));
        Rect shown = shown(before, now);
        DeviceColors colors = new DeviceColors(common.medium(), condition, common.spots());
        PlaneRaster one = paint(first, before, colors, firstImages, shown, PPI);
        PlateComparison comparison =
                PlateComparison.of(one, paint(second, now, colors, secondImages, shown, PPI));
        boolean pictured =
                !comparison.matches() && pictures.getAndIncrement() < ReadBack.MOST_PICTURES;
        return PageReport.of(
                        pair.second(),
                        List.of(size),
                        comparison.told(
                                PlateComparison.planes(common.medium(), common.spots()),
                                shown,
                                PPI,
                                Optional.of(one).filter(_ -> pictured)),
                        List.of(),
                        text(
                                new Text(PaintedPage.read(before).glyphs(), from),
                                new Text(PaintedPage.read(now).glyphs(), to)))
                .labelled(pair.label())
                .withOther(new OtherPage(pair.first(), pair.before()));
    }

    private static Extent extent(PDRectangle box) {
        return new Extent(0, 0, box.getWidth(), box.getHeight());
    }

    private static boolean near(double one, double other) {
        return Math.abs(one - other) <= ReadBack.BOX_TOLERANCE;
    }

    /** What both pages have, from the top left corner of the trim: with the bleed on paper. */
    private Rect shown(PDPage before, PDPage now) {
        Rect one = around(before);
        Rect other = around(now);
        return one.intersection(other);
    }

    private Rect around(PDPage page) {
        PDRectangle trim = page.getTrimBox();
        PDRectangle box = common.medium() == Medium.PAPER ? page.getBleedBox() : trim;
        return new Rect(
                box.getLowerLeftX() - trim.getLowerLeftX(),
                trim.getUpperRightY() - box.getUpperRightY(),
                box.getWidth(),
                box.getHeight());
    }

    /**
     * @param shown from the top left corner of the trim
     */
    private static PlaneRaster paint(
            PDDocument document,
            PDPage page,
            DeviceColors colors,
            ImageCache images,
            Rect shown,
            double ppi)
            throws IOException {
        double scale = ppi / 72;
        PDRectangle trim = page.getTrimBox();
        AffineTransform toPixels =
                new AffineTransform(
                        scale,
                        0,
                        0,
                        -scale,
                        -(trim.getLowerLeftX() + shown.x()) * scale,
                        (trim.getUpperRightY() - shown.y()) * scale);
        return PagePlates.of(
                        page,
                        SwitchedLayers.switched(document, "View"),
                        colors,
                        images,
                        toPixels,
                        (int) Math.ceil(shown.width() * scale),
                        (int) Math.ceil(shown.height() * scale))
                .paint();
    }

    /**
     * A page of a file that was made here, cut at its trim, as a screen shows it.
     *
     * @param number of the page, from 1
     * @param longer its longer side in pixels
     * @throws IOException if it cannot be read, or there is no such page
     */
    public static BufferedImage picture(Path file, int number, int longer, PressCondition condition)
            throws IOException {
        try (PDDocument document = open(file)) {
            PDPage page = PageIndex.of(document).page(number);
            PDRectangle trim = page.getTrimBox();
            PlaneRaster raster =
                    paint(
                            document,
                            page,
                            new DeviceColors(Medium.SCREEN, condition, List.of()),
                            new ImageCache(),
                            new Rect(0, 0, trim.getWidth(), trim.getHeight()),
                            longer * 72 / Math.max(trim.getWidth(), trim.getHeight()));
            BufferedImage picture =
                    new BufferedImage(raster.width(), raster.height(), BufferedImage.TYPE_INT_RGB);
            for (int at = 0; at < raster.width() * raster.height(); at++) {
                int rgb = 0;
                for (int plane = 0; plane < 3; plane++) {
                    rgb = rgb << 8 | Math.round((1 - raster.printed(plane, at)) * 255);
                }
                picture.setRGB(at % raster.width(), at / raster.width(), rgb);
            }
            return picture;
        }
    }

    /** The letters of a page, without spaces, which not every file has. */
    private record Text(List<PaintedGlyph> glyphs, PDRectangle trim) {
        Text {
            glyphs = glyphs.stream().filter(each -> !each.text().isBlank()).toList();
        }

        String letters() {
            return glyphs.stream().map(PaintedGlyph::text).collect(Collectors.joining());
        }

        /** What stands apart is a word of its own. */
        List<String> words() {
            List<String> words = new ArrayList<>();
            StringBuilder word = new StringBuilder();
            for (int i = 0; i < glyphs.size(); i++) {
                word.append(glyphs.get(i).text().strip());
                if (i + 1 == glyphs.size() || isApart(glyphs.get(i), glyphs.get(i + 1))) {
                    words.add(word.toString());
                    word.setLength(0);
                }
            }
            return words;
        }

        private static boolean isApart(PaintedGlyph left, PaintedGlyph right) {
            double em = Math.abs(left.matrix().getScalingFactorY());
            return Math.abs(left.y() - right.y()) > 1
                    || right.ink().getMinX() - left.ink().getMaxX() > APART * em;
        }

        double x(int at) {
            return glyphs.get(at).x() - trim.getLowerLeftX();
        }

        double y(int at) {
            return trim.getUpperRightY() - glyphs.get(at).y();
        }

        /** As it reads from a letter on, as far as the end of the word. */
        String from(int at) {
            StringBuilder word = new StringBuilder(glyphs.get(at).text());
            for (int i = at + 1;
                    i < glyphs.size() && !isApart(glyphs.get(i - 1), glyphs.get(i));
                    i++) {
                word.append(glyphs.get(i).text());
            }
            return word.toString();
        }
    }

    private List<String> text(Text before, Text now) {
        List<String> problems = new ArrayList<>();
        if (!before.letters().equals(now.letters())) {
            problems.add(changed(before.words(), now.words()));
            return problems;
        }
        if (before.glyphs().size() != now.glyphs().size()) {
            return problems; // other letters that read the same
        }
        IntPredicate moved =
                at -> Math.hypot(before.x(at) - now.x(at), before.y(at) - now.y(at)) > MOVED;
        told(now, moved, "stand elsewhere", problems);
        if (common.alike()) {
            IntPredicate recolored =
                    at ->
                            !before.glyphs()
                                    .get(at)
                                    .plates()
                                    .map(one ->
                                            now.glyphs()
                                                    .get(at)
                                                    .plates()
                                                    .filter(other -> one.matches(other, RECOLORED))
                                                    .isPresent())
                                    .orElseGet(() -> now.glyphs().get(at).plates().isEmpty());
            told(now, recolored, "have another colour", problems);
        }
        return problems;
    }

    private static void told(Text text, IntPredicate differs, String what, List<String> problems) {
        int[] found = IntStream.range(0, text.glyphs().size()).filter(differs).toArray();
        if (found.length > 0) {
            problems.add(
                    "%s of %s letters %s, from “%s” on."
                            .formatted(
                                    Numbers.plain(found.length),
                                    Numbers.plain(text.glyphs().size()),
                                    what,
                                    text.from(found[0])));
        }
    }

    /** What lies between the words that are the same at the beginning and at the end. */
    private static String changed(List<String> was, List<String> is) {
        int most = Math.min(was.size(), is.size());
        int begin = 0;
        while (begin < most && was.get(begin).equals(is.get(begin))) {
            begin++;
        }
        int end = 0;
        while (end < most - begin
                && was.get(was.size() - 1 - end).equals(is.get(is.size() - 1 - end))) {
            end++;
        }
        String before = some(was.subList(begin, was.size() - end));
        String now = some(is.subList(begin, is.size() - end));
        if (before.isEmpty()) {
            return "New in the second file: “%s”.".formatted(now);
        }
        return now.isEmpty()
                ? "Only in the first file: “%s”.".formatted(before)
                : "“%s” reads “%s” in the second file.".formatted(before, now);
    }

    private static String some(List<String> words) {
        return String.join(" ", words.subList(0, Math.min(WORDS, words.size())))
                + (words.size() > WORDS ? " …" : "");
    }

    /** The second is closed by whoever opened it. */
    @Override
    public void close() throws IOException {
        first.close();
    }
}
