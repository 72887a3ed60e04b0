package yewberry.pdf.proof;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.select.Selector;

/** How a web page of the stories differs from another one: elements, text, colours, files. */
public final class WebDifference {
    private static final int MOST = 5;
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
        for (int at = 0; at < Math.max(first.found.size(), second.found.size()); at++) {
            String one = first.says(at);
            String other = second.says(at);
            if (!one.equals(other)) {
                differences.add(
                        "%s %s %s, and %s %s."
                                .formatted(
                                        page.isEmpty() ? "There is" : "On " + page + " there is",
                                        one,
                                        first.named,
                                        other,
                                        second.named));
                return; // all that follows would be told, too
            }
            page = one.startsWith("page ") ? one : page;
            boolean isText = one.startsWith("“");
            if (isText && !first.looks(at).equals(second.looks(at))) {
                differences.add(
                        "On %s, %s is %s %s, and %s %s."
                                .formatted(
                                        page,
                                        one,
                                        first.looks(at),
                                        first.named,
                                        second.looks(at),
                                        second.named));
            }
        }
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
