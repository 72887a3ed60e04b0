package yewberry.server.view;

import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;

/**
 * A press condition.
 *
 * @param paper as measured
 * @param inkLimit in percent
 */
public record ConditionView(String id, String name, Lab paper, double inkLimit) {
    public static ConditionView of(PressCondition condition) {
        return new ConditionView(
                condition.id(), condition.name(), condition.paper(), condition.inkLimit());
    }
}
