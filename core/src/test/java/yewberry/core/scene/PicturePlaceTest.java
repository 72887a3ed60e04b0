package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Length;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;

/** The wanted places follow from the words of the placing, by geometry. */
class PicturePlaceTest {
    private static final Rect FRAME = new Rect(-10, -10, 320, 220);
    private static final Asset.Extent OWN = new Asset.Extent(100, 50);

    /** Its trim is 300 × 200 points, within the frame. */
    private static PageBoxes page(Side side) {
        Setup setup = Setup.of(new PageSize(Length.pt(300), Length.pt(200)), true);
        return PageBoxes.of(setup, side);
    }

    private static PicturePlace place(Placing placing) {
        return PicturePlace.of(placing, OWN, FRAME, page(Side.RIGHT));
    }

    private static Placing placing(Placing.Fit fit, double percent, Placing.Base base) {
        return new Placing(
                fit,
                percent,
                base,
                0,
                new Anchor(Anchor.Across.RIGHT, Anchor.Down.BOTTOM),
                Length.pt(5),
                Length.pt(7),
                Placing.Focus.MIDDLE);
    }

    @RepeatedTest(40)
    void cover_leaves_nothing_free_at_any_angle_and_focus(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        Rect frame =
                new Rect(
                        random.nextInt(-50, 50),
                        random.nextInt(-50, 50),
                        random.nextInt(20, 900),
                        random.nextInt(20, 900));
        Placing placing =
                Placing.COVER
                        .withRotation(random.nextInt(-360, 361))
                        .withFocus(new Placing.Focus(random.nextInt(101), random.nextInt(101)));
        Asset.Extent own = new Asset.Extent(random.nextInt(5, 2000), random.nextInt(5, 2000));
        PicturePlace place = PicturePlace.of(placing, own, frame, page(Side.LEFT));
        assertThat(place.covers(frame)).as("%s %s", frame, placing).isTrue();
        assertThat(place.width() / place.height())
                .isEqualTo(own.width() / own.height(), within(1e-9));
    }

    @Test
    void cover_keeps_the_focus_in_the_middle_as_far_as_it_can() {
        // 4.4 times as large: 440 × 220, so there are 120 points to move by
        PicturePlace left = place(Placing.COVER.withFocus(new Placing.Focus(0, 50)));
        assertThat(left.x()).isEqualTo(-10, within(1e-9));
        PicturePlace near = place(Placing.COVER.withFocus(new Placing.Focus(45, 50)));
        assertThat(near.u(150, 100)).isEqualTo(0.45, within(1e-9));
    }

    @Test
    void contain_cuts_nothing_off() {
        PicturePlace place = place(placing(Placing.Fit.CONTAIN, 100, Placing.Base.OWN));
        assertThat(place.width()).isEqualTo(320, within(1e-9));
        assertThat(place.height()).isEqualTo(160, within(1e-9));
        // five and seven points inwards from the bottom right
        assertThat(place.bounds().right()).isEqualTo(305, within(1e-9));
        assertThat(place.bounds().bottom()).isEqualTo(203, within(1e-9));
    }

    @Test
    void stretch_takes_the_sides_of_the_area() {
        PicturePlace place = place(Placing.COVER.withFit(Placing.Fit.STRETCH));
        assertThat(place.bounds()).isEqualTo(FRAME);
        PicturePlace turned = place(Placing.COVER.withFit(Placing.Fit.STRETCH).withRotation(90));
        assertThat(turned.bounds().width()).isEqualTo(320, within(1e-9));
        assertThat(turned.width()).as("its own width runs upwards").isEqualTo(220, within(1e-9));
    }

    @Test
    void a_size_is_of_its_own_or_of_the_page() {
        assertThat(place(placing(Placing.Fit.SIZED, 150, Placing.Base.OWN)).width())
                .isEqualTo(150, within(1e-9));
        assertThat(place(placing(Placing.Fit.SIZED, 50, Placing.Base.PAGE)).width())
                .isEqualTo(150, within(1e-9));
    }

    @Test
    void a_rotation_is_anticlockwise() {
        PicturePlace turned =
                place(placing(Placing.Fit.SIZED, 100, Placing.Base.OWN).withRotation(90));
        // its top edge runs upwards
        assertThat(turned.acrossX()).isEqualTo(0, within(1e-9));
        assertThat(turned.acrossY()).isEqualTo(-100, within(1e-9));
    }

    @Test
    void inside_and_outside_change_sides_on_a_left_page() {
        Placing inside =
                new Placing(
                        Placing.Fit.SIZED,
                        100,
                        Placing.Base.OWN,
                        0,
                        new Anchor(Anchor.Across.INSIDE, Anchor.Down.TOP),
                        Length.pt(20),
                        Length.ZERO,
                        Placing.Focus.MIDDLE);
        assertThat(PicturePlace.of(inside, OWN, FRAME, page(Side.RIGHT)).x())
                .isEqualTo(10, within(1e-9));
        assertThat(PicturePlace.of(inside, OWN, FRAME, page(Side.LEFT)).bounds().right())
                .isEqualTo(290, within(1e-9));
    }

    @Test
    void enlarging_goes_about_its_own_middle() {
        PicturePlace small = place(placing(Placing.Fit.CONTAIN, 100, Placing.Base.OWN));
        PicturePlace large = small.enlargedTo(FRAME);
        assertThat(large.covers(FRAME)).isTrue();
        assertThat(large.u(150 - 5, 100 + 23)).isEqualTo(0.5, within(1e-9));
    }
}
