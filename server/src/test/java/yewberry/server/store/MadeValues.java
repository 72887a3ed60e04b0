package yewberry.server.store;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.Lab;
import yewberry.core.color.Rgb;
import yewberry.core.color.Viewing;
import yewberry.core.edit.StoryEdit.WrittenRun;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Basis;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Padding;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Role;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.RunningFields;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TabStop;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/** Values of any kind, and new elements, that refer to what a publication has. */
abstract class MadeValues extends Choices {
    MadeValues(Publication on, int choice) {
        super(on, choice);
    }

    final RunningFields running() {
        return new RunningFields(
                1 + upTo(12),
                upTo(1000),
                coin(),
                maybe(LocalDate.of(2026, 1 + upTo(12), 1 + upTo(28))),
                any(List.of(RunningFields.DateForm.values())));
    }

    final PageSize size() {
        return new PageSize(Length.mm(100 + upTo(200)), Length.mm(120 + upTo(200)));
    }

    final Tinted tinted() {
        return new Tinted(swatch(), upTo(101));
    }

    final Definition definition() {
        return switch (upTo(7)) {
            case 6 ->
                    new Definition.Legible(
                            Stream.of(swatch(), swatch()).distinct().toList(),
                            List.of(any(List.of(Viewing.values()))));
            case 0 -> new Definition.SpotInk(new Lab(upTo(100), 20, -20));
            case 1 -> new Definition.Tint(swatch(), upTo(101));
            case 2 -> new Definition.Mix(swatch(), swatch(), upTo(101));
            case 3 -> new Definition.Lighter(swatch(), upTo(101));
            case 4 -> new Definition.Plain(new Rgb(upTo(256), 20, 30));
            default -> new Definition.Plain(new Cmyk(upTo(101), 10, 20, 30));
        };
    }

    /** One or two, of which the first may have a look of its own. */
    final List<WrittenRun> runs(String text) {
        int first = upTo(text.length() + 1);
        return List.of(
                new WrittenRun(
                        text.substring(0, first),
                        maybe(tinted()),
                        on.characterLooks().isEmpty() ? Optional.empty() : maybe(characterLook()),
                        maybe(language()),
                        maybe(link()),
                        maybe(localType())),
                new WrittenRun(text.substring(first), Optional.empty()));
    }

    final Language language() {
        return any(List.of(Language.values()));
    }

    final LinkTo link() {
        return any(
                List.of(
                        new LinkTo.Address("https://observatory.example/" + upTo(9)),
                        new LinkTo.ToPage(page()),
                        new LinkTo.ToParagraph(fresh(), fresh())));
    }

    final LocalType localType() {
        return new LocalType(
                Optional.empty(),
                maybe(100 * (1 + upTo(9))),
                maybe(coin()),
                maybe(10.0 + upTo(391)),
                maybe(upTo(100) - 50.0),
                maybe(capitals()),
                maybe(figures()));
    }

    final LocalSetting localSetting() {
        return new LocalSetting(
                maybe(Length.pt(2 + upTo(60))),
                maybe(coin() ? Leading.percent(100 + upTo(80)) : Leading.of(Length.pt(8))),
                maybe(any(List.of(Look.Alignment.values()))),
                maybe(Length.mm(upTo(9))),
                maybe(Length.mm(upTo(9))),
                maybe(Length.mm(upTo(9) - 5)),
                maybe(Length.mm(upTo(9))),
                maybe(Length.mm(upTo(9))),
                maybe(coin()));
    }

    final Letters.Capitals capitals() {
        return any(List.of(Letters.Capitals.values()));
    }

    final Letters.Figures figures() {
        return any(List.of(Letters.Figures.values()));
    }

    final ListMark list() {
        ListMark.Mark mark =
                coin()
                        ? new ListMark.Bullet("•")
                        : new ListMark.Numbered(
                                any(List.of(ListMark.NumberStyle.values())),
                                "",
                                ".",
                                coin(),
                                coin());
        return new ListMark(
                mark,
                1 + upTo(3),
                on.characterLooks().isEmpty() ? Optional.empty() : maybe(characterLook()));
    }

