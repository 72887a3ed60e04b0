package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.publication.Box;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Frame;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.core.publication.Story.Link;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;

/** Applies edits of text frames and of the chains they stand in. */
final class FrameEdits {
    private FrameEdits() {}

    static Publication apply(Publication on, FrameEdit edit) {
        return switch (edit) {
            case FrameEdit.AddFrame add -> add(on, add);
            case FrameEdit.ContinueFrame more -> goOn(on, more);
            case FrameEdit.PlaceStory place -> place(on, place);
            case FrameEdit.OrderFrame(UUID frame, var after) -> order(on, frame, after);
            case FrameEdit.JoinFrames(UUID after, UUID frame) -> join(on, after, frame);
            case FrameEdit.PartFrames part -> part(on, part);
            case FrameEdit.PlaceFrame place -> {
                Owner owner = OwnerLookup.ownerOfFrame(on, place.frame());
                OwnerLookup.sidesFit(owner, place.sides());
                refuseLocked(OwnerLookup.anyFrame(on, place.frame()));
                yield changeAny(on, owner, place.frame(), frame -> placed(frame, place));
            }
            case FrameEdit.ArrangeFrame(UUID frame, FrameSetting setting, var was) ->
                    change(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            frame,
                            each -> arranged(each, Merging.onto(each.setting(), setting, was)));
            case FrameEdit.RemoveFrame(UUID frame) -> remove(on, frame);
            case FrameEdit.AddBand band -> add(on, band);
            case FrameEdit.ChangeBand(UUID frame, TextBand band, var was) ->
                    change(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            frame,
                            each -> changed(each, band, was));
            case FrameEdit.HoldFrame(UUID frame, Hold hold, var was) ->
                    changeAny(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            frame,
                            each -> each.withHold(Merging.onto(each.hold(), hold, was)));
            case FrameEdit.LockFrame(UUID frame, boolean locked) ->
                    changeAny(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            frame,
                            each -> each.withLocked(locked));
            case FrameEdit.AddPicture(Owner owner, PictureFrame picture) -> lay(on, owner, picture);
            case FrameEdit.ChangePicture(PictureFrame picture, var was) ->
                    changed(on, picture, was);
        };
    }

    /** A locked one stays where it lies; all else of it may change. */
    private static Publication changed(
            Publication on, PictureFrame picture, Optional<PictureFrame> was) {
        PictureFrame is = OwnerLookup.pictureFrame(on, picture.id());
        Owner owner = OwnerLookup.ownerOfFrame(on, picture.id());
        PictureFrame made = Merging.onto(is, picture, was);
        OwnerLookup.sidesFit(owner, made.sides());
        boolean moved =
                !made.box().equals(is.box())
                        || made.rotation() != is.rotation()
                        || made.sides() != is.sides();
        if (moved && made.locked()) {
            refuseLocked(is);
        }
        return changeAny(on, owner, picture.id(), each -> made);
    }

    private static Publication add(Publication on, FrameEdit.AddBand add) {
        // its length is that of each page's edge, whatever the pages' size is by then
        Length depth = add.band().depth();
        Box box = new Box(Length.ZERO, Length.ZERO, depth, depth);
        Publication added =
                add(
                        on,
                        new FrameEdit.AddFrame(
                                add.owner(),
                                add.frame(),
                                add.sides(),
                                box,
                                add.story(),
                                add.paragraph(),
                                add.look()));
        FrameSetting middle =
                new FrameSetting(Length.ZERO, 1, Length.mm(5), FrameSetting.Vertical.MIDDLE, 0);
        return change(
                added,
                add.owner(),
                add.frame(),
                frame -> frame.withSetting(middle).withBand(Optional.of(add.band())));
    }

    private static TextFrame changed(TextFrame frame, TextBand band, Optional<TextBand> was) {
        TextBand is =
                frame.band()
                        .orElseThrow(
                                () -> new Refused("This frame stands in no band; reload to see."));
        refuseLocked(frame);
        return frame.withBand(Optional.of(Merging.onto(is, band, was)));
    }

