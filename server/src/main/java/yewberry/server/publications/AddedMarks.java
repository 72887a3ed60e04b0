package yewberry.server.publications;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import yewberry.core.Cancellation;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Publication;
import yewberry.pdf.AddedItem;
import yewberry.pdf.AddedLayers;
import yewberry.server.view.AddedBefore;
import yewberry.server.view.FilesView;

/** Reads what files say of themselves: what was added to them, and whether they may be changed. */
@Component
public class AddedMarks {
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
        Map<AddedItem.Kind, Integer> items = new EnumMap<>(AddedItem.Kind.class);
        Map<AddedItem.Kind, Integer> in = new EnumMap<>(AddedItem.Kind.class);
        List<String> signed = new ArrayList<>();
        List<String> closed = new ArrayList<>();
        List<FilesView.Claim> claims = new ArrayList<>();
        Medium medium = publication.setup().destination().media().getFirst();
        boolean seeThrough = publication.layers().anyMatch(AddedMarks::isSeeThrough);
        for (UUID each : assets) {
            Cancellation.check();
            Asset asset = publication.asset(each);
            byte[] file = files.read(asset.sha256());
            try {
                AddedLayers.Seals seals = AddedLayers.seals(file);
                if (seals.closed()) {
                    closed.add(asset.name());
                } else if (seals.signed()) {
                    signed.add(asset.name());
                }
                AddedLayers.claims(file, medium, seeThrough)
                        .forEach(claim ->
                                claims.add(
                                        new FilesView.Claim(
                                                asset.name(), claim.standard(), claim.doubt())));
                Set<AddedItem.Kind> kinds = EnumSet.noneOf(AddedItem.Kind.class);
                for (List<AddedItem> page : AddedLayers.added(file).values()) {
                    for (AddedItem item : page) {
                        items.merge(item.kind(), 1, Integer::sum);
                        kinds.add(item.kind());
                    }
                }
                kinds.forEach(kind -> in.merge(kind, 1, Integer::sum));
            } catch (IOException unreadable) {
                // it says nothing of itself; why it cannot go out is told when it is to
            }
        }
        return new FilesView(
                items.entrySet().stream()
                        .map(each ->
                                new AddedBefore(
                                        each.getKey(), each.getValue(), in.get(each.getKey())))
                        .toList(),
                signed,
                closed,
                claims);
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
