package yewberry.server.store;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.Lab;
import yewberry.core.color.Rgb;
import yewberry.core.color.Viewing;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.CharacterLookEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.ExemptionEdit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.ParentEdit;
import yewberry.core.edit.PublicationEdit;
import yewberry.core.edit.RecipeEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.edit.StoryEdit.WrittenRun;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Basis;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Imported;
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
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.RunningFields;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TabStop;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/**
 * Makes an edit of any kind on any elements of a publication out of one number, so that a sequence
 * of numbers is a sequence of edits that can be cut short.
 */
final class EditMaker {
    static final Asset.Content PIXELS =
            new Asset.Pixels(
                    Asset.Format.PNG, 40, 30, 72, Asset.Colors.RGB, Optional.empty(), true);
    static final Asset.Content PAGES =
            new Asset.Document(List.of(new Asset.Leaf(200, 100, false, List.of("Any"))));
    static final List<String> FILES = List.of("a".repeat(64), "b".repeat(64));
    static final String DOCUMENT = "c".repeat(64);

    private static final List<Function<EditMaker, Edit>> KINDS =
            List.of(
                    EditMaker::rename,
                    EditMaker::setup,
                    EditMaker::storyLanguage,
                    EditMaker::panels,
                    EditMaker::wear,
                    maker -> new StoryEdit.AddStory(maker.fresh(), maker.fresh(), maker.look()),
                    maker -> new StoryEdit.RemoveStory(maker.story()),
                    maker ->
                            new FrameEdit.PlaceStory(
                                    maker.story(),
                                    maker.owner(),
                                    maker.fresh(),
                                    Sides.BOTH,
                                    maker.box()),
                    maker -> new FrameEdit.OrderFrame(maker.frame(), maker.maybe(maker.frame())),
                    EditMaker::addPages,
                    maker ->
                            new PageEdit.AddImported(
                                    maker.anyAsset(),
                                    1 + maker.upTo(1),
                                    List.of(maker.fresh()),
                                    maker.maybe(maker.page()),
                                    maker.maybe(maker.parent())),
                    maker -> new PageEdit.SizePages(maker.pages(), maker.maybe(maker.size())),
                    maker -> new PageEdit.MovePages(maker.pages(), maker.maybe(maker.page())),
                    maker -> new PageEdit.RemovePages(maker.pages()),
                    maker -> new PageEdit.AssignParent(maker.pages(), maker.maybe(maker.parent())),
                    maker -> new PageEdit.ShowParent(maker.pages(), maker.coin()),
                    maker ->
                            new ParentEdit.AddParent(
                                    maker.fresh(), maker.name(), maker.maybe(maker.parent())),
                    maker ->
                            new ParentEdit.SetParentBase(
                                    maker.parent(), maker.maybe(maker.parent())),
                    maker -> new ParentEdit.RenameParent(maker.parent(), maker.name()),
                    maker ->
                            new ParentEdit.RemoveParent(
                                    maker.parent(), maker.maybe(maker.parent())),
                    maker ->
                            new SwatchEdit.AddSwatch(
                                    new Swatch(maker.fresh(), maker.name(), maker.definition())),
                    maker -> new SwatchEdit.ChangeSwatch(maker.swatch(), maker.definition()),
                    maker -> new SwatchEdit.MoveSwatch(maker.swatch(), maker.maybe(maker.swatch())),
                    maker -> new SwatchEdit.RenameSwatch(maker.swatch(), maker.name()),
                    maker ->
                            new SwatchEdit.RemoveSwatch(
                                    maker.swatch(), maker.maybe(maker.swatch())),
                    maker ->
                            new CharacterLookEdit.AddCharacterLook(
                                    maker.characterLook(maker.fresh())),
                    maker ->
                            new CharacterLookEdit.ChangeCharacterLook(
                                    maker.characterLook(maker.characterLook()), Optional.empty()),
                    maker ->
                            new CharacterLookEdit.RemoveCharacterLook(
                                    maker.characterLook(), maker.maybe(maker.characterLook())),
                    maker -> new LookEdit.AddLook(maker.look(maker.fresh())),
                    maker -> new LookEdit.ChangeLook(maker.look(maker.look())),
                    maker -> new LookEdit.RemoveLook(maker.look(), maker.maybe(maker.look())),
                    maker ->
                            new LookEdit.TakeIntoLook(
                                    maker.look(),
                                    maker.maybe(maker.localSetting()),
                                    maker.maybe(maker.localType())),
                    maker ->
                            new CharacterLookEdit.TakeIntoCharacterLook(
                                    maker.characterLook(), maker.localType()),
                    maker ->
                            new StoryEdit.ClearDifferences(
                                    maker.coin() ? maker.look() : maker.characterLook()),
                    maker -> new AssetEdit.AddAsset(maker.asset()),
                    maker ->
                            new AssetEdit.RecolorAsset(
                                    maker.id(maker.on.assets().stream()), maker.recolor()),
                    EditMaker::takeBack,
                    maker ->
                            new AssetEdit.BackWords(
                                    maker.id(maker.on.assets().stream()), maker.backing()),
                    EditMaker::takeBackBacking,
                    EditMaker::changeBacking,
                    maker -> new AssetEdit.RenameAsset(maker.anyAsset(), maker.name()),
                    maker -> new AssetEdit.ReplaceAsset(maker.anyAsset(), maker.file(), PIXELS),
                    maker ->
                            new AssetEdit.RemoveAsset(
                                    maker.anyAsset(), maker.maybe(maker.anyAsset())),
                    maker -> new PageEdit.NamePart(maker.page(), maker.maybe(maker.name())),
                    maker -> new RecipeEdit.SaveRecipe(maker.fresh(), maker.name(), maker.owner()),
                    maker -> new RecipeEdit.AddRecipe(maker.newRecipe()),
                    maker -> new RecipeEdit.RenameRecipe(maker.recipe(), maker.name()),
                    maker ->
                            new RecipeEdit.ApplyRecipe(
                                    maker.recipe(),
                                    List.of(maker.owner()),
                                    maker.maybe(40.0),
                                    List.of(
                                            new RecipeEdit.Instead(
                                                    maker.swatch(), maker.swatch()))),
                    maker -> new RecipeEdit.TakeOffRecipe(maker.recipe(), List.of()),
                    maker -> new RecipeEdit.RemoveRecipe(maker.recipe(), maker.coin()),
                    maker -> new BackgroundEdit.ClearBackgrounds(maker.pages()),
                    maker ->
                            new BackgroundEdit.AddBackground(
                                    maker.owner(), maker.background(maker.fresh())),
                    maker ->
                            new BackgroundEdit.ChangeBackground(
                                    maker.background(maker.background())),
                    maker ->
                            new BackgroundEdit.ChangeBackgrounds(
                                    List.of(maker.background()),
                                    maker.background(maker.fresh()),
                                    maker.background(maker.fresh()),
                                    maker.coin() ? Set.of("opacity") : Set.of()),
                    maker ->
                            new BackgroundEdit.RestackBackground(
                                    maker.background(), maker.upTo(5) - 2),
                    maker -> new BackgroundEdit.RemoveBackground(maker.background()),
                    maker ->
                            new FrameEdit.AddFrame(
                                    maker.owner(),
                                    maker.fresh(),
                                    Sides.BOTH,
                                    maker.box(),
                                    maker.fresh(),
                                    maker.fresh(),
                                    maker.look()),
                    maker ->
                            new FrameEdit.ContinueFrame(
                                    maker.textFrame(),
                                    maker.owner(),
                                    maker.fresh(),
                                    Sides.BOTH,
                                    maker.box()),
                    maker ->
                            new FrameEdit.ArrangeFrame(
                                    maker.textFrame(), maker.arrangement(), Optional.empty()),
                    maker -> new FrameEdit.JoinFrames(maker.textFrame(), maker.textFrame()),
                    maker ->
                            new FrameEdit.PartFrames(
                                    maker.textFrame(), maker.fresh(), maker.fresh()),
                    maker -> new FrameEdit.PlaceFrame(maker.frame(), Sides.BOTH, maker.box()),
                    maker -> new FrameEdit.RemoveFrame(maker.frame()),
                    maker ->
                            new FrameEdit.AddBand(
                                    maker.owner(),
                                    maker.fresh(),
                                    Sides.BOTH,
                                    maker.band(),
                                    maker.fresh(),
                                    maker.fresh(),
                                    maker.look()),
                    maker ->
                            new FrameEdit.ChangeBand(
                                    maker.bandFrame(), maker.band(), Optional.empty()),
                    maker ->
                            new FrameEdit.HoldFrame(
                                    maker.frame(),
                                    new Hold(
                                            maker.any(List.of(Hold.Way.values())),
                                            maker.any(List.of(Hold.Way.values()))),
                                    Optional.empty()),
                    maker -> new FrameEdit.LockFrame(maker.frame(), maker.upTo(4) == 0),
                    maker -> new FrameEdit.AddPicture(maker.owner(), maker.picture(maker.fresh())),
                    maker ->
                            new FrameEdit.ChangePicture(
                                    maker.picture(maker.pictureFrame()), Optional.empty()),
                    EditMaker::write,
                    EditMaker::exempt,
                    maker ->
                            new ExemptionEdit.EndExemption(
                                    maker.id(maker.on.exemptions().stream())),
                    maker -> new StoryEdit.ColorRun(maker.run(), maker.maybe(maker.tinted())),
                    maker ->
                            new Edit.Several(
                                    List.of(
                                            new PublicationEdit.RenamePublication(maker.name()),
                                            new BackgroundEdit.AddBackground(
                                                    maker.owner(),
                                                    maker.background(maker.fresh())))));

