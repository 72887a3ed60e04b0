package yewberry.core.press;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yewberry.core.Cancellation;
import yewberry.core.scene.Rect;

/** Where something that is on several pages lies on free ground on all of them. */
public final class FreePlaces {
    /** So far positions are tried from each other, in points, or as share of the farthest. */
    private static final double STEP = 3;

    private static final double STEPS = 200;

    /** The shortest way first; those that are free on all pages so far. */
    private List<FreeGround.Move> moves;

    /**
     * @param farthest that it is moved either way, in points
     */
    public FreePlaces(double farthest) {
        double step = Math.max(STEP, farthest / STEPS);
        int steps = (int) Math.floor(farthest / step);
        moves = new ArrayList<>();
        for (int down = -steps; down <= steps; down++) {
            for (int across = -steps; across <= steps; across++) {
                moves.add(new FreeGround.Move(across * step, down * step));
            }
        }
        moves.sort(Comparator.comparingDouble(FreeGround.Move::far));
    }

    /**
     * Leaves those that are free on one more page.
     *
     * @param box where it is on that page
     * @param within where it is to stay
     * @param mirrored whether what moves right elsewhere moves left there
     */
    public void keep(FreeGround ground, Rect box, Rect within, boolean mirrored) {
        Cancellation.check();
        moves =
                moves.stream()
                        .filter(move -> {
                            double across = mirrored ? -move.across() : move.across();
                            Rect there = box.movedBy(across, move.down());
                            return within.contains(there) && ground.isFree(there);
                        })
                        .toList();
    }

    /** Nothing where none is left. */
    public Optional<FreeGround.Move> nearest() {
        return moves.stream().findFirst();
    }
}
