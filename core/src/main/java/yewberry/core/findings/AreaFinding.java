package yewberry.core.findings;

import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;

/** A finding about one background, or one picture in front of them. */
public sealed interface AreaFinding extends Finding permits PictureFinding, PressFinding.OfArea {
    Item.Filled fill();

    @Override
    default Origin origin() {
        return fill().origin();
    }

    @Override
    default Rect where() {
        return fill() instanceof Item.AreaFill area ? area.painted() : fill().bounds();
    }

    @Override
    default String text() {
        return switch (fill()) {
            case Item.FrontFill front -> "%s %s".formatted(front.kind(), front.named());
            case Item.AreaFill area -> "Background in " + area.inWords();
            case Item.TextFill behind ->
                    "%s in %s".formatted(behind.kind().inWords(), behind.inWords());
        };
    }
}
