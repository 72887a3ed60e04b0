package yewberry.server.view;

import java.util.Arrays;
import java.util.List;
import yewberry.core.publication.Language;
import yewberry.core.publication.PageSize;
import yewberry.core.text.FontLibrary;

/** What a publication can be made of. */
public record Options(
        List<PageSize.Named> sizes, List<FontLibrary.Family> families, List<Spoken> languages) {
    /**
     * A language of text.
     *
     * @param name for people
     */
    public record Spoken(Language id, String name) {}

    public static Options all() {
        return new Options(
                PageSize.common(),
                FontLibrary.families(),
                Arrays.stream(Language.values())
                        .map(each -> new Spoken(each, each.inWords()))
                        .toList());
    }
}
