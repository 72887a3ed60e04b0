package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.strata.Strata;
import yewberry.core.strata.Stratum;
import yewberry.core.text.FontLibrary;
import yewberry.core.text.WordShape;

/** Words and frames in front, in the order that was set, as pixels show it. */
class FrontOrderTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final int PPI = 100;
    private static final double MM = 72 / 25.4;

    private static Fill.Word word(String text, Swatch color) {
        return new Fill.Word(
                text, "Source Serif 4", 700, false, Optional.empty(), Tinted.full(color.id()));
    }

    private static PictureFrame front(
            String name, double x, PictureFrame.Level level, String text, Swatch color) {
        return new PictureFrame(
                Sample.id(name),
                Sides.BOTH,
                new Box(Length.mm(x), Length.mm(30), Length.mm(60), Length.mm(30)),
                level,
                word(text, color));
    }

    /** A dash fills its frame from side to side. */
    private static PictureFrame dash(String name, PictureFrame.Level level, Swatch color) {
        return front(name, 30, level, "\u2014", color);
    }

    private static Publication with(Frame... frames) {
        return Sample.withPage(new Layer(List.of(), List.of(frames)));
    }

    private static Publication edited(Publication on, Edit edit) {
        return Editing.edit(on, edit).publication();
    }

    private static PageScene scene(Publication publication) {
        return new Composer(COATED).compose(publication, 0);
    }

    private static Rgb seen(PageScene scene, double x, double y) {
        Rect trim = scene.boxes().trim();
        BufferedImage image = PageRaster.page(scene, DESIGNED, trim, PPI);
        int color = image.getRGB((int) (x * PPI / 25.4), (int) (y * PPI / 25.4));
        return new Rgb(color >> 16 & 0xff, color >> 8 & 0xff, color & 0xff);
    }

    private static Rgb color(Swatch swatch) {
        return DESIGNED.see(Sample.color(swatch));
    }

    /** Content lies in the order of its frames; running items behind all of it, or over all. */
    @Test
    void frames_lie_on_each_other_in_their_order() {
        PictureFrame night = dash("night", PictureFrame.Level.CONTENT, Sample.NIGHT);
        PictureFrame signal = dash("signal", PictureFrame.Level.CONTENT, Sample.SIGNAL);
        Publication page = with(night, signal);
        assertThat(seen(scene(page), 60, 45)).isEqualTo(color(Sample.SIGNAL));
        Publication turned =
                edited(page, new FrameEdit.OrderFrame(night.id(), Optional.of(signal.id())));
        assertThat(seen(scene(turned), 60, 45)).isEqualTo(color(Sample.NIGHT));
    }

    @ParameterizedTest
    @EnumSource(PictureFrame.Level.class)
    void running_items_lie_behind_all_content_or_over_it(PictureFrame.Level level) {
        PictureFrame night = dash("night", PictureFrame.Level.CONTENT, Sample.NIGHT);
        PictureFrame signal = dash("signal", level, Sample.SIGNAL);
        boolean over = level != PictureFrame.Level.BEHIND;
        Publication last = with(night, signal);
        assertThat(seen(scene(last), 60, 45)).isEqualTo(color(over ? Sample.SIGNAL : Sample.NIGHT));
        Publication first = with(signal, night);
        assertThat(seen(scene(first), 60, 45))
                .isEqualTo(color(level == PictureFrame.Level.OVER ? Sample.SIGNAL : Sample.NIGHT));
    }

    /** Half of what covers is half of each ink: in the printer's sum, not in the screen's. */
    @Test
    void an_opacity_mixes_inks() {
        PictureFrame night = dash("night", PictureFrame.Level.OVER, Sample.NIGHT).withOpacity(50);
        List<Stratum> strata = Strata.at(scene(with(night)), 60 * MM, 45 * MM, DESIGNED);
        assertThat(strata.getFirst().inked().orElseThrow()).isEqualTo(new Cmyk(50, 43, 21, 26));
        assertThat(strata.getFirst()).isInstanceOf(Stratum.Front.class);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 90})
    void a_word_is_as_large_as_its_frame_lets_it(double rotation) {
        PictureFrame proof =
                front("proof", 30, PictureFrame.Level.OVER, "PROOF", Sample.SIGNAL)
                        .withRotation(rotation);
        PageScene scene = scene(with(proof));
        assertThat(scene.pictures().getFirst().turn().degrees()).isEqualTo(rotation);
        Rect ink = front(scene).bounds();
        assertThat(ink.x() + ink.width() / 2).isCloseTo(60 * MM, within(8.0));
        assertThat(ink.y() + ink.height() / 2).isCloseTo(45 * MM, within(8.0));
        double along = rotation == 0 ? ink.width() : ink.height();
        assertThat(along).isCloseTo(60 * MM, within(0.01));
        assertThat(rotation == 90 ? ink.width() : ink.height()).isLessThan(55 * MM);
    }

    private static Item.FrontFill front(PageScene scene) {
        return scene.items().stream()
                .filter(Item.FrontFill.class::isInstance)
                .map(Item.FrontFill.class::cast)
                .findFirst()
                .orElseThrow();
    }

    /** At a size of 100 pt a capital is as high as the face says: OS/2, sCapHeight 670 of 1000. */
    @Test
    void a_word_of_a_size_has_the_height_of_its_face() {
        var face = FontLibrary.face("Source Serif 4", 400, false);
        double height =
                WordShape.within(new Rectangle2D.Double(0, 0, 9, 9), "H", face, 100)
                        .getBounds2D()
                        .getHeight();
        assertThat(height).isCloseTo(67, within(0.1));
    }

    @Test
    void letters_that_read_leftward_stand_in_their_order() {
        var face = FontLibrary.face("Source Serif 4", 400, false);
        double one = WordShape.of("\u05d0", face).getBounds2D().getWidth();
        double two = WordShape.of("\u05d0\u05d1", face).getBounds2D().getWidth();
        assertThat(two).isGreaterThan(one * 1.5);
        assertThat(WordShape.of("\u05d0\u05d1", face).getBounds2D().getMaxX())
                .isLessThanOrEqualTo(0.05);
    }

    /**
     * On a parent for both hands it stands mirrored about the spine; what is content leans the
     * other way there.
     */
    @ParameterizedTest
    @EnumSource(PictureFrame.Level.class)
    void what_is_on_a_parent_is_mirrored_on_the_left(PictureFrame.Level level) {
        PictureFrame proof = front("proof", 20, level, "PROOF", Sample.SIGNAL).withRotation(-30);
        Publication guide = Sample.publication();
        Publication marked =
                edited(guide, new FrameEdit.AddPicture(new Owner.OnParent(Sample.PARENT), proof));
        List<Integer> pages = new ArrayList<>();
        for (int i = 0; i < marked.pages().size(); i++) {
            if (marked.pages().get(i).parent().equals(Optional.of(Sample.PARENT))) {
                pages.add(i);
            }
        }
        assertThat(pages).hasSizeGreaterThan(1);
        for (int page : pages) {
            PageScene scene = new Composer(COATED).compose(marked, page);
            boolean left = scene.boxes().side() == Side.LEFT;
            Item.FrontFill fill = front(scene);
            assertThat(fill.frame().x())
                    .isCloseTo(
                            left ? scene.boxes().trim().width() - 80 * MM : 20 * MM, within(1e-6));
            boolean leans = left && level == PictureFrame.Level.CONTENT;
            assertThat(scene.pictures().getFirst().turn().degrees()).isEqualTo(leans ? 30 : -30);
        }
    }

    @Test
    void a_locked_frame_stays_as_it_is() {
        PictureFrame proof = front("proof", 30, PictureFrame.Level.OVER, "PROOF", Sample.SIGNAL);
        Publication page = with(proof);
        Publication locked = edited(page, new FrameEdit.LockFrame(proof.id(), true));
        UUID id = proof.id();
        Box elsewhere = new Box(Length.mm(1), Length.mm(1), Length.mm(9), Length.mm(9));
        for (Edit edit :
                List.of(
                        new FrameEdit.PlaceFrame(id, Sides.BOTH, elsewhere),
                        new FrameEdit.RemoveFrame(id),
                        new FrameEdit.ChangePicture(
                                proof.withRotation(9).withLocked(true), Optional.empty()))) {
            assertThatThrownBy(() -> edited(locked, edit))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("unlock it first");
        }
        Publication unlocked = edited(locked, new FrameEdit.LockFrame(id, false));
        assertThat(
                        edited(unlocked, new FrameEdit.RemoveFrame(id))
                                .layer(new Owner.OnPage(Sample.page(1)))
                                .frames())
                .isEmpty();
    }

    @Test
    void what_cannot_stand_in_front_is_refused() {
        assertThatThrownBy(() -> word("  ", Sample.INK)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> word("x".repeat(61), Sample.INK))
                .hasMessageContaining("1 to 60 characters");
        PictureFrame proof = front("proof", 30, PictureFrame.Level.OVER, "PROOF", Sample.SIGNAL);
        assertThatThrownBy(() -> proof.withFill(new Fill.None())).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> proof.withOpacity(101)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> proof.withRotation(361)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new PictureFrame.Clear(50, 0, 60, 10))
                .hasMessageContaining("within the picture");
        assertThatThrownBy(() -> new PictureFrame.Meaning(false, "word ".repeat(300)))
                .hasMessageContaining("at most 1000 characters");
        Publication page = with(proof);
        assertThatThrownBy(() ->
                        edited(
                                page,
                                new FrameEdit.ArrangeFrame(
                                        proof.id(), FrameSetting.USUAL, Optional.empty())))
                .isInstanceOf(Refused.class);
    }
}