    private static TextFrame arranged(TextFrame frame, FrameSetting setting) {
        if (setting.rotation() != frame.rotation()) {
            refuseLocked(frame);
        }
        return frame.withSetting(setting);
    }

    private static void refuseLocked(Frame frame) {
        if (frame.locked()) {
            throw new Refused("This frame is locked; unlock it first.");
        }
    }

    private static Frame placed(Frame frame, FrameEdit.PlaceFrame place) {
        FrameEdit.Place there =
                Merging.onto(
                        new FrameEdit.Place(frame.sides(), frame.box()),
                        new FrameEdit.Place(place.sides(), place.box()),
                        place.was());
        return frame.withPlace(there.sides(), there.box());
    }

    private static Publication add(Publication on, FrameEdit.AddFrame add) {
        Link only = new Link(add.owner(), add.frame());
        Paragraph first = Writing.empty(add.paragraph(), add.look());
        Story story = new Story(add.story(), List.of(only), List.of(first));
        return lay(on, add.owner(), new TextFrame(add.frame(), add.sides(), add.box(), add.story()))
                .withStories(on.stories().plus(story));
    }

    private static Publication goOn(Publication on, FrameEdit.ContinueFrame more) {
        TextFrame before = OwnerLookup.frame(on, more.after());
        UUID story = before.story();
        Link link = new Link(more.owner(), more.frame());
        return changeChain(
                lay(
                        on,
                        more.owner(),
                        new TextFrame(
                                more.frame(), more.sides(), more.box(), before.setting(), story)),
                story,
                chain -> with(chain, more.after(), List.of(link)));
    }

    private static Publication place(Publication on, FrameEdit.PlaceStory place) {
        Story story = on.story(place.story());
        Link link = new Link(place.owner(), place.frame());
        return changeChain(
                lay(
                        on,
                        place.owner(),
                        new TextFrame(place.frame(), place.sides(), place.box(), story.id())),
                story.id(),
                chain -> Lists.plus(chain, Link::frame, link));
    }

    private static Publication order(Publication on, UUID frame, Optional<UUID> after) {
        return OwnerLookup.changeLayer(
                on,
                OwnerLookup.ownerOfFrame(on, frame),
                layer -> {
                    List<Frame> frames = new ArrayList<>(layer.frames());
                    List<UUID> ids = frames.stream().map(Frame::id).toList();
                    if (after.filter(each -> !ids.contains(each)).isPresent()) {
                        throw new Refused("That frame is on another page by now; reload.");
                    }
                    if (after.equals(Optional.of(frame))) {
                        return layer;
                    }
                    Frame moved = frames.remove(ids.indexOf(frame));
                    refuseLocked(moved);
                    int at =
                            after.map(each ->
                                            frames.stream().map(Frame::id).toList().indexOf(each)
                                                    + 1)
                                    .orElse(0);
                    frames.add(at, moved);
                    return layer.withFrames(frames);
                });
    }

    private static Publication lay(Publication on, Owner owner, Frame frame) {
        OwnerLookup.sidesFit(owner, frame.sides());
        return OwnerLookup.changeLayer(
                on, owner, layer -> layer.withFrames(Lists.plus(layer.frames(), Frame::id, frame)));
    }

    private static Publication join(Publication on, UUID after, UUID frame) {
        Story first = on.story(OwnerLookup.frame(on, after).story());
        Story second = on.story(OwnerLookup.frame(on, frame).story());
        if (first.id().equals(second.id())) {
            throw new Refused(
                    "Both frames are in one chain already, and text cannot run in a circle; choose"
                            + " a frame of another story.");
        }
        if (second.place(frame) > 0) {
            throw new Refused(
                    "That frame goes on from another one; part it from that first, or choose the"
                            + " frame its story begins in.");
        }
        List<Paragraph> text = new ArrayList<>(first.paragraphs());
        if (first.isBlank() && !second.isBlank()) {
            text.clear();
        }
        if (!second.isBlank()) {
            second.paragraphs().forEach(each -> text.add(Writing.moved(each)));
        }
        Story joined =
                first.withChain(with(first.chain(), after, second.chain())).withParagraphs(text);
        return runThrough(on, second.chain(), first.id())
                .withStories(
                        on.stories().without(second.id()).changed(first.id(), story -> joined));
    }

