package yewberry.server.palettes;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import yewberry.core.Refused;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Rgb;
import yewberry.core.color.WrittenColor;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.palettes.PaletteEntry.Wanted;

/**
 * A palette as CSV (RFC 4180) with the columns {@code name,kind,value,of,other,percent}. Reading
 * takes files with {@code name} and {@code value} (or {@code color}, {@code hex}), and with {@code
 * c,m,y,k} or {@code red,green,blue}, too.
 */
final class CsvPalette {
    private static final String[] COLUMNS = {"name", "kind", "value", "of", "other", "percent"};

    private CsvPalette() {}

    static PaletteText read(String text) {
        PaletteText palette = new PaletteText();
        CSVFormat format =
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .setIgnoreEmptyLines(true)
                        .setTrim(true)
                        .setAllowMissingColumnNames(true)
                        .get();
        try (CSVParser parser = CSVParser.parse(text.replaceFirst("^\uFEFF", ""), format)) {
            Set<String> columns =
                    parser.getHeaderNames().stream()
                            .map(name -> name.toLowerCase(Locale.ROOT))
                            .collect(Collectors.toSet());
            if (!columns.contains("name")) {
                palette.leave(
                        1,
                        text.lines().findFirst().orElse(""),
                        "The first line names no column “name”; begin the file with name,value.");
                return palette;
            }
            for (CSVRecord row : parser) {
                int line = (int) parser.getCurrentLineNumber();
                palette.take(
                        line,
                        field(row, "name"),
                        String.join(", ", row.toList()),
                        () -> wanted(row));
            }
        } catch (CSVException | UncheckedIOException | IllegalArgumentException broken) {
            palette.leave(
                    1,
                    text.lines().findFirst().orElse(""),
                    "This is not CSV: a quotation mark or a column name is not as it should be.");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return palette;
    }

    /** The field of a column whatever its capitals; empty where there is none. */
    private static String field(CSVRecord row, String column) {
        return row.getParser().getHeaderNames().stream()
                .filter(name -> name.equalsIgnoreCase(column))
                .filter(row::isSet)
                .map(row::get)
                .findFirst()
                .orElse("");
    }

    private static Wanted wanted(CSVRecord row) {
        String of = field(row, "of");
        String kind = field(row, "kind").toLowerCase(Locale.ROOT);
        if (kind.equals("spot")) {
            return new Wanted.Spot(color(row));
        }
        if (of.isEmpty()) {
            return new Wanted.Values(color(row));
        }
        return switch (kind) {
            case "tint" -> new Wanted.TintOf(of, percent(row));
            case "lighter" -> new Wanted.LighterThan(of, percent(row));
            case "mix" -> new Wanted.MixOf(of, field(row, "other"), percent(row));
            default -> new Wanted.Values(color(row));
        };
    }

    private static Color color(CSVRecord row) {
        for (String column : new String[] {"value", "color", "colour", "hex"}) {
            if (!field(row, column).isEmpty()) {
                return WrittenColor.read(field(row, column));
            }
        }
        if (!field(row, "c").isEmpty()) {
            return new Cmyk(number(row, "c"), number(row, "m"), number(row, "y"), number(row, "k"));
        }
        if (!field(row, "red").isEmpty()) {
            return new Rgb(
                    (int) Math.round(number(row, "red")),
                    (int) Math.round(number(row, "green")),
                    (int) Math.round(number(row, "blue")));
        }
        throw new Refused(
                "There is no colour in this line; fill the column value, or c, m, y and k, or red, green and blue.");
    }

    private static double percent(CSVRecord row) {
        return number(row, "percent");
    }

    private static double number(CSVRecord row, String column) {
        String text = field(row, column).replace("%", "").strip();
        try {
            return Double.parseDouble(text.replace(',', '.'));
        } catch (NumberFormatException e) {
            throw new Refused("“%s” in column %s is not a number.".formatted(text, column));
        }
    }

    static String write(Publication publication) {
        StringBuilder csv = new StringBuilder();
        try (CSVPrinter printer =
                new CSVPrinter(csv, CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (Swatch swatch : PaletteValues.of(publication)) {
                printer.printRecord((Object[]) row(swatch, publication));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }

    private static String[] row(Swatch swatch, Publication publication) {
        String name = swatch.name();
        return switch (swatch.definition()) {
            case Definition.Plain(Color color) ->
                    row(name, PaletteValues.kind(color), PaletteValues.written(color));
            case Definition.SpotInk(Color color) -> row(name, "spot", PaletteValues.written(color));
            case Definition.Tint(UUID base, double percent) ->
                    row(name, "tint", "", named(base, publication), "", percent);
            case Definition.Lighter(UUID base, double percent) ->
                    row(name, "lighter", "", named(base, publication), "", percent);
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    row(
                            name,
                            "mix",
                            "",
                            named(one, publication),
                            named(other, publication),
                            percent);
            case Definition.Legible legible ->
                    throw new IllegalArgumentException("A legible colour has no value");
        };
    }

    private static String[] row(String name, String kind, String value) {
        return new String[] {name, kind, value, "", "", ""};
    }

    private static String[] row(
            String name, String kind, String value, String of, String other, double percent) {
        return new String[] {
            name, kind, value, of, other, yewberry.core.color.Numbers.plain(percent)
        };
    }

    private static String named(UUID swatch, Publication publication) {
        return publication.swatch(swatch).name();
    }
}
