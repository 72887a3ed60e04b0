package yewberry.server.view;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import yewberry.core.color.Medium;
import yewberry.core.findings.Finding;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.GraphicFinding;
import yewberry.core.findings.LooseLine;
import yewberry.core.findings.OnPageContent;
import yewberry.core.findings.PictureFinding;
import yewberry.core.findings.PressFinding;
import yewberry.core.findings.RunsIntoText;

/** What a finding is about, as it is shown and exported: {@code too-much-ink}. */
public enum FindingKind {
    CONTRAST,
    TEXT_OVERFLOW,
    STOCK_NOT_PRINTED,
    MISSING_CHARACTERS,
    OTHER_FONT,
    DEAD_LINK,
    RUNS_INTO_TEXT,
    RUNS_INTO_PICTURE,
    NO_ALTERNATIVE_TEXT,
    TEXT_ON_CLEAR_PART,
    TEXT_HIDDEN,
    TEXT_ON_PAGE_CONTENT,
    BACKGROUND_HIDDEN,
    LOOSE_LINE,
    FAINT_BORDER,
    FAINT_PICTURE,
    PICTURE_UNREADABLE,
    PICTURE_TOO_COARSE,
    PICTURE_BOXED,
    PDF_NOT_FOR_PRESS,
    SPOT_CANNOT_BLEND,
    TOO_MUCH_INK,
    SMALL_TYPE_INKS,
    SMALL_TYPE_REVERSED,
    TEXT_ON_BUSY_PICTURE,
    HAIRLINE_IN_TINT,
    PLAIN_BLACK_AREA,
    LIGHT_OVERPRINT,
    ENDS_AT_TRIM,
    TEXT_NEAR_TRIM,
    BACKGROUND_NOT_PRINTED,
    BACKGROUND_NOT_SHOWN;

    @JsonValue
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public String toString() {
        return code();
    }

    static FindingKind of(Finding finding) {
        return switch (finding) {
            case Finding.TooLittleContrast it -> CONTRAST;
            case Finding.TextOverflow it -> TEXT_OVERFLOW;
            case Finding.StockNotPrinted it -> STOCK_NOT_PRINTED;
            case Finding.MissingCharacters it -> MISSING_CHARACTERS;
            case Finding.OtherFont it -> OTHER_FONT;
            case Finding.DeadLink it -> DEAD_LINK;
            case RunsIntoText it -> RUNS_INTO_TEXT;
            case FrontFinding.NoAlternative it -> NO_ALTERNATIVE_TEXT;
            case FrontFinding.OnClear it -> TEXT_ON_CLEAR_PART;
            case FrontFinding.HidesText it -> TEXT_HIDDEN;
            case FrontFinding.HidesBackground it -> BACKGROUND_HIDDEN;
            case FrontFinding.IntoPicture it -> RUNS_INTO_PICTURE;
            case GraphicFinding.FaintBorder it -> FAINT_BORDER;
            case GraphicFinding.FaintPicture it -> FAINT_PICTURE;
            case OnPageContent it -> TEXT_ON_PAGE_CONTENT;
            case LooseLine it -> LOOSE_LINE;
            case PictureFinding.Unreadable it -> PICTURE_UNREADABLE;
            case PictureFinding.TooCoarse it -> PICTURE_TOO_COARSE;
            case PictureFinding.Boxed it -> PICTURE_BOXED;
            case PictureFinding.NotForPress it -> PDF_NOT_FOR_PRESS;
            case PictureFinding.SpotCannotBlend it -> SPOT_CANNOT_BLEND;
            case PressFinding.TooMuchInk it -> TOO_MUCH_INK;
            case PressFinding.SmallTypeInInks it -> SMALL_TYPE_INKS;
            case PressFinding.SmallTypeReversed it -> SMALL_TYPE_REVERSED;
            case PressFinding.TextOnBusy it -> TEXT_ON_BUSY_PICTURE;
            case PressFinding.Hairline it -> HAIRLINE_IN_TINT;
            case PressFinding.PlainBlackArea it -> PLAIN_BLACK_AREA;
            case PressFinding.LightOverprint it -> LIGHT_OVERPRINT;
            case PressFinding.EndsAtTrim it -> ENDS_AT_TRIM;
            case PressFinding.TextNearTrim it -> TEXT_NEAR_TRIM;
            case PressFinding.BackgroundLeftOut it ->
                    it.medium() == Medium.PAPER ? BACKGROUND_NOT_PRINTED : BACKGROUND_NOT_SHOWN;
        };
    }
}
