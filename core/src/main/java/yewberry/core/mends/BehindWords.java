package yewberry.core.mends;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntFunction;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;

/** A veil or a shading: what comes between words and all that lies behind them. */
final class BehindWords extends TriedOut {
    /** Around the words that a veil lies behind, in em: common practice, no source. */
    private static final double VEILED = 0.4;

    /** How far a shading goes beyond its lines, in em: common practice, no source. */
    private static final double ABOVE = 0.25;

    private static final double ASIDE = 0.4;

    private static final Padding PADDING =
            new Padding(
                    Distance.em(ABOVE), Distance.em(ASIDE), Distance.em(ABOVE), Distance.em(ASIDE));

    BehindWords(Failing failing) {
        super(failing);
    }

    /** Just where the text is, as strong as needed and no stronger. */
    Optional<Remedy> veil() {
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
                                Remedy.Kind.VEIL,
                                "A veil of “%s” at %d %%, behind these words only"
                                        .formatted(color.name(), opacity),
                                "The background below stays as it is",
                                color.seen(),
                                new BackgroundEdit.AddBackground(page, veil.withOpacity(opacity))),
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
                                                    Remedy.Kind.VEIL,
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
     * The least percentage with which the run passes, near one that was worked out: each that is
     * tried has the page of a file drawn.
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

    /**
     * Behind lines of a file, which belong together where they have one face and size and follow
     * closely (see {@link yewberry.core.asset.PageText.Stretch}). It lies behind the page of the
     * file where that is bare, and else over what that paints below the words.
     */
    private Optional<Remedy> shadingInFile() {
        Optional<Named> color = nearest(contrast.worst().color());
        if (color.isEmpty() || contrast.veiled()) {
            return Optional.empty();
        }
        double em = run().size();
        String words = "A shading of “%s” behind these lines".formatted(color.get().name());
        return tried(
                        Remedy.Kind.SHADING,
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
                                                Remedy.Kind.SHADING,
                                                words,
                                                "Over what the file has there, which stays as it is",
                                                color.get().seen(),
                                                backing.of(100))));
    }

    Optional<Remedy> shading() {
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
                                text.runs().stream().anyMatch(one -> one.id().equals(run().run())))
                        .map(text -> text.id())
                        .toList();
        return tried(
                Remedy.Kind.SHADING,
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
}
