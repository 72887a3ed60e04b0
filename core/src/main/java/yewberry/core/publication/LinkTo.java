package yewberry.core.publication;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Refused;

/** Where characters lead whoever follows them. */
public sealed interface LinkTo {
    /**
     * An address, such as {@code https://example.org/night} or {@code mailto:night@example.org}.
     *
     * @throws Refused if it is none of the web, of mail or of a telephone
     */
    record Address(String uri) implements LinkTo {
        private static final Set<String> SCHEMES = Set.of("https", "http", "mailto", "tel");
        private static final int LONGEST = 2000;

        public Address {
            uri = uri.strip();
            if (uri.length() > LONGEST || !SCHEMES.contains(scheme(uri))) {
                throw new Refused(
                        "“%s” is not an address; write one that begins with https://, http://, mailto: or tel:."
                                .formatted(uri.length() > 80 ? uri.substring(0, 80) + "…" : uri));
            }
        }

        private static String scheme(String uri) {
            try {
                URI parsed = new URI(uri);
                boolean leads =
                        parsed.getSchemeSpecificPart() != null
                                && (parsed.isOpaque() || parsed.getHost() != null);
                return leads && parsed.getScheme() != null
                        ? parsed.getScheme().toLowerCase(Locale.ROOT)
                        : "";
            } catch (URISyntaxException e) {
                return "";
            }
        }
    }

    /** A page of the publication. */
    record ToPage(UUID page) implements LinkTo {}

    /** A paragraph of a story, such as a heading: where it begins. */
    record ToParagraph(UUID story, UUID paragraph) implements LinkTo {}
}