    private final Publication on;
    private final String seed;
    private int drawn;

    private EditMaker(Publication on, int choice) {
        this.on = on;
        this.seed = choice + " ";
    }

    /** How many kinds of edits there are. */
    static int kinds() {
        return KINDS.size();
    }

    /**
     * @param choice the kind is its rest by {@link #kinds}; the rest of it decides everything else
     */
    static Edit make(Publication on, int choice) {
        return KINDS.get(choice % KINDS.size()).apply(new EditMaker(on, choice));
    }

    private UUID fresh() {
        return UUID.nameUUIDFromBytes((seed + drawn++).getBytes(StandardCharsets.UTF_8));
    }

    private int upTo(int bound) {
        return Math.floorMod(fresh().hashCode(), bound);
    }

    private boolean coin() {
        return upTo(2) == 0;
    }

    private <T> Optional<T> maybe(T value) {
        return coin() ? Optional.of(value) : Optional.empty();
    }

    private <T> T any(List<T> list) {
        return list.get(upTo(list.size()));
    }

    /** Any of them, or one that is not there. */
    private UUID id(Stream<? extends Element> elements) {
        List<UUID> ids = elements.map(Element::id).toList();
        return ids.isEmpty() ? fresh() : any(ids);
    }

    private String name() {
        return "Name " + upTo(1000);
    }

