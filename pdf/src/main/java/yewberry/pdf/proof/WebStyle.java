package yewberry.pdf.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * What a style sheet makes of the elements of a page: of declarations for the same property the
 * last one holds, as in CSS 2.2, 6.4.1, where selectors are equally specific.
 */
final class WebStyle {
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");

    /** What elements have from those that they stand in: CSS 2.2, appendix F. */
    private static final Set<String> INHERITED =
            Set.of(
                    "color",
                    "font-family",
                    "font-size",
                    "font-weight",
                    "font-style",
                    "line-height",
                    "text-align");

    private final Map<Element, Map<String, String>> declared = new IdentityHashMap<>();
    private final List<Map<String, String>> fonts = new ArrayList<>();

    WebStyle(Document page, String css) {
        Matcher rule = RULE.matcher(css);
        while (rule.find()) {
            String selector = rule.group(1).strip();
            Map<String, String> declarations = declarations(rule.group(2));
            if (selector.equals("@font-face")) {
                fonts.add(declarations);
                continue;
            }
            for (Element each : page.select(selector)) {
                declared.computeIfAbsent(each, _ -> new HashMap<>()).putAll(declarations);
            }
        }
    }

    private static Map<String, String> declarations(String text) {
        Map<String, String> declarations = new LinkedHashMap<>();
        for (String each : text.split(";")) {
            int colon = each.indexOf(':');
            if (colon > 0) {
                declarations.put(
                        each.substring(0, colon).strip(), each.substring(colon + 1).strip());
            }
        }
        return declarations;
    }

    /** The declarations of each font that is loaded. */
    List<Map<String, String>> fonts() {
        return List.copyOf(fonts);
    }

    /** What is declared of an element itself. */
    Map<String, String> declared(Element of) {
        return Map.copyOf(declared.getOrDefault(of, Map.of()));
    }

    /** What a property of an element is; empty where nothing says so. */
    String value(Element of, String property) {
        for (Element at = of; at != null; at = at.parent()) {
            String value = declared.getOrDefault(at, Map.of()).get(property);
            if (value != null || !INHERITED.contains(property)) {
                return Optional.ofNullable(value).orElse("");
            }
        }
        return "";
    }

    /** The element whose background is seen behind another; nothing where none has one. */
    Optional<Element> behind(Element of) {
        for (Element at = of; at != null; at = at.parent()) {
            if (declared.getOrDefault(at, Map.of()).containsKey("background-color")) {
                return Optional.of(at);
            }
        }
        return Optional.empty();
    }
}
