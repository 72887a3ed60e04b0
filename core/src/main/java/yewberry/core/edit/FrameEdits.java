package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;

/** Applies edits of text frames and the text in them. */
final class FrameEdits {
    private FrameEdits() {}

    static Publication apply(Publication on, FrameEdit edit) {
        return switch (edit) {
            case FrameEdit.AddFrame add -> add(on, add);
            case FrameEdit.PlaceFrame place -> {
                OwnerLookup.sidesFit(OwnerLookup.ownerOfFrame(on, place.frame()), place.sides());
                yield change(on, place.frame(), frame -> placed(frame, place));
            }
            case FrameEdit.RemoveFrame(UUID frame) ->
                    OwnerLookup.changeLayer(
                            on,
                            OwnerLookup.ownerOfFrame(on, frame),
                            layer ->
                                    layer.withFrames(
                                            layer.frames().stream()
                                                    .filter(each -> !each.id().equals(frame))
                                                    .toList()));
            case FrameEdit.WriteText write ->
                    change(on, write.frame(), frame -> Writing.write(frame, write));
            case FrameEdit.ColorRun color -> colorRun(on, color);
        };
    }

    private static TextFrame placed(TextFrame frame, FrameEdit.PlaceFrame place) {
        FrameEdit.Place there =
                Merging.onto(
                        new FrameEdit.Place(frame.sides(), frame.box()),
                        new FrameEdit.Place(place.sides(), place.box()),
                        place.was());
        return new TextFrame(frame.id(), there.sides(), there.box(), frame.paragraphs());
    }

    private static Publication add(Publication on, FrameEdit.AddFrame add) {
        OwnerLookup.sidesFit(add.owner(), add.sides());
        Paragraph first =
                new Paragraph(
                        add.paragraph(),
                        add.look(),
                        List.of(new Run(Writing.firstRun(add.paragraph()), "", Optional.empty())));
        TextFrame frame = new TextFrame(add.frame(), add.sides(), add.box(), List.of(first));
        return OwnerLookup.changeLayer(
                on,
                add.owner(),
                layer -> layer.withFrames(Lists.plus(layer.frames(), TextFrame::id, frame)));
    }

    private static Publication colorRun(Publication on, FrameEdit.ColorRun color) {
        return change(
                on,
                OwnerLookup.frameOfRun(on, color.run()),
                frame ->
                        frame.withParagraphs(
                                frame.paragraphs().stream()
                                        .map(paragraph -> colored(paragraph, color))
                                        .toList()));
    }

    private static Paragraph colored(Paragraph paragraph, FrameEdit.ColorRun color) {
        return paragraph.withRuns(
                Lists.replacedWhere(
                        paragraph.runs(),
                        run -> run.id().equals(color.run()),
                        run -> run.withColor(color.color())));
    }

    private static Publication change(Publication on, UUID frame, UnaryOperator<TextFrame> change) {
        return OwnerLookup.changeLayer(
                on,
                OwnerLookup.ownerOfFrame(on, frame),
                layer ->
                        layer.withFrames(
                                Lists.replacedWhere(
                                        layer.frames(), each -> each.id().equals(frame), change)));
    }
}
