package yewberry.server.store;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
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
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;

/**
 * Makes an edit of any kind on any elements of a publication out of one number, so that a sequence
 * of numbers is a sequence of edits that can be cut short.
 */
final class EditMaker extends MadeValues {
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

    private EditMaker(Publication on, int choice) {
        super(on, choice);
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

    private Edit addPages() {
        return new PageEdit.AddPages(
                Stream.generate(this::fresh).limit(1 + upTo(3)).toList(),
                maybe(page()),
                maybe(parent()));
    }

    /** One that is there, or none. */
    private Edit takeBack() {
        return on.assets().stream()
                .filter(asset -> !asset.recolored().isEmpty())
                .findFirst()
                .map(asset -> new AssetEdit.TakeBackColor(asset.id(), any(asset.recolored())))
                .orElseGet(() -> new AssetEdit.TakeBackColor(id(on.assets().stream()), recolor()));
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
