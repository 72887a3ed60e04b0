package yewberry.core.edit;

import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.publication.Background;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;

/** Finds what something lies on, and changes that. */
final class OwnerLookup {
    private OwnerLookup() {}

    static Owner ownerOfBackground(Publication in, UUID background) {
        return owner(
                in,
                layer -> layer.backgrounds().stream().anyMatch(b -> b.id().equals(background)),
                "background");
    }

    static Owner ownerOfFrame(Publication in, UUID frame) {
        return owner(
                in, layer -> layer.frames().stream().anyMatch(f -> f.id().equals(frame)), "frame");
    }

    static Background background(Publication in, UUID background) {
        return in.layers()
                .flatMap(layer -> layer.backgrounds().stream())
                .filter(each -> each.id().equals(background))
                .findFirst()
                .orElseThrow(() -> gone("background"));
    }

    static TextFrame frame(Publication in, UUID frame) {
        return in.layers()
                .flatMap(layer -> layer.textFrames().stream())
                .filter(each -> each.id().equals(frame))
                .findFirst()
                .orElseThrow(() -> gone("frame"));
    }

    static Frame anyFrame(Publication in, UUID frame) {
        return in.layers()
                .flatMap(layer -> layer.frames().stream())
                .filter(each -> each.id().equals(frame))
                .findFirst()
                .orElseThrow(() -> gone("frame"));
    }

    static PictureFrame pictureFrame(Publication in, UUID frame) {
        return in.layers()
                .flatMap(layer -> layer.pictureFrames().stream())
                .filter(each -> each.id().equals(frame))
                .findFirst()
                .orElseThrow(() -> gone("picture"));
    }

    static Story storyOfRun(Publication in, UUID run) {
        return in.stories().stream()
                .filter(story -> holds(story, run))
                .findFirst()
                .orElseThrow(() -> gone("text"));
    }

    private static boolean holds(Story story, UUID run) {
        return story.paragraphs().stream()
                .flatMap(paragraph -> paragraph.runs().stream())
                .anyMatch(each -> each.id().equals(run));
    }

    private static Owner owner(Publication in, Predicate<Layer> holds, String what) {
        return in.carriers()
                .filter(carrier -> holds.test(carrier.layer()))
                .findFirst()
                .map(Carrier::asOwner)
                .orElseThrow(() -> gone(what));
    }

    static Publication changeLayer(Publication on, Owner owner, UnaryOperator<Layer> change) {
        return on.withLayers(Map.of(owner, change));
    }

    static void sidesFit(Owner owner, Sides sides) {
        if (owner instanceof Owner.OnPage && sides != Sides.BOTH) {
            throw new Refused(
                    "Only what is on a parent can be kept to left or right pages; this is on a page.");
        }
    }

    private static Refused gone(String what) {
        return new Refused(
                "This %s is not in the publication any more; reload to see what is there."
                        .formatted(what));
    }
}
