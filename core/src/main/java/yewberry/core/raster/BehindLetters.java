package yewberry.core.raster;

import yewberry.core.color.Color;
import yewberry.core.color.View;
import yewberry.core.scene.Paint;

/** Pixels that lie behind letters, by their numbers. */
public sealed interface BehindLetters permits PageRaster, PictureInks {
    /** What is seen of each, red, green and blue in the lowest three bytes. */
    int[] seenBehindLetters(View view);

    /**
     * What they and a colour that is printed over all of them come to; these stay.
     *
     * @param paint that overprints
     */
    BehindLetters overprinted(Paint paint);

    /** What the colours of one come to. */
    Color color(int number);
}