    /** For text of a story, or for what is written in the page of a file. */
    private Edit exempt() {
        Optional<Imported> file =
                on.pages().stream().flatMap(page -> page.imported().stream()).findFirst();
        if (file.isPresent() && upTo(2) == 0) {
            return new ExemptionEdit.AddExemption(
                    new Exemption(
                            fresh(),
                            fresh(),
                            file,
                            any(List.of(Exemption.Why.values())),
                            name(),
                            name(),
                            1 + upTo(20)));
        }
        UUID run = run();
        return new ExemptionEdit.AddExemption(
                new Exemption(
                        fresh(),
                        run,
                        any(List.of(Exemption.Why.values())),
                        name(),
                        on.findRun(run).map(Run::text).orElse("gone"),
                        1 + upTo(20)));
    }

    private Edit rename() {
        return new PublicationEdit.RenamePublication(name());
    }

    private Edit setup() {
        return new PublicationEdit.ChangeSetup(
                on.setup()
                        .withTrim(size())
                        .withLanguage(language())
                        .withTitle(maybe(name()))
                        .withRunning(running()));
    }

    private RunningFields running() {
        return new RunningFields(
                1 + upTo(12),
                upTo(1000),
                coin(),
                maybe(LocalDate.of(2026, 1 + upTo(12), 1 + upTo(28))),
                any(List.of(RunningFields.DateForm.values())));
    }

    private Edit addPages() {
        return new PageEdit.AddPages(
                Stream.generate(this::fresh).limit(1 + upTo(3)).toList(),
                maybe(page()),
                maybe(parent()));
    }

