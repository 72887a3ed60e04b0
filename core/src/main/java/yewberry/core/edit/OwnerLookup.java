package yewberry.core.edit;

import java.util.UUID;
import java.util.function.Predicate;
import yewberry.core.Refused;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;

/** Finds what something lies on. */
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

    static UUID frameOfRun(Publication in, UUID run) {
        return in.layers()
                .flatMap(layer -> layer.frames().stream())
                .filter(frame -> holds(frame, run))
                .map(TextFrame::id)
                .findFirst()
                .orElseThrow(() -> gone("text"));
    }

    private static boolean holds(TextFrame frame, UUID run) {
        return frame.paragraphs().stream()
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

    private static Refused gone(String what) {
        return new Refused(
                "This %s is not in the publication any more; reload to see what is there."
                        .formatted(what));
    }
}
