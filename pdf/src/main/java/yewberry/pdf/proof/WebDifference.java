package yewberry.pdf.proof;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Selector;

/** How a web page of the stories differs from another one: elements, text, colours, files. */
public final class WebDifference {
    private static final int MOST = 5;

    /** So many elements are passed over to find where both go on alike. */
    private static final int FARTHEST = 400;

    private static final List<String> LOOKS =
            List.of("color", "font-family", "font-size", "font-weight", "font-style");

    private final Side first;
    private final Side second;
    private final List<String> differences = new ArrayList<>();

    /** One of them, and what it is called in words. */
    private static final class Side {
        private final Map<String, byte[]> files;
        private final String named;
        private final List<WebReadBack.Found> found;
        private final WebStyle style;

        Side(Map<String, byte[]> files, String named) {
            this.files = files;
            this.named = named;
            Document page = Jsoup.parse(text("index.html"));
            this.found = WebReadBack.found(page.body());
            this.style = new WebStyle(page, text("style.css"));
        }

        private String text(String name) {
            return new String(files.getOrDefault(name, new byte[0]), StandardCharsets.UTF_8);
        }

        String says(int at) {
            // words end with the space that parts them from the next
            return at < found.size() ? found.get(at).says().replace(" ”", "”") : "the end";
        }

        /** The first words of some elements, or what they are if they have none. */
        String words(int from, int count) {
            return IntStream.range(from, from + count)
                    .mapToObj(this::says)
                    .filter(each -> each.startsWith("“"))
                    .findFirst()
                    .orElseGet(() -> says(from));
        }

        String looks(int at) {
            Element element = found.get(at).at();
            String behind =
                    style.behind(element)
                            .map(it ->
                                    style.value(it, "background-color")
                                            + style.value(it, "background-image"))
                            .orElse("nothing");
            return "%s on %s, %s"
                    .formatted(
                            style.value(element, LOOKS.getFirst()),
                            behind,
                            String.join(
                                    " ",
                                    LOOKS.stream()
                                            .skip(1)
                                            .map(each -> style.value(element, each))
                                            .toList()));
        }
    }

    private WebDifference(Side first, Side second) {
        this.first = first;
        this.second = second;
    }

    /**
     * @param one its files by their names
     * @param named what it is called: what differs is so in it
     * @return in words, no more than a few; nothing where all is the same
     */
    public static List<String> of(
            Map<String, byte[]> one, String named, Map<String, byte[]> other, String otherNamed) {
        try {
            WebDifference difference =
                    new WebDifference(new Side(one, named), new Side(other, otherNamed));
            difference.elements();
            difference.files();
            return difference.differences.stream().limit(MOST).toList();
        } catch (Selector.SelectorParseException broken) {
            return List.of("One of the style sheets cannot be read.");
        }
    }

    private void elements() {
        String page = "";
        int at = 0;
        int there = 0;
        while (at < first.found.size() || there < second.found.size()) {
            String one = first.says(at);
            if (!one.equals(second.says(there))) {
                Gap gap = gap(at, there);
                differences.add(told(page, at, there, gap));
                at += gap.first();
                there += gap.second();
                continue;
            }
            page = one.startsWith("page ") ? one : page;
            String look = one.startsWith("“") ? first.looks(at) : "";
            String other = look.isEmpty() ? "" : second.looks(there);
            if (!look.equals(other)) {
                differences.add(
                        sentence(
                                page,
                                "%s is %s %s, and %s %s."
                                        .formatted(one, look, first.named, other, second.named)));
            }
            at++;
            there++;
        }
    }

    /** So many elements of each that the other does not have there. */
    private record Gap(int first, int second) {}

    /** The fewest that are passed over until both go on alike; all that is left if they do not. */
    private Gap gap(int at, int there) {
        for (int both = 1; both <= FARTHEST; both++) {
            for (int one = 0; one <= both; one++) {
                Gap gap = new Gap(one, both - one);
                if (goesOn(at + gap.first(), there + gap.second())) {
                    return gap;
                }
            }
        }
        return new Gap(
                Math.max(0, first.found.size() - at), Math.max(0, second.found.size() - there));
    }

    /** Alike for two elements, of which a single one may be by chance. */
    private boolean goesOn(int at, int there) {
        return at <= first.found.size()
                && there <= second.found.size()
                && first.says(at).equals(second.says(there))
                && first.says(at + 1).equals(second.says(there + 1));
    }

    private String told(String page, int at, int there, Gap gap) {
        String one = first.words(at, gap.first());
        String other = second.words(there, gap.second());
        String sentence;
        if (gap.second() == 0) {
            sentence = "%s is there only %s.".formatted(one, first.named);
        } else if (gap.first() == 0) {
            sentence = "%s is there only %s.".formatted(other, second.named);
        } else {
            sentence =
                    "%s is there %s, and %s %s.".formatted(one, first.named, other, second.named);
        }
        return sentence(page, sentence);
    }

    private static String sentence(String page, String text) {
        return page.isEmpty()
                ? text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1)
                : "On %s, %s".formatted(page, text);
    }

    private void files() {
        Set<String> names = new TreeSet<>(first.files.keySet());
        names.addAll(second.files.keySet());
        for (String name : names) {
            byte[] one = first.files.get(name);
            byte[] other = second.files.get(name);
            if (one == null || other == null) {
                differences.add(
                        "“%s” is there only %s."
                                .formatted(name, one == null ? second.named : first.named));
            } else if (!Arrays.equals(one, other) && isElsewhereUntold(name)) {
                differences.add("“%s” is another file.".formatted(name));
            }
        }
    }

    /** What is in the page and its style sheet is told by element, where that tells of anything. */
    private boolean isElsewhereUntold(String name) {
        return !(name.equals("index.html") || name.equals("style.css")) || differences.isEmpty();
    }
}