    private PageSize size() {
        return new PageSize(Length.mm(100 + upTo(200)), Length.mm(120 + upTo(200)));
    }

    private UUID page() {
        return id(on.pages().stream());
    }

    private List<UUID> pages() {
        return Stream.of(page(), page()).distinct().toList();
    }

    private UUID parent() {
        return id(on.parents().stream());
    }

    private UUID swatch() {
        return id(on.swatches().stream());
    }

    private UUID look() {
        return id(on.looks().stream());
    }

    private UUID recipe() {
        return id(on.recipes().stream());
    }

    private UUID anyAsset() {
        return id(on.assets().stream());
    }

    private UUID background() {
        return id(on.layers().flatMap(layer -> layer.backgrounds().stream()));
    }

    private UUID frame() {
        return id(on.layers().flatMap(layer -> layer.frames().stream()));
    }

    private UUID textFrame() {
        return id(on.layers().flatMap(layer -> layer.textFrames().stream()));
    }

    private UUID run() {
        List<UUID> runs =
                on.stories().stream()
                        .flatMap(story -> story.paragraphs().stream())
                        .flatMap(paragraph -> paragraph.runs().stream())
                        .map(run -> run.id())
                        .toList();
        return runs.isEmpty() ? fresh() : any(runs);
    }

    private Owner owner() {
        return any(on.carriers().map(Carrier::asOwner).toList());
    }

    private Tinted tinted() {
        return new Tinted(swatch(), upTo(101));
    }

