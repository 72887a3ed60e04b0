package yewberry.pdf.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.proof.ReadBackReport.OtherPage;
import yewberry.pdf.proof.ReadBackReport.PageReport;

/** The pages of a file that was made before, and where they are in an output now. */
final class SincePages {
    private final PdfOutput output;
    private final List<PageReport> made;
    private final List<Held> held = new ArrayList<>();
    private final List<Integer> gone = new ArrayList<>();

    /** A page of a file and the one of an output that it is held against, both from 0. */
    record Held(int page, int scene) {
        /** Each against the one of its place. */
        static List<Held> inPlace(PdfOutput output) {
            return IntStream.range(0, output.scenes().size())
                    .mapToObj(at -> new Held(at, at))
                    .toList();
        }
    }

    /**
     * @param made what was found of each page of the file when it was made
     */
    SincePages(PdfOutput output, List<PageReport> made) {
        this.output = output;
        this.made = made;
        Map<List<UUID>, Integer> now = new HashMap<>();
        for (int i = 0; i < output.scenes().size(); i++) {
            now.put(output.scenes().get(i).pages(), i);
        }
        for (int i = 0; i < made.size(); i++) {
            Integer scene = now.get(made.get(i).pages());
            if (scene == null) {
                gone.add(i);
            } else {
                held.add(new Held(i, scene));
            }
        }
    }

    /** Whether all is where it was; so it is taken of files of which it is not known. */
    boolean areInPlace() {
        return made.stream().anyMatch(each -> each.page().isEmpty())
                || held.equals(Held.inPlace(output))
                        && gone.isEmpty()
                        && held.stream()
                                .allMatch(each ->
                                        label(each.page()).equals(output.label(each.scene())));
    }

    /** In the order of the file. */
    List<Held> held() {
        return List.copyOf(held);
    }

    /** What has become of pages as such, in words. */
    List<String> problems() {
        List<String> problems = new ArrayList<>();
        if (!gone.isEmpty()) {
            problems.add(
                    "%s of the file %s not among the pages any more."
                            .formatted(
                                    pages(gone.stream().map(this::label).toList()),
                                    gone.size() == 1 ? "is" : "are"));
        }
        Set<Integer> there = new HashSet<>();
        held.forEach(each -> there.add(each.scene()));
        List<String> added =
                IntStream.range(0, output.scenes().size())
                        .filter(scene -> !there.contains(scene))
                        .mapToObj(output::label)
                        .toList();
        if (!added.isEmpty()) {
            problems.add(
                    "%s %s not in the file."
                            .formatted(pages(added), added.size() == 1 ? "is" : "are"));
        }
        boolean inOrder =
                IntStream.range(1, held.size())
                        .allMatch(at -> held.get(at).scene() > held.get(at - 1).scene());
        if (!inOrder) {
            problems.add("The pages are in another order now.");
        }
        return problems;
    }

    private static String pages(List<String> labels) {
        int most = 20;
        String named = String.join(", ", labels.subList(0, Math.min(most, labels.size())));
        String more = labels.size() > most ? " and %d more".formatted(labels.size() - most) : "";
        return (labels.size() == 1 ? "Page " : "Pages ") + named + more;
    }

    /** The page of the file that one is held against. */
    OtherPage before(Held of) {
        return new OtherPage(of.page() + 1, label(of.page()));
    }

    private String label(int page) {
        return made.get(page).label().orElse(String.valueOf(page + 1));
    }
}
