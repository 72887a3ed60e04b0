package yewberry.server.view;

import java.util.List;
import yewberry.core.publication.PageSize;
import yewberry.core.text.FontLibrary;

/** What a new publication can be made of. */
public record Options(List<PageSize.Named> sizes, List<FontLibrary.Family> families) {}
