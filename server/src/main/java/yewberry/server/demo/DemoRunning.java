package yewberry.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Field;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/**
 * What runs over the pages of the season guide: a header band with the name of the part and the
 * number of the page, a watermark on one part, and the mark of the observatory.
 */
final class DemoRunning {
    /** A dome with its slit open, and a crescent above. */
    private static final String MARK =
            """
            <svg xmlns="http://www.w3.org/2000/svg" width="120" height="120" viewBox="0 0 120 120">
            <g fill="#f6f3e2"><path d="M20 84a40 40 0 0 1 36-40v40zM64 44a40 40 0 0 1 36 40h-36z"/>
            <path d="M12 90h96v8h-96z"/><path d="M74 8a16 16 0 1 0 16 22a13 13 0 0 1-16-22z"/></g>
            </svg>
            """;

    private final Function<String, UUID> ids;
    private final Look head;
    private final Swatch ground;
    private final Swatch pale;
    private final Swatch stamp;
    private final Asset mark;

    /**
     * @param reading a legible colour
     * @param ground of the header band, which passes into {@code pale}
     * @param stamp of the watermark
     */
    DemoRunning(
            Function<String, UUID> ids,
            AssetIntake files,
            Swatch reading,
            Swatch ground,
            Swatch pale,
            Swatch stamp) {
        this.ids = ids;
        this.ground = ground;
        this.pale = pale;
        this.stamp = stamp;
        this.head =
                DemoLooks.look("Running head", "Source Sans 3", 600, 9, 11, 0, reading)
                        .withAlignment(Look.Alignment.AWAY_FROM_SPINE);
        this.mark =
                files.take(
                        ids.apply("picture Mark"),
                        "Mark.svg",
                        MARK.getBytes(StandardCharsets.UTF_8));
    }

    List<Look> looks() {
        return List.of(head);
    }

    List<Asset> assets() {
        return List.of(mark);
    }

    /** On facing pages mirrored: the number, the part, and the name of the guide. */
    TextFrame band(DemoStories stories) {
        UUID id = ids.apply("frame running head");
        String text =
                "%c   %c   %c"
                        .formatted(
                                Field.PAGE.character(),
                                Field.PART.character(),
                                Field.PUBLICATION.character());
        Paragraph paragraph =
                new Paragraph(
                        ids.apply("paragraph running head"),
                        head.id(),
                        List.of(new Run(ids.apply("run running head"), text, Optional.empty())));
        Box box = new Box(Length.ZERO, Length.ZERO, Length.mm(148), Length.mm(11));
        Fill fill =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(ground.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(pale.id()), 100)));
        Padding padding =
                new Padding(
                        Distance.of(Length.mm(3)),
                        Distance.of(Length.mm(18)),
                        Distance.NONE,
                        Distance.of(Length.mm(16)));
        return stories.frame(id, box, ids.apply("story running head"), List.of(paragraph))
                .withSetting(
                        new FrameSetting(
                                Length.ZERO, 1, Length.mm(5), FrameSetting.Vertical.MIDDLE, 0))
                .withBand(Optional.of(new TextBand(Edge.TOP, Length.mm(11), padding, fill)));
    }

    /** A page whose times are not settled yet, and which says so behind its text. */
    Page draft(Page plain) {
        PictureFrame word =
                new PictureFrame(
                                ids.apply("watermark " + plain.id()),
                                Sides.BOTH,
                                new Box(
                                        Length.mm(14),
                                        Length.mm(80),
                                        Length.mm(120),
                                        Length.mm(50)),
                                PictureFrame.Level.BEHIND,
                                new Fill.Word(
                                        "Draft",
                                        "Fraunces",
                                        700,
                                        false,
                                        Optional.empty(),
                                        Tinted.full(stamp.id())))
                        .withRotation(-38)
                        .withOpacity(14)
                        .withMeaning(new PictureFrame.Meaning(true, ""));
        return with(plain, word);
    }

    /** The mark of the observatory, with what it shows in words. */
    Page marked(Page plain) {
        PictureFrame picture =
                new PictureFrame(
                                ids.apply("mark " + plain.id()),
                                Sides.BOTH,
                                new Box(
                                        Length.mm(20),
                                        Length.mm(106),
                                        Length.mm(26),
                                        Length.mm(26)),
                                PictureFrame.Level.CONTENT,
                                new Fill.Picture(
                                        mark.id(),
                                        Placing.COVER.withFit(Placing.Fit.CONTAIN),
                                        RunOut.NONE,
                                        Optional.empty()))
                        .withMeaning(
                                new PictureFrame.Meaning(
                                        false,
                                        "Mark of the observatory: a dome with its slit open below a crescent moon"));
        return with(plain, picture);
    }

    private static Page with(Page page, Frame frame) {
        List<Frame> frames = new ArrayList<>(page.layer().frames());
        frames.add(frame);
        return page.withLayer(page.layer().withFrames(frames));
    }
}
