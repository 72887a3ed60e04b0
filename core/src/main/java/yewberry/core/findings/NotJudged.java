package yewberry.core.findings;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.asset.PageText;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Element;
import yewberry.core.publication.Layer;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * A picture or a PDF that is shown on pages, and what is written in it: that is drawn and not read,
 * so it can be neither judged nor passed. What is decoration is not counted. The pages of a file
 * are read; of those it is what could not be judged.
 *
 * @param asset the picture or the PDF
 * @param where it is used, or where something of it was not judged
 * @param why of the pages of a file, each reason once
 */
public record NotJudged(UUID asset, String name, Uses.Places where, List<PageText.Why> why) {
    /**
     * All of a publication, by their names.
     *
     * @param checked pages, by their positions
     */
    public static List<NotJudged> of(Publication publication, Map<Integer, Checked> checked) {
        Stream<NotJudged> drawn =
                publication.assets().stream()
                        .filter(asset ->
                                publication.layers().anyMatch(layer -> shows(layer, asset)))
                        .map(asset ->
                                new NotJudged(
                                        asset.id(),
                                        asset.name(),
                                        Uses.places(publication, asset.id()),
                                        List.of()));
        return Stream.concat(drawn, inFiles(publication, checked).stream())
                .sorted((one, other) -> one.name().compareTo(other.name()))
                .toList();
    }

    private static List<NotJudged> inFiles(Publication publication, Map<Integer, Checked> checked) {
        Map<UUID, List<Integer>> pages = new LinkedHashMap<>();
        Map<UUID, Set<PageText.Why>> why = new LinkedHashMap<>();
        checked.forEach((at, page) -> {
            if (!page.unread().isEmpty()) {
                UUID file = publication.pages().get(at).imported().orElseThrow().asset();
                pages.computeIfAbsent(file, _ -> new ArrayList<>()).add(at + 1);
                page.unread()
                        .forEach(each ->
                                why.computeIfAbsent(file, _ -> new TreeSet<>()).add(each.why()));
            }
        });
        List<NotJudged> all = new ArrayList<>();
        pages.forEach((file, numbers) ->
                all.add(
                        new NotJudged(
                                file,
                                publication.asset(file).name(),
                                new Uses.Places(List.of(), numbers),
                                List.copyOf(why.get(file)))));
        return all;
    }

    private static boolean shows(Layer layer, Asset asset) {
        Stream<Element> all =
                Stream.concat(
                        layer.backgrounds().stream(),
                        layer.frames().stream()
                                .filter(frame ->
                                        !(frame instanceof PictureFrame picture
                                                && (picture.isRunningItem()
                                                        || picture.meaning().decoration()))));
        return all.anyMatch(
                each -> each.references().stream().anyMatch(to -> to.id().equals(asset.id())));
    }
}
