package yewberry.core.findings;

import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;

/** A finding about one area. */
public sealed interface AreaFinding extends Finding permits PictureFinding, PressFinding.OfArea {
    Item.AreaFill fill();

    @Override
    default Origin origin() {
        return fill().origin();
    }

    @Override
    default Rect where() {
        return fill().painted();
    }

    @Override
    default String text() {
        return "Background in " + fill().inWords();
    }
}
