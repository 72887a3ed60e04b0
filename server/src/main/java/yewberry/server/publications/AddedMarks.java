package yewberry.server.publications;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import yewberry.core.Cancellation;
import yewberry.core.asset.KnownFile;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.pdf.AddedItem;
import yewberry.pdf.AddedLayers;
import yewberry.server.view.AddedBefore;
import yewberry.server.view.FilesView;

/** Reads what files say of themselves: what was added to them, and whether they may be changed. */
@Component
public class AddedMarks {
    /** More single things of a kind than anybody would tick one by one. */
    private static final int MANY = 20;

    private static final long REMEMBERED = 10_000;

    private final Cache<String, AddedLayers.Marks> marks =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Publications publications;
    private final PictureFiles files;

    AddedMarks(Publications publications, PictureFiles files) {
        this.publications = publications;
        this.files = files;
    }

    /** Of all files whose pages are in a publication. */
    public FilesView of(UUID id) {
        Publication publication = publications.get(id).state().publication();
        Set<UUID> assets =
                publication.pages().stream()
                        .flatMap(page -> page.imported().stream())
                        .map(Imported::asset)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        Added added = new Added();
        List<String> signed = new ArrayList<>();
        List<String> closed = new ArrayList<>();
        List<FilesView.Claim> claims = new ArrayList<>();
        Medium medium = publication.setup().destination().media().getFirst();
        boolean seeThrough = publication.layers().anyMatch(AddedMarks::isSeeThrough);
        int switched =
                (int)
                        publication
                                .layers()
                                .flatMap(AddedMarks::goTo)
                                .filter(to -> to.screen() != to.paper())
                                .count();
        for (UUID each : assets) {
            Cancellation.check();
            Asset asset = publication.asset(each);
            KnownFile file = files.known(asset.sha256()).fetched();
            try {
                AddedLayers.Seals seals = AddedLayers.seals(file);
                if (seals.closed()) {
                    closed.add(asset.name());
                } else if (seals.signed()) {
                    signed.add(asset.name());
                }
                AddedLayers.claims(file, medium, seeThrough || hasSeeThrough(asset), switched > 0)
                        .forEach(claim ->
                                claims.add(
                                        new FilesView.Claim(
                                                asset.name(), claim.standard(), claim.doubt())));
                added.add(asset, marks.get(asset.sha256(), _ -> marks(file)));
            } catch (IOException | UncheckedIOException unreadable) {
                // it says nothing of itself; why it cannot go out is told when it is to
            }
        }
        return new FilesView(
                added.told(),
                publication.pages().stream()
                        .flatMap(page -> page.imported().stream())
                        .map(Imported::asset)
                        .distinct()
                        .map(each -> new FilesView.OneFile(each, publication.asset(each).name()))
                        .toList(),
                signed,
                closed,
                claims,
                medium,
                switched);
    }

    /**
     * Whether something of its content is made see-through: pixels of its pictures, which need a
     * soft mask, or a colour behind words.
     */
    private static boolean hasSeeThrough(Asset file) {
        return file.recolored().stream()
                        .anyMatch(each ->
                                each.to().isEmpty() && each.what().contains(Recolor.What.PICTURES))
                || file.backings().stream().anyMatch(each -> each.opacity() < 100);
    }

    private static Stream<Background.GoesTo> goTo(Layer layer) {
        return Stream.concat(
                layer.backgrounds().stream().map(Background::goesTo),
                layer.frames().stream()
                        .filter(PictureFrame.class::isInstance)
                        .map(PictureFrame.class::cast)
                        .map(PictureFrame::goesTo));
    }

    private static AddedLayers.Marks marks(KnownFile file) {
        try {
            return AddedLayers.marks(file);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** What was found in one file after the other. */
    private static final class Added {
        private final Map<String, Found> found = new LinkedHashMap<>();

        private record Found(String what, AddedItem.Kind kind, String name, boolean byOthers) {}

        private final Map<Found, Integer> pages = new LinkedHashMap<>();
        private final Map<Found, Set<UUID>> files = new LinkedHashMap<>();

        void add(Asset file, AddedLayers.Marks marks) {
            for (List<AddedItem> page : marks.added().values()) {
                page.stream()
                        .map(item ->
                                found.computeIfAbsent(
                                        item.element().toString(),
                                        what -> new Found(what, item.kind(), item.name(), false)))
                        .distinct()
                        .forEach(each -> count(each, 1, file));
            }
            marks.others()
                    .forEach((kind, count) ->
                            count(
                                    found.computeIfAbsent(
                                            AddedBefore.BY_OTHERS + kind.name(),
                                            what -> new Found(what, kind, "", true)),
                                    count,
                                    file));
        }

        private void count(Found what, int more, Asset file) {
            pages.merge(what, more, Integer::sum);
            files.computeIfAbsent(what, _ -> new LinkedHashSet<>()).add(file.id());
        }

        /** Of a kind with many it is told once for all. */
        List<AddedBefore> told() {
            Map<AddedItem.Kind, Long> counts =
                    found.values().stream()
                            .filter(each -> !each.byOthers())
                            .collect(Collectors.groupingBy(Found::kind, Collectors.counting()));
            List<AddedBefore> told = new ArrayList<>();
            counts.forEach((kind, count) -> {
                if (count > MANY) {
                    told.add(all(kind));
                }
            });
            found.values().stream()
                    .filter(each -> each.byOthers() || counts.get(each.kind()) <= MANY)
                    .map(each ->
                            new AddedBefore(
                                    each.what(),
                                    each.kind(),
                                    each.name(),
                                    each.byOthers(),
                                    pages.get(each),
                                    List.copyOf(files.get(each))))
                    .forEach(told::add);
            return told;
        }

        private AddedBefore all(AddedItem.Kind kind) {
            List<Found> of =
                    found.values().stream()
                            .filter(each -> each.kind() == kind && !each.byOthers())
                            .toList();
            return new AddedBefore(
                    kind.name(),
                    kind,
                    "",
                    false,
                    of.stream().mapToInt(pages::get).sum(),
                    of.stream().flatMap(each -> files.get(each).stream()).distinct().toList());
        }
    }

    /** Whether anything on it lets through what is below. */
    private static boolean isSeeThrough(Layer layer) {
        boolean backgrounds =
                layer.backgrounds().stream()
                        .anyMatch(each ->
                                each.opacity() < 100
                                        || each.blend() != BlendMode.NORMAL
                                        || isSeeThrough(each.fill()));
        return backgrounds
                || layer.pictureFrames().stream()
                        .anyMatch(each ->
                                each.opacity() < 100
                                        || each.blend() != BlendMode.NORMAL
                                        || isSeeThrough(each.fill()));
    }

    /** A picture may be, in parts. */
    private static boolean isSeeThrough(Fill fill) {
        return switch (fill) {
            case Fill.Gradient gradient ->
                    gradient.stops().stream().anyMatch(stop -> stop.opacity() < 100);
            case Fill.Picture _, Fill.PdfPage _ -> true;
            case Fill.None _, Fill.Solid _, Fill.Word _ -> false;
        };
    }
}
