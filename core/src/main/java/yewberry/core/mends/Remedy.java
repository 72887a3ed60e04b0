package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import yewberry.core.Cancellation;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.edit.TypeChange;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.FontLibrary;

/**
 * A way to make text legible other than by a colour of its own: what lies behind it, around it, or
 * how large it is. Each was tried, so that what it leads to is known.
 *
 * @param words what it does
 * @param detail how
 * @param screen a colour that it brings, as it is seen
 * @param ratio the least that the text has then
 * @param required the least that passes then
 * @param pages that it changes, in order
 * @param worse other text that would fail for it, each once
 * @param overset whether text finds no room then that had some
 * @param trial that all this comes from
 */
public record Remedy(
        Kind kind,
        String words,
        String detail,
        Rgb screen,
        double ratio,
        double required,
        List<UUID> pages,
        List<String> worse,
        boolean overset,
        Edit edit,
        Trial trial)
        implements ContrastMend {
    /** What it changes. */
    public enum Kind {
        /** A veil between a picture and the text. */
        VEIL,
        /** The colour of the background. */
        GROUND,
        /** How strong its colour is. */
        TINT,
        /** How much of it there is, so that what lies below shows through. */
        OPACITY,
        /** A shading behind the paragraph. */
        SHADING,
        /** A line around the letters. */
        OUTLINE,
        /** The size, so that another threshold applies. */
        LARGER,
        /** The weight, for the same. */
        BOLDER,
        /** A colour that chooses itself. */
        LEGIBLE
    }

    @Override
    public String changes() {
        return kind.name();
    }

    /** What comes behind text, and changes nothing of it; a file's own is not changed here. */
    private static final Set<Kind> BEHIND =
            EnumSet.of(Kind.VEIL, Kind.GROUND, Kind.TINT, Kind.OPACITY, Kind.SHADING);

    private static final double LARGE = 18;
    private static final double LARGE_BOLD = 14;
    private static final int BOLD = 700;

    /** Around the words that a veil lies behind, in em: common practice, no source. */
    private static final double VEILED = 0.4;

    /** How far a shading goes beyond its lines, in em: common practice, no source. */
    private static final double ABOVE = 0.25;

    private static final double ASIDE = 0.4;

    private static final Padding PADDING =
            new Padding(
                    Distance.em(ABOVE), Distance.em(ASIDE), Distance.em(ABOVE), Distance.em(ASIDE));

    /**
     * The remedies that make a run pass wherever it stands; those that cost least first. Empty
     * where it passes, or none is known.
     *
     * @param kinds that are looked for
     * @param ids for what is new
     */
    public static List<Remedy> of(
            UUID run,
            Set<Kind> kinds,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids) {
        for (PageScene scene : composer.composeAll(publication)) {
            Optional<RunContrast> worst =
                    legibility.judgeEach(scene).stream()
                            .filter(each -> each.run().run().equals(run) && !each.passes())
                            .min(Comparator.comparingDouble(each -> each.worst().ratio()));
            if (worst.isPresent()) {
                return new Search(
                                publication,
                                composer,
                                legibility,
                                condition,
                                ids,
                                worst.get(),
                                scene,
                                kinds)
                        .all();
            }
        }
        return List.of();
    }

    private record Named(UUID id, String name, Rgb seen, double ratio) {}

    private record Search(
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids,
            RunContrast contrast,
            PageScene scene,
            Set<Kind> kinds) {
        List<Remedy> all() {
            List<Remedy> all = new ArrayList<>();
            for (Kind kind : Kind.values()) {
                if (kinds.contains(kind) && (BEHIND.contains(kind) || !run().isInFile())) {
                    of(kind).ifPresent(all::add);
                }
            }
            return all;
        }

        private Optional<Remedy> of(Kind kind) {
            return switch (kind) {
                case VEIL -> veil();
                case GROUND -> ground();
                case TINT -> tint();
                case OPACITY -> opacity();
                case LEGIBLE -> legible();
                case SHADING -> shading();
                case OUTLINE -> outline();
                case LARGER -> larger();
                case BOLDER -> bolder();
            };
        }

        private Item.GlyphRun run() {
            return contrast.run();
        }

        private Look look() {
            return publication.look(run().look().id());
        }

        private Medium medium() {
            return contrast.medium();
        }

        /** The swatches that hold a colour, with their contrast to what is seen of another. */
        private List<Named> swatches(Rgb to) {
            Palette palette = new Palette(publication::swatch, condition);
            return publication.swatches().stream()
                    .filter(each -> !(each.definition() instanceof Definition.Legible))
                    .map(each -> {
                        Color color = palette.color(each.id());
                        double least =
                                publication.setup().destination().media().stream()
                                        .mapToDouble(
                                                on -> Contrast.ratio(condition.seen(color, on), to))
                                        .min()
                                        .orElseThrow();
                        return new Named(
                                each.id(), each.name(), condition.seen(color, medium()), least);
                    })
                    .toList();
        }

        private Rgb text() {
            return contrast.worst().foreground();
        }

        private Optional<Remedy> tried(
                Kind kind, String words, String detail, Rgb screen, Edit edit) {
            return tried(kind, words, detail, screen, contrast.required(), edit);
        }

        private Optional<Remedy> tried(
                Kind kind, String words, String detail, Rgb screen, double required, Edit edit) {
            return trial(edit)
                    .filter(trial -> !trial.failing().contains(run().run()))
                    .filter(trial -> trial.ratios().containsKey(run().run()))
                    .map(trial ->
                            new Remedy(
                                    kind,
                                    words,
                                    detail,
                                    screen,
                                    trial.ratios().get(run().run()),
                                    required,
                                    trial.pages(),
                                    trial.worse(),
                                    trial.overset(),
                                    edit,
                                    trial));
        }

        private Optional<Trial> trial(Edit edit) {
            try {
                return Trial.of(edit, publication, composer, legibility);
            } catch (Refused impossible) {
                return Optional.empty();
            }
        }

        /** Just where the text is, as strong as needed and no stronger. */
        private Optional<Remedy> veil() {
            boolean uneven = contrast.onPicture() || contrast.against().size() > 1;
            if (!uneven || contrast.veiled()) {
                return Optional.empty();
            }
            return veilOnPage().or(this::veilInFile);
        }

        private Optional<Remedy> veilOnPage() {
            Named color = farthest();
            double around = VEILED * run().size();
            Background veil = aroundWords(around, around, color);
            Owner page = new Owner.OnPage(scene.page());
            return nearest(
                    1,
                    100,
                    opacity ->
                            tried(
                                    Kind.VEIL,
                                    "A veil of “%s” at %d %%, behind these words only"
                                            .formatted(color.name(), opacity),
                                    "The background below stays as it is",
                                    color.seen(),
                                    new BackgroundEdit.AddBackground(
                                            page, veil.withOpacity(opacity))),
                    opacity -> new BackgroundEdit.AddBackground(page, veil.withOpacity(opacity)));
        }

        /** Of a file, over what its page paints below these words. */
        private Optional<Remedy> veilInFile() {
            Named color = farthest();
            double around = VEILED * run().size();
            return backing(around, around, color)
                    .flatMap(backing -> {
                        int enough = enough(color);
                        return enough > 100
                                ? Optional.empty()
                                : least(enough, opacity -> backing.of(opacity))
                                        .flatMap(opacity ->
                                                tried(
                                                        Kind.VEIL,
                                                        "A veil of “%s” at %d %%, behind these words only"
                                                                .formatted(color.name(), opacity),
                                                        "Over what the file has there, which stays as it is",
                                                        color.seen(),
                                                        backing.of(opacity)));
                    });
        }

        /** How opaque a veil has to be, were light mixed; in percent, above 100 for none. */
        private int enough(Named color) {
            int percent = 1;
            while (percent <= 100 && !reads(color.seen(), percent)) {
                percent++;
            }
            return percent;
        }

        private boolean reads(Rgb veil, int percent) {
            return contrast.against().stream()
                    .allMatch(each ->
                            Contrast.ratio(text(), mixed(each.color(), veil, percent))
                                    >= contrast.required());
        }

        private static Rgb mixed(Rgb below, Rgb veil, int percent) {
            return new Rgb(
                    mixed(below.red(), veil.red(), percent),
                    mixed(below.green(), veil.green(), percent),
                    mixed(below.blue(), veil.blue(), percent));
        }

        private static int mixed(int below, int veil, int percent) {
            return (int) Math.rint((below * (100 - percent) + veil * percent) / 100.0);
        }

        /**
         * The least percentage with which the run passes, near one that was worked out: each that
         * is tried has the page of a file drawn.
         */
        private Optional<Integer> least(int near, IntFunction<Edit> edit) {
            int step = 1;
            int fails = near - 1;
            int passes = near;
            while (!passes(edit.apply(passes))) {
                if (passes == 100) {
                    return Optional.empty();
                }
                fails = passes;
                passes = Math.min(100, passes + step);
                step *= 2;
            }
            while (passes - fails > 1) {
                int middle = (passes + fails) / 2;
                if (passes(edit.apply(middle))) {
                    passes = middle;
                } else {
                    fails = middle;
                }
            }
            boolean first = passes == near;
            while (first && passes > 1 && passes(edit.apply(passes - 1))) {
                passes--;
            }
            return Optional.of(passes);
        }

        /** What puts a colour behind words of a file, as opaque as it is told. */
        private record BackingEdit(UUID asset, Backing full) {
            Edit of(int opacity) {
                return new AssetEdit.BackWords(asset, full.withOpacity(opacity));
            }
        }

        /**
         * Around the words, and so far beyond them, in points.
         *
         * @return nothing for text that is in no page of a file, or in one that is not as it came
         */
        private Optional<BackingEdit> backing(double across, double down, Named color) {
            Optional<Imported> file = publication.page(scene.page()).imported();
            if (!run().isInFile()
                    || run().origin() instanceof Origin.FromAnnotation
                    || file.isEmpty()
                    || !FileMend.isPlainly(run(), file.get(), publication)) {
                return Optional.empty();
            }
            Rect words = run().bounds().inset(-across, -down, -across, -down);
            return Optional.of(
                    new BackingEdit(
                            file.get().asset(),
                            new Backing(
                                    ids.get(),
                                    file.get().number(),
                                    new Box(
                                            millimetres(words.x()),
                                            millimetres(words.y()),
                                            millimetres(words.width()),
                                            millimetres(words.height())),
                                    Length.ZERO,
                                    Tinted.full(color.id()),
                                    100)));
        }

        /** A background just where the text is, and so far beyond it, in points. */
        private Background aroundWords(double across, double down, Named color) {
            Rect words = run().bounds().inset(-across, -down, -across, -down);
            return new Background(
                    ids.get(),
                    Sides.BOTH,
                    new Area.Rectangle(
                            new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                            millimetres(words.x()),
                            millimetres(words.y()),
                            millimetres(words.width()),
                            millimetres(words.height()),
                            Set.of()),
                    new Fill.Solid(Tinted.full(color.id())));
        }

        private static Length millimetres(double points) {
            return Length.mm(Math.rint(points * 25.4 / 72 * 100) / 100);
        }

        /** The swatch that the text has most contrast to. */
        private Named farthest() {
            return swatches(text()).stream()
                    .max(Comparator.comparingDouble(Named::ratio))
                    .orElseThrow();
        }

        /** Of those that the text reads on, the nearest to what is there. */
        private Optional<Named> nearest(Rgb there) {
            return swatches(text()).stream()
                    .filter(each -> each.ratio() >= contrast.required())
                    .min(
                            Comparator.comparingDouble(each ->
                                    Difference.ciede2000(
                                            condition.lab(each.seen()), condition.lab(there))));
        }

        /** The background behind it where it is worst. */
        private Optional<Background> behind() {
            return contrast.worst().behind().stream()
                    .flatMap(each ->
                            publication.layer(each.origin().owner()).backgrounds().stream()
                                    .filter(area -> area.id().equals(each.element())))
                    .findFirst();
        }

        /** Where that lies. */
        private String where() {
            return contrast.worst()
                    .behind()
                    .map(each ->
                            each.origin() instanceof Origin.FromParent
                                    ? "On " + each.origin().inWords()
                                    : "On this page only")
                    .orElse("");
        }

        /** A lighter or a darker tint of the background behind it, as near as it can be. */
        private Optional<Remedy> tint() {
            Optional<Background> behind = behind();
            if (behind.isEmpty() || !(behind.get().fill() instanceof Fill.Solid solid)) {
                return Optional.empty();
            }
            Tinted now = solid.color();
            return nearest(
                    Kind.TINT,
                    (int) Math.rint(now.tint()),
                    tint -> "A tint of %d %% of the background".formatted(tint),
                    tint -> behind.get().withFill(new Fill.Solid(new Tinted(now.swatch(), tint))));
        }

        /** The background behind it less or more opaque, as near as it can be. */
        private Optional<Remedy> opacity() {
            return behind().flatMap(background ->
                    nearest(
                            Kind.OPACITY,
                            (int) Math.rint(background.opacity()),
                            percent -> "An opacity of %d %% of the background".formatted(percent),
                            background::withOpacity));
        }

        /**
         * The background with a percentage as near to what it is as it can be, below it or above.
         */
        private Optional<Remedy> nearest(
                Kind kind, int now, IntFunction<String> words, IntFunction<Background> changed) {
            IntFunction<Optional<Remedy>> tried = percent -> changed(kind, percent, words, changed);
            IntFunction<Edit> edit =
                    percent ->
                            new BackgroundEdit.ChangeBackground(changed.apply(percent), behind());
            return nearest(now - 1, 1, tried, edit).or(() -> nearest(now + 1, 100, tried, edit));
        }

        /**
         * By halves between what is near and what is far, looking at this run on its page only;
         * then all that the edit changes is tried. Where the far end does not help, nothing on the
         * way is looked for.
         *
         * @param near from 1 to 100, or there is nothing
         */
        private Optional<Remedy> nearest(
                int near, int far, IntFunction<Optional<Remedy>> tried, IntFunction<Edit> edit) {
            if (near < 1 || near > 100 || !passes(edit.apply(far))) {
                return Optional.empty();
            }
            int passes = far;
            int fails = far < near ? near + 1 : near - 1;
            while (Math.abs(passes - fails) > 1) {
                int middle = (passes + fails) / 2;
                if (passes(edit.apply(middle))) {
                    passes = middle;
                } else {
                    fails = middle;
                }
            }
            Optional<Remedy> found = tried.apply(passes);
            // elsewhere the same run may need more
            return found.isPresent() || passes == far ? found : tried.apply(far);
        }

        /** Whether the run passes on this page after an edit. */
        private boolean passes(Edit edit) {
            Cancellation.check();
            PageScene after;
            try {
                Publication there = Editing.edit(publication, edit).publication();
                after = composer.compose(there, there.indexOf(scene.page()));
            } catch (Refused impossible) {
                return false;
            }
            for (Medium medium : legibility.destination().media()) {
                View view = View.designed(medium, condition);
                MediumScene on = after.on(view);
                for (Item.GlyphRun each : on.judged()) {
                    if (each.run().equals(run().run())
                            && !legibility
                                    .judge(on, on.below(each), on.veils(each), each, view)
                                    .map(RunContrast::passes)
                                    .orElse(true)) {
                        return false;
                    }
                }
            }
            return true;
        }

        private Optional<Remedy> changed(
                Kind kind,
                int percent,
                IntFunction<String> words,
                IntFunction<Background> changed) {
            return tried(
                    kind,
                    words.apply(percent),
                    where(),
                    shown(changed.apply(percent)),
                    new BackgroundEdit.ChangeBackground(changed.apply(percent), behind()));
        }

        /** What a background is like, were there nothing below it. */
        private Rgb shown(Background background) {
            if (!(background.fill() instanceof Fill.Solid solid)) {
                return contrast.worst().color();
            }
            Palette palette = new Palette(publication::swatch, condition);
            double tint = solid.color().tint() * background.opacity() / 100;
            return condition.seen(
                    Palette.tint(palette.color(solid.color().swatch()), tint), medium());
        }

        /** The background behind it in another swatch. */
        private Optional<Remedy> ground() {
            Optional<Background> behind =
                    behind().filter(area -> area.fill() instanceof Fill.Solid);
            Optional<Named> color = nearest(contrast.worst().color());
            if (behind.isEmpty() || color.isEmpty()) {
                return Optional.empty();
            }
            return tried(
                    Kind.GROUND,
                    "The background in “%s”".formatted(color.get().name()),
                    where(),
                    color.get().seen(),
                    new BackgroundEdit.ChangeBackground(
                            behind.get().withFill(new Fill.Solid(Tinted.full(color.get().id()))),
                            behind));
        }

        /**
         * Behind lines of a file, which belong together where they have one face and size and
         * follow closely (see {@link yewberry.core.asset.PageText.Stretch}). It lies behind the
         * page of the file where that is bare, and else over what that paints below the words.
         */
        private Optional<Remedy> shadingInFile() {
            Optional<Named> color = nearest(contrast.worst().color());
            if (color.isEmpty() || contrast.veiled()) {
                return Optional.empty();
            }
            double em = run().size();
            String words = "A shading of “%s” behind these lines".formatted(color.get().name());
            return tried(
                            Kind.SHADING,
                            words,
                            "Behind the page of the file, which is bare here",
                            color.get().seen(),
                            new BackgroundEdit.AddBackground(
                                    new Owner.OnPage(scene.page()),
                                    aroundWords(ASIDE * em, ABOVE * em, color.get())))
                    .or(() ->
                            backing(ASIDE * em, ABOVE * em, color.get())
                                    .flatMap(backing ->
                                            tried(
                                                    Kind.SHADING,
                                                    words,
                                                    "Over what the file has there, which stays as it is",
                                                    color.get().seen(),
                                                    backing.of(100))));
        }

        private Optional<Remedy> shading() {
            if (run().isInFile()) {
                return shadingInFile();
            }
            Optional<Story> story =
                    publication.stories().stream()
                            .filter(each ->
                                    each.paragraphs().stream()
                                            .anyMatch(text ->
                                                    text.runs().stream()
                                                            .anyMatch(one ->
                                                                    one.id().equals(run().run()))))
                            .findFirst();
            Optional<Named> color = nearest(contrast.worst().color());
            if (story.isEmpty() || color.isEmpty()) {
                return Optional.empty();
            }
            List<UUID> paragraph =
                    story.get().paragraphs().stream()
                            .filter(text ->
                                    text.runs().stream()
                                            .anyMatch(one -> one.id().equals(run().run())))
                            .map(text -> text.id())
                            .toList();
            return tried(
                    Kind.SHADING,
                    "A shading of “%s” behind the paragraph".formatted(color.get().name()),
                    "Around the lines as they fall",
                    color.get().seen(),
                    new StoryEdit.SetPanel(
                            story.get().id(),
                            paragraph,
                            Optional.of(
                                    Panel.shaded(
                                            Tinted.full(color.get().id()),
                                            Panel.Reach.LINES,
                                            PADDING))));
        }

        /** As wide as it has to be to count, in a colour that reads against the letters. */
        private Optional<Remedy> outline() {
            Look look = look();
            Optional<Named> color = nearest(contrast.worst().color());
            if (look.outline().isPresent() || color.isEmpty()) {
                return Optional.empty();
            }
            double width = Math.ceil(Math.max(1, 0.06 * run().size()) * 100) / 100;
            Outline outline =
                    new Outline(
                            Tinted.full(color.get().id()),
                            Length.pt(width),
                            Outline.Join.ROUND,
                            false);
            return tried(
                    Kind.OUTLINE,
                    "An outline in “%s”".formatted(color.get().name()),
                    "%s pt around the letters of the look “%s”"
                            .formatted(Numbers.plain(width), look.name()),
                    color.get().seen(),
                    new LookEdit.ChangeLook(
                            look.withOutline(Optional.of(outline)), Optional.of(look)));
        }

        /** Large text needs less; so does bold text that is nearly as large. */
        private Optional<Remedy> larger() {
            boolean isBold = run().face().weight() >= BOLD;
            return TypeChange.size(
                            publication,
                            run().paragraph(),
                            run().run(),
                            run().size(),
                            isBold ? LARGE_BOLD : LARGE)
                    .flatMap(change ->
                            asLarge("Larger: %s".formatted(change.value()), Kind.LARGER, change));
        }

        private Optional<Remedy> bolder() {
            boolean hasBold =
                    FontLibrary.families().stream()
                            .anyMatch(each ->
                                    each.name().equals(run().face().family())
                                            && each.weights().contains(BOLD));
            boolean helps = run().face().weight() < BOLD && run().size() >= LARGE_BOLD;
            return hasBold && helps
                    ? TypeChange.weight(publication, run().paragraph(), run().run(), BOLD)
                            .flatMap(change ->
                                    asLarge(
                                            "Bolder: weight %d".formatted(BOLD),
                                            Kind.BOLDER,
                                            change))
                    : Optional.empty();
        }

        private Optional<Remedy> asLarge(String words, Kind kind, TypeChange change) {
            double large = legibility.demand().required(true);
            if (contrast.sizeClass().large() || contrast.worst().ratio() < large) {
                return Optional.empty();
            }
            return tried(
                    kind,
                    words,
                    "%s; such text needs %s : 1"
                            .formatted(
                                    change.isOfLook()
                                            ? "All text of " + change.of()
                                            : "Of %s only".formatted(change.of()),
                                    Numbers.plain(large)),
                    text(),
                    large,
                    change.edit());
        }

        /** Its own colour where that reads, and otherwise the one that reads best. */
        private Optional<Remedy> legible() {
            Look look = look();
            boolean isLooks = run().paint().swatch().equals(Optional.of(look.color().swatch()));
            boolean chooses =
                    publication.swatch(look.color().swatch()).definition()
                            instanceof Definition.Legible;
            if (!isLooks || chooses || look.color().tint() != 100) {
                return Optional.empty();
            }
            List<UUID> list = new ArrayList<>(List.of(look.color().swatch()));
            swatches(contrast.worst().color()).stream()
                    .sorted(Comparator.comparingDouble(Named::ratio).reversed())
                    .limit(1)
                    .forEach(each -> list.add(each.id()));
            Named best =
                    swatches(contrast.worst().color()).stream()
                            .max(Comparator.comparingDouble(Named::ratio))
                            .orElseThrow();
            if (list.stream().distinct().count() < list.size()) {
                return Optional.empty();
            }
            String name =
                    Names.free(
                            "%s or %s"
                                    .formatted(
                                            publication.swatch(look.color().swatch()).name(),
                                            best.name()),
                            publication.swatches().stream()
                                    .map(Swatch::name)
                                    .collect(Collectors.toSet()));
            Swatch swatch = new Swatch(ids.get(), name, new Definition.Legible(list, List.of()));
            return tried(
                    Kind.LEGIBLE,
                    "A legible colour: “%s”".formatted(name),
                    "All text of the look “%s” takes the first that reads where it stands"
                            .formatted(look.name()),
                    best.seen(),
                    new Edit.Several(
                            List.of(
                                    new SwatchEdit.AddSwatch(swatch),
                                    new LookEdit.ChangeLook(
                                            look.withColor(Tinted.full(swatch.id())),
                                            Optional.of(look)))));
        }
    }
}