    private static Publication part(Publication on, FrameEdit.PartFrames part) {
        Story story = on.story(OwnerLookup.frame(on, part.frame()).story());
        int at = story.place(part.frame());
        if (at == 0) {
            throw new Refused("The story begins in this frame; there is nothing before it.");
        }
        List<Link> moved = story.chain().subList(at, story.chain().size());
        Paragraph first = Writing.empty(part.paragraph(), story.paragraphs().getLast().look());
        return runThrough(on, moved, part.story())
                .withStories(
                        on.stories()
                                .changed(
                                        story.id(),
                                        each -> each.withChain(each.chain().subList(0, at)))
                                .plus(new Story(part.story(), moved, List.of(first))));
    }

    /** Frames with another story running through them. */
    private static Publication runThrough(Publication on, List<Link> chain, UUID story) {
        Set<UUID> frames = new HashSet<>();
        Map<Owner, UnaryOperator<Layer>> layers = new HashMap<>();
        for (Link link : chain) {
            frames.add(link.frame());
            layers.put(
                    link.owner(),
                    layer ->
                            layer.withFrames(
                                    Lists.replacedWhere(
                                            layer.frames(),
                                            each -> frames.contains(each.id()),
                                            each ->
                                                    each instanceof TextFrame text
                                                            ? text.withStory(story)
                                                            : each)));
        }
        return on.withLayers(layers);
    }

    private static List<Link> with(List<Link> chain, UUID after, List<Link> more) {
        List<Link> longer = new ArrayList<>(chain);
        longer.addAll(chain.stream().map(Link::frame).toList().indexOf(after) + 1, more);
        return longer;
    }

    private static Publication changeChain(
            Publication on, UUID story, UnaryOperator<List<Link>> change) {
        return on.withStories(
                on.stories().changed(story, each -> each.withChain(change.apply(each.chain()))));
    }

    private static Publication remove(Publication on, UUID frame) {
        Owner owner = OwnerLookup.ownerOfFrame(on, frame);
        Frame gone = OwnerLookup.anyFrame(on, frame);
        refuseLocked(gone);
        Publication without =
                OwnerLookup.changeLayer(
                        on,
                        owner,
                        layer ->
                                layer.withFrames(
                                        layer.frames().stream()
                                                .filter(each -> !each.id().equals(frame))
                                                .toList()));
        return gone instanceof TextFrame text ? withoutFrames(without, List.of(text)) : without;
    }

    /** Stories without some frames that are gone; those that were nowhere else go with them. */
    static Publication withoutFrames(Publication on, List<TextFrame> gone) {
        if (gone.isEmpty()) {
            return on;
        }
        Set<UUID> frames = new HashSet<>();
        Set<UUID> stories = new HashSet<>();
        for (TextFrame frame : gone) {
            frames.add(frame.id());
            stories.add(frame.story());
        }
        Elements<Story> shorter =
                on.stories()
                        .mapped(each ->
                                stories.contains(each.id())
                                        ? each.withChain(
                                                each.chain().stream()
                                                        .filter(link ->
                                                                !frames.contains(link.frame()))
                                                        .toList())
                                        : each);
        return on.withStories(
                shorter.stream()
                        .filter(each -> !stories.contains(each.id()) || !each.chain().isEmpty())
                        .toList());
    }

    private static Publication change(
            Publication on, Owner owner, UUID frame, UnaryOperator<TextFrame> change) {
        return changeAny(
                on,
                owner,
                frame,
                each -> {
                    if (!(each instanceof TextFrame text)) {
                        throw new Refused("This frame has a picture in it, and no text.");
                    }
                    return change.apply(text);
                });
    }

    private static Publication changeAny(
            Publication on, Owner owner, UUID frame, UnaryOperator<Frame> change) {
        return OwnerLookup.changeLayer(
                on,
                owner,
                layer ->
                        layer.withFrames(
                                Lists.replacedWhere(
                                        layer.frames(), each -> each.id().equals(frame), change)));
    }
}
