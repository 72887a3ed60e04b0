package yewberry.server.palettes;

import java.util.UUID;
import java.util.function.Supplier;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Publication;

/** The open formats that a palette comes in and goes out in. */
public enum PaletteFormat {
    TOKENS("json", "application/json"),
    CSS("css", "text/css"),
    CSV("csv", "text/csv");

    private final String ending;
    private final String mediaType;

    PaletteFormat(String ending, String mediaType) {
        this.ending = ending;
        this.mediaType = mediaType;
    }

    /** Of a file's name, without the dot. */
    public String ending() {
        return ending;
    }

    public String mediaType() {
        return mediaType;
    }

    /** What a file would add; nothing is changed. */
    public PaletteImport read(
            String text, Publication publication, PressCondition press, Supplier<UUID> ids) {
        PaletteText palette =
                switch (this) {
                    case TOKENS -> TokenPalette.read(text);
                    case CSS -> CssPalette.read(text);
                    case CSV -> CsvPalette.read(text);
                };
        return PaletteImport.of(palette, publication, press, ids);
    }

    public String write(Publication publication, PressCondition press) {
        return switch (this) {
            case TOKENS -> TokenPalette.write(publication, press);
            case CSS -> CssPalette.write(publication, press);
            case CSV -> CsvPalette.write(publication);
        };
    }
}
