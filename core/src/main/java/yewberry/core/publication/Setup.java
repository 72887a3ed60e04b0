package yewberry.core.publication;

import java.util.Optional;
import java.util.stream.Stream;
import yewberry.core.Refused;

/**
 * What all pages of a publication share.
 *
 * @param destination where it goes: what its colours are mixed, drawn and judged by
 * @param facing whether left and right pages face each other; page 1 is then a right-hand page
 * @param safe how far inside the trim text is to stay
 * @param level what text is held to
 * @param textChecks what it is held to besides
 * @param language of all text that says no other
 * @param title as readers show it; nothing means the publication's name
 * @param running what running numbers and dates read
 * @throws Refused if a measure is negative or leaves no room on the page
 */
public record Setup(
        Destination destination,
        PageSize trim,
        boolean facing,
        Bleed bleed,
        Length safe,
        Margins margins,
        Unit unit,
        Level level,
        Press press,
        PressChecks checks,
        TextChecks textChecks,
        Language language,
        Optional<String> title,
        RunningFields running) {
    private static final int LONGEST_TITLE = 500;

    public Setup {
        title = title.map(String::strip).filter(each -> !each.isEmpty());
        if (title.filter(Setup::isUnfit).isPresent()) {
            throw new Refused(
                    "A title has at most %d characters, all of one line.".formatted(LONGEST_TITLE));
        }
        double shorter = Math.min(trim.width().millimetres(), trim.height().millimetres());
        atMost("Bleed at the top", bleed.top(), shorter / 2);
        atMost("Bleed at the bottom", bleed.bottom(), shorter / 2);
        atMost("Bleed at the outside", bleed.outside(), shorter / 2);
        atMost("Bleed at the spine", bleed.spine(), shorter / 2);
        atMost("A safe area", safe, shorter / 3);
        Stream.of(margins.top(), margins.bottom(), margins.inside(), margins.outside())
                .forEach(margin -> atMost("A margin", margin, Double.MAX_VALUE));
        room("width", trim.width(), margins.inside(), margins.outside());
        room("height", trim.height(), margins.top(), margins.bottom());
    }

    /** One of British text, with the publication's name as its title. */
    public Setup(
            Destination destination,
            PageSize trim,
            boolean facing,
            Bleed bleed,
            Length safe,
            Margins margins,
            Unit unit,
            Level level,
            Press press,
            PressChecks checks) {
        this(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                TextChecks.USUAL,
                Language.ENGLISH_BRITISH,
                Optional.empty(),
                RunningFields.USUAL);
    }

    private static boolean isUnfit(String title) {
        return title.length() > LONGEST_TITLE
                || title.codePoints()
                        .anyMatch(each ->
                                Character.isISOControl(each)
                                        || Character.getType(each) == Character.SURROGATE);
    }

    private static void atMost(String what, Length length, double most) {
        if (length.value() < 0) {
            throw new Refused(
                    "%s of %s is negative; use 0 mm or more.".formatted(what, length.inWords()));
        }
        if (length.millimetres() > most) {
            throw new Refused(
                    "%s of %s is wider than the page allows (at most %s)."
                            .formatted(
                                    what, length.inWords(), Length.mm(Math.floor(most)).inWords()));
        }
    }

    private static void room(String side, Length size, Length one, Length other) {
        if (one.millimetres() + other.millimetres() >= size.millimetres()) {
            throw new Refused(
                    "Margins of %s and %s leave no room in a %s of %s; make them smaller."
                            .formatted(one.inWords(), other.inWords(), side, size.inWords()));
        }
    }

    /** A setup for this size with the usual bleed and safe area and AA. */
    public static Setup of(PageSize trim, boolean facing) {
        double unit = Math.min(trim.width().millimetres(), trim.height().millimetres()) / 12;
        Length margin = Length.mm(Math.rint(unit));
        Length safe = Length.mm(Math.min(3, Math.floor(unit)));
        return new Setup(
                Destination.PAPER,
                trim,
                facing,
                Bleed.USUAL,
                safe,
                new Margins(margin, margin, margin, margin),
                Unit.MM,
                Level.AA,
                Press.USUAL,
                PressChecks.USUAL);
    }

    public Setup withPress(Press changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                changed,
                checks,
                textChecks,
                language,
                title,
                running);
    }

    public Setup withChecks(PressChecks changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                changed,
                textChecks,
                language,
                title,
                running);
    }

    /**
     * @throws Refused if margins or bleed leave no room on pages of this size
     */
    public Setup withTrim(PageSize changed) {
        return changed.equals(trim)
                ? this
                : new Setup(
                        destination,
                        changed,
                        facing,
                        bleed,
                        safe,
                        margins,
                        unit,
                        level,
                        press,
                        checks,
                        textChecks,
                        language,
                        title,
                        running);
    }

    public Setup withTextChecks(TextChecks changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                changed,
                language,
                title,
                running);
    }

    public Setup withLanguage(Language changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                textChecks,
                changed,
                title,
                running);
    }

    public Setup withTitle(Optional<String> changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                textChecks,
                language,
                changed,
                running);
    }

    public Setup withRunning(RunningFields changed) {
        return new Setup(
                destination,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                textChecks,
                language,
                title,
                changed);
    }

    public Setup withBleed(Bleed changed) {
        return new Setup(
                destination,
                trim,
                facing,
                changed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                textChecks,
                language,
                title,
                running);
    }

    public Setup withDestination(Destination changed) {
        return new Setup(
                changed,
                trim,
                facing,
                bleed,
                safe,
                margins,
                unit,
                level,
                press,
                checks,
                textChecks,
                language,
                title,
                running);
    }

    /** Which hand a page is on; without facing pages every page stands as a right-hand one. */
    public Side sideOf(int index) {
        return facing && index % 2 == 1 ? Side.LEFT : Side.RIGHT;
    }
}