    private Definition definition() {
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
    private List<WrittenRun> runs(String text) {
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

    private Language language() {
        return any(List.of(Language.values()));
    }

    private LinkTo link() {
        return any(
                List.of(
                        new LinkTo.Address("https://observatory.example/" + upTo(9)),
                        new LinkTo.ToPage(page()),
                        new LinkTo.ToParagraph(fresh(), fresh())));
    }

    private LocalType localType() {
        return new LocalType(
                Optional.empty(),
                maybe(100 * (1 + upTo(9))),
                maybe(coin()),
                maybe(10.0 + upTo(391)),
                maybe(upTo(100) - 50.0),
                maybe(capitals()),
                maybe(figures()));
    }

    private LocalSetting localSetting() {
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

    private Letters.Capitals capitals() {
        return any(List.of(Letters.Capitals.values()));
    }

    private Letters.Figures figures() {
        return any(List.of(Letters.Figures.values()));
    }

    private ListMark list() {
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

    private CharacterLook characterLook(UUID id) {
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

    /** One that is there, or nearly always is. */
    private UUID characterLook() {
        return on.characterLooks().isEmpty() ? fresh() : any(on.characterLooks()).id();
    }

    private Look look(UUID id) {
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

    private Panel panel() {
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

    private Set<String> some(Set<String> of) {
        return of.stream().filter(each -> coin()).collect(Collectors.toSet());
    }

    private String file() {
        return any(FILES);
    }

    private Recolor recolor() {
        boolean all = coin();
        return new Recolor(
                new Rgb(upTo(256), upTo(256), upTo(256)),
                upTo(51),
                Set.of(any(List.of(Recolor.What.values()))),
                all ? List.of() : List.of(1),
                Optional.of(Tinted.full(swatch())),
                all || coin() ? Optional.empty() : Optional.of(box()));
    }

    /** One that is there, or none. */
    private Edit takeBack() {
        return on.assets().stream()
                .filter(asset -> !asset.recolored().isEmpty())
                .findFirst()
                .map(asset -> new AssetEdit.TakeBackColor(asset.id(), any(asset.recolored())))
                .orElseGet(() -> new AssetEdit.TakeBackColor(id(on.assets().stream()), recolor()));
    }

    private Backing backing() {
        return backing(fresh());
    }

    private Backing backing(UUID id) {
        return new Backing(id, 1, box(), Length.mm(upTo(5)), Tinted.full(swatch()), 1 + upTo(100));
    }

    private Edit changeBacking() {
        AssetEdit.TakeBackBacking there = takeBackBacking();
        return new AssetEdit.ChangeBacking(
                there.asset(), there.backing(), backing(there.backing().id()));
    }

    /** One that is there, or none. */
    private AssetEdit.TakeBackBacking takeBackBacking() {
        return on.assets().stream()
                .filter(asset -> !asset.backings().isEmpty())
                .findFirst()
                .map(asset -> new AssetEdit.TakeBackBacking(asset.id(), any(asset.backings())))
                .orElseGet(
                        () -> new AssetEdit.TakeBackBacking(id(on.assets().stream()), backing()));
    }

    private Asset asset() {
        return coin()
                ? new Asset(fresh(), name(), DOCUMENT, PAGES)
                : new Asset(fresh(), name(), file(), PIXELS);
    }

    private Recipe newRecipe() {
        return new Recipe(
                fresh(), name(), size(), new Layer(List.of(background(fresh())), List.of()));
    }

    private Background background(UUID id) {
        return new Background(
                id,
                Sides.BOTH,
                area(),
                fill(),
                upTo(101),
                any(List.of(BlendMode.values())),
                new Background.GoesTo(coin(), coin()));
    }

    private Area area() {
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

    private Fill fill() {
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

    private Box box() {
        return new Box(
                Length.mm(upTo(40)), Length.mm(upTo(40)), Length.mm(20 + upTo(80)), Length.pt(90));
    }

    /** One that is there, or nearly always is. */
    private UUID pictureFrame() {
        List<UUID> there =
                on.layers()
                        .flatMap(layer -> layer.pictureFrames().stream())
                        .map(PictureFrame::id)
                        .toList();
        return there.isEmpty() ? fresh() : any(there);
    }

    private UUID bandFrame() {
        List<UUID> there =
                on.layers()
                        .flatMap(layer -> layer.textFrames().stream())
                        .filter(frame -> frame.band().isPresent())
                        .map(TextFrame::id)
                        .toList();
        return there.isEmpty() ? fresh() : any(there);
    }

    private TextBand band() {
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

    private Fill.Word word() {
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

    private PictureFrame picture(UUID id) {
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

    private FrameSetting arrangement() {
        return new FrameSetting(
                Length.mm(upTo(4)),
                1 + upTo(3),
                Length.mm(upTo(5)),
                any(List.of(FrameSetting.Vertical.values())),
                upTo(180));
    }

    private Edit storyLanguage() {
        return new StoryEdit.SetStoryLanguage(story(), maybe(language()));
    }

    private Edit panels() {
        if (on.stories().isEmpty()) {
            return new StoryEdit.SetPanel(fresh(), List.of(), Optional.empty());
        }
        Story story = any(on.stories());
        return new StoryEdit.SetPanel(
                story.id(), List.of(any(story.paragraphs()).id()), maybe(panel()));
    }

    private Edit wear() {
        Story story = on.stories().isEmpty() ? null : any(on.stories());
        return story == null
                ? new StoryEdit.WearLook(fresh(), List.of(), look())
                : new StoryEdit.WearLook(story.id(), List.of(any(story.paragraphs()).id()), look());
    }

    private UUID story() {
        return on.stories().isEmpty() ? fresh() : any(on.stories()).id();
    }

    /** Some paragraphs stay, some are written anew, some come in. */
    private Edit write() {
        if (on.stories().isEmpty()) {
            return new StoryEdit.WriteText(fresh(), Optional.empty(), List.of(), List.of());
        }
        Story story = any(on.stories());
        int from = upTo(story.paragraphs().size());
        List<Paragraph> there =
                story.paragraphs().subList(from, from + upTo(story.paragraphs().size() - from + 1));
        Stream<WrittenParagraph> kept =
                there.stream()
                        .filter(each -> coin())
                        .map(each ->
                                new WrittenParagraph(
                                        each.id(),
                                        coin() ? each.look() : look(),
                                        runs(coin() ? each.text() : "Words\t" + upTo(100)),
                                        maybe(1 + upTo(20)),
                                        maybe(localSetting())));
        Stream<WrittenParagraph> more =
                Stream.of(new WrittenParagraph(fresh(), look(), "More " + upTo(100)));
        return new StoryEdit.WriteText(
                story.id(),
                from == 0 ? Optional.empty() : Optional.of(story.paragraphs().get(from - 1).id()),
                Stream.concat(kept, more).toList(),
                there.stream().map(WrittenParagraph::of).toList());
    }
}