    final CharacterLook characterLook(UUID id) {
        return new CharacterLook(
                id,
                name(),
                maybe("Fraunces"),
                maybe(700),
                maybe(coin()),
                maybe(50.0 + upTo(100)),
                maybe((double) upTo(50)),
                maybe(tinted()),
                maybe(new Outline(tinted(), Length.pt(1), Outline.Join.ROUND, coin())),
                maybe(new Highlight(tinted(), upTo(9) / 10.0 - 0.4, 0, 0.1, 0, coin())),
                maybe(capitals()),
                maybe(figures()),
                maybe(any(List.of(CharacterLook.Emphasis.values()))),
                coin() || on.characterLooks().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Basis(characterLook(), some(CharacterLook.INHERITED))));
    }

    final Look look(UUID id) {
        return new Look(
                id,
                name(),
                "Source Serif 4",
                coin() ? 400 : 700,
                coin(),
                Length.pt(8 + upTo(20)),
                coin() ? Leading.percent(100 + upTo(50)) : Leading.of(Length.pt(12 + upTo(20))),
                Length.mm(upTo(4)),
                any(List.of(Look.Alignment.values())),
                tinted(),
                any(List.of(Look.Overprint.values())),
                new TextSetting(
                        Length.mm(upTo(4)),
                        Length.mm(upTo(9)),
                        Length.mm(upTo(9)),
                        Length.pt(upTo(9)),
                        upTo(300) - 100,
                        coin(),
                        maybe(language()),
                        new TextSetting.WordSpaces(50 + upTo(51), 100 + upTo(200)),
                        new Keeps(
                                1 + upTo(4),
                                1 + upTo(4),
                                coin(),
                                coin(),
                                any(List.of(Keeps.Begin.values()))),
                        new Letters(capitals(), figures()),
                        coin()
                                ? List.of()
                                : List.of(
                                        new TabStop(
                                                maybe(Length.mm(upTo(90))),
                                                any(List.of(TabStop.Side.values())),
                                                coin() ? "" : ". "))),
                maybe(look()),
                maybe(any(List.of(Role.values()))),
                maybe(
                        new Outline(
                                tinted(),
                                Length.pt(1 + upTo(5)),
                                any(List.of(Outline.Join.values())),
                                coin())),
                maybe(list()),
                maybe(panel()),
                coin() || on.looks().isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Basis(look(), some(Look.INHERITED))));
    }

    final Panel panel() {
        return new Panel(
                maybe(
                        coin()
                                ? new Fill.Solid(tinted())
                                : new Fill.Gradient(
                                        Fill.Gradient.Kind.LINEAR,
                                        upTo(90),
                                        coin(),
                                        List.of(
                                                new Fill.Gradient.Stop(0, tinted(), 100),
                                                new Fill.Gradient.Stop(100, tinted(), 50)))),
                maybe(
                        new Border(
                                List.of(any(Border.ALL)),
                                Length.pt(1 + upTo(5)),
                                tinted(),
                                any(List.of(Border.Style.values())))),
                any(List.of(Panel.Reach.values())),
                new Padding(
                        Distance.em(upTo(20) / 10.0),
                        Distance.NONE,
                        Distance.of(Length.mm(upTo(4))),
                        Distance.NONE),
                Distance.of(Length.pt(upTo(9))),
                coin(),
                coin(),
                coin());
    }

    final String file() {
        return any(EditMaker.FILES);
    }

    final Recolor recolor() {
        boolean all = coin();
        return new Recolor(
                new Rgb(upTo(256), upTo(256), upTo(256)),
                upTo(51),
                Set.of(any(List.of(Recolor.What.values()))),
                all ? List.of() : List.of(1),
                Optional.of(Tinted.full(swatch())),
                all || coin() ? Optional.empty() : Optional.of(box()));
    }

    final Backing backing() {
        return backing(fresh());
    }

    final Backing backing(UUID id) {
        return new Backing(id, 1, box(), Length.mm(upTo(5)), Tinted.full(swatch()), 1 + upTo(100));
    }

    final Asset asset() {
        return coin()
                ? new Asset(fresh(), name(), EditMaker.DOCUMENT, EditMaker.PAGES)
                : new Asset(fresh(), name(), file(), EditMaker.PIXELS);
    }

    final Recipe newRecipe() {
        return new Recipe(
                fresh(), name(), size(), new Layer(List.of(background(fresh())), List.of()));
    }

    final Background background(UUID id) {
        return new Background(
                id,
                Sides.BOTH,
                area(),
                fill(),
                upTo(101),
                any(List.of(BlendMode.values())),
                new Background.GoesTo(coin(), coin()));
    }

    final Area area() {
        return switch (upTo(5)) {
            case 0 -> new Area.WholePage();
            case 1 -> new Area.WholeSpread(Length.mm(upTo(5)));
            case 2 -> new Area.SafeArea();
            case 3 -> new Area.Band(any(List.of(Edge.values())), Length.mm(5 + upTo(40)));
            default ->
                    new Area.Rectangle(
                            new Anchor(
                                    any(List.of(Anchor.Across.values())),
                                    any(List.of(Anchor.Down.values()))),
                            Length.mm(upTo(50)),
                            Length.pt(upTo(50)),
                            Length.mm(10 + upTo(80)),
                            Length.mm(10 + upTo(80)),
                            coin() ? Set.of(Edge.TOP) : Set.of());
        };
    }

    final Fill fill() {
        return switch (upTo(5)) {
            case 0 -> new Fill.None();
            case 1 -> new Fill.Solid(tinted());
            case 2 ->
                    new Fill.Gradient(
                            coin() ? Fill.Gradient.Kind.LINEAR : Fill.Gradient.Kind.RADIAL,
                            upTo(360),
                            coin(),
                            List.of(
                                    new Fill.Gradient.Stop(0, tinted(), upTo(101)),
                                    new Fill.Gradient.Stop(40, tinted(), 100),
                                    new Fill.Gradient.Stop(100, tinted(), 100)));
            case 3 ->
                    new Fill.Picture(
                            anyAsset(),
                            Placing.COVER.withFit(any(List.of(Placing.Fit.values()))),
                            any(List.of(RunOut.values())),
                            maybe(new SeeThrough(new Rgb(255, 255, 255), 10, coin())));
            default -> new Fill.PdfPage(anyAsset(), 1, Placing.COVER);
        };
    }

    final Box box() {
        return new Box(
                Length.mm(upTo(40)), Length.mm(upTo(40)), Length.mm(20 + upTo(80)), Length.pt(90));
    }

    final TextBand band() {
        return new TextBand(
                any(List.of(Edge.values())),
                Length.mm(5 + upTo(20)),
                new Padding(
                        Distance.em(upTo(20) / 10.0),
                        Distance.NONE,
                        Distance.of(Length.mm(upTo(4))),
                        Distance.NONE),
                coin()
                        ? new Fill.Solid(tinted())
                        : new Fill.Gradient(
                                Fill.Gradient.Kind.LINEAR,
                                upTo(90),
                                coin(),
                                List.of(
                                        new Fill.Gradient.Stop(0, tinted(), 100),
                                        new Fill.Gradient.Stop(100, tinted(), 50))));
    }

    final Fill.Word word() {
        Optional<Length> size = maybe(Length.pt(20 + upTo(200)));
        return new Fill.Word(
                "Proof " + upTo(9),
                "Source Serif 4",
                coin() ? 400 : 700,
                coin(),
                size,
                size.isPresent()
                        ? maybe(
                                new Fill.Word.Repeat(
                                        Length.mm(upTo(30)), Length.mm(upTo(30)), upTo(90)))
                        : Optional.empty(),
                tinted());
    }

    final PictureFrame picture(UUID id) {
        Fill fill =
                switch (upTo(3)) {
                    case 0 ->
                            new Fill.Picture(
                                    anyAsset(),
                                    Placing.COVER.withFit(any(List.of(Placing.Fit.values()))),
                                    any(List.of(RunOut.values())),
                                    maybe(new SeeThrough(new Rgb(255, 255, 255), 10, coin())));
                    case 1 -> new Fill.PdfPage(anyAsset(), 1, Placing.COVER);
                    default -> word();
                };
        return new PictureFrame(
                id,
                Sides.BOTH,
                box(),
                upTo(180) - 90,
                any(List.of(PictureFrame.Level.values())),
                fill,
                upTo(101),
                any(List.of(BlendMode.values())),
                new Background.GoesTo(coin(), coin()),
                new PictureFrame.Meaning(coin(), coin() ? "" : "A view of the marsh"),
                coin() ? List.of() : List.of(new PictureFrame.Clear(10, upTo(50), 20, 30)),
                upTo(5) == 0);
    }

    final FrameSetting arrangement() {
        return new FrameSetting(
                Length.mm(upTo(4)),
                1 + upTo(3),
                Length.mm(upTo(5)),
                any(List.of(FrameSetting.Vertical.values())),
                upTo(180));
    }
}
