package yewberry.core.mends;

import java.util.Optional;
import java.util.function.IntFunction;
import yewberry.core.color.Rgb;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Tinted;

/** The background behind words in another swatch, tint or opacity. */
final class OtherGround extends TriedOut {
    OtherGround(Failing failing) {
        super(failing);
    }

    /** The background behind it in another swatch. */
    Optional<Remedy> ground() {
        Optional<Background> behind = behind().filter(area -> area.fill() instanceof Fill.Solid);
        Optional<Named> color = nearest(contrast.worst().color());
        if (behind.isEmpty() || color.isEmpty()) {
            return Optional.empty();
        }
        return tried(
                Remedy.Kind.GROUND,
                "The background in “%s”".formatted(color.get().name()),
                where(),
                color.get().seen(),
                new BackgroundEdit.ChangeBackground(
                        behind.get().withFill(new Fill.Solid(Tinted.full(color.get().id()))),
                        behind));
    }

    /** A lighter or a darker tint of the background behind it, as near as it can be. */
    Optional<Remedy> tint() {
        Optional<Background> behind = behind();
        if (behind.isEmpty() || !(behind.get().fill() instanceof Fill.Solid solid)) {
            return Optional.empty();
        }
        Tinted now = solid.color();
        return nearest(
                Remedy.Kind.TINT,
                (int) Math.rint(now.tint()),
                tint -> "A tint of %d %% of the background".formatted(tint),
                tint -> behind.get().withFill(new Fill.Solid(new Tinted(now.swatch(), tint))));
    }

    /** The background behind it less or more opaque, as near as it can be. */
    Optional<Remedy> opacity() {
        return behind().flatMap(background ->
                nearest(
                        Remedy.Kind.OPACITY,
                        (int) Math.rint(background.opacity()),
                        percent -> "An opacity of %d %% of the background".formatted(percent),
                        background::withOpacity));
    }

    /** The background with a percentage as near to what it is as it can be, below it or above. */
    private Optional<Remedy> nearest(
            Remedy.Kind kind, int now, IntFunction<String> words, IntFunction<Background> changed) {
        IntFunction<Optional<Remedy>> tried = percent -> changed(kind, percent, words, changed);
        IntFunction<Edit> edit =
                percent -> new BackgroundEdit.ChangeBackground(changed.apply(percent), behind());
        return nearest(now - 1, 1, tried, edit).or(() -> nearest(now + 1, 100, tried, edit));
    }

    private Optional<Remedy> changed(
            Remedy.Kind kind,
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
        return condition.seen(Palette.tint(palette.color(solid.color().swatch()), tint), medium());
    }
}
