package yewberry.server.view;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.View;
import yewberry.core.scene.Paint;

/**
 * One of the two colours of pairs.
 *
 * @param swatch nothing is the bare stock
 * @param mixed whether it is the worst of many colours, as of a gradient
 */
public record PairSide(
        Optional<UUID> swatch,
        boolean mixed,
        double tint,
        String name,
        String values,
        String screen) {
    static PairSide bare(View view) {
        return new PairSide(
                Optional.empty(), false, 100, "Bare stock", "no ink", view.bare().hex());
    }

    static PairSide of(Paint paint, View view) {
        return new PairSide(
                paint.swatch(),
                paint.sampled(),
                paint.tint(),
                paint.inWords(),
                paint.defined().toString(),
                view.see(paint.color()).hex());
    }
}
