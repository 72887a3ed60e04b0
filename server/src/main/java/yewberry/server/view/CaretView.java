package yewberry.server.view;

import java.util.UUID;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Unit;

/**
 * Where a character of a story stands, in millimetres from the top left corner of its frame.
 *
 * @param y the top of its line
 */
public record CaretView(UUID frame, double x, double y, double height) {
    public static CaretView of(Flows.CharacterPlace place) {
        return new CaretView(
                place.frame().frame(),
                place.position().x() / Unit.MM.points(),
                place.position().top() / Unit.MM.points(),
                place.position().height() / Unit.MM.points());
    }
}
