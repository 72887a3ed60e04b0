package yewberry.server.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Inks;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;

/** Every swatch of a publication, resolved under its press condition, as CSV (RFC 4180). */
final class SwatchTable {
    private static final String[] COLUMNS = {
        "name",
        "kind",
        "c",
        "m",
        "y",
        "k",
        "red",
        "green",
        "blue",
        "lab_l",
        "lab_a",
        "lab_b",
        "total_ink"
    };

    private SwatchTable() {}

    static void write(Publication publication, PressCondition press, Path file) throws IOException {
        Palette palette = new Palette(publication::swatch, press);
        try (CSVPrinter printer =
                new CSVPrinter(
                        Files.newBufferedWriter(file),
                        CSVFormat.RFC4180.builder().setHeader(COLUMNS).get())) {
            for (Swatch swatch : publication.swatches()) {
                printer.printRecord(row(publication, swatch, palette.color(swatch), press));
            }
        }
    }

    private static List<String> row(
            Publication publication, Swatch swatch, Color color, PressCondition press) {
        List<String> fields = new ArrayList<>();
        fields.add(swatch.name());
        fields.add(kind(swatch.definition()));
        if (isProcess(publication, swatch)) {
            Cmyk ink = press.toInk(color);
            for (double each :
                    new double[] {ink.cyan(), ink.magenta(), ink.yellow(), ink.black()}) {
                fields.add(number("%.2f", each));
            }
        } else {
            fields.addAll(List.of("", "", "", ""));
        }
        for (double each : press.screenComponents(color)) {
            fields.add(number("%.1f", each));
        }
        Lab lab = press.measured(color);
        fields.add(number("%.2f", lab.lightness()));
        fields.add(number("%.2f", lab.a()));
        fields.add(number("%.2f", lab.b()));
        fields.add(number("%.2f", press.totalInk(color)));
        return fields;
    }

    private static String kind(Definition definition) {
        return switch (definition) {
            case Definition.Plain(Color color) ->
                    switch (color) {
                        case Cmyk cmyk -> "cmyk";
                        case yewberry.core.color.Rgb rgb -> "srgb";
                        case Lab lab -> "lab";
                        case yewberry.core.color.Gray gray -> "grey";
                        case Inks inks -> "spot";
                    };
            case Definition.SpotInk spot -> "spot";
            case Definition.Tint tint -> "tint";
            case Definition.Lighter lighter -> "lighter";
            case Definition.Mix mix -> "mix";
            case Definition.Legible legible -> "legible";
        };
    }

    /** Defined in CMYK, or derived from nothing else. */
    private static boolean isProcess(Publication publication, Swatch swatch) {
        return switch (swatch.definition()) {
            case Definition.Plain(Color color) -> color instanceof Cmyk;
            case Definition.SpotInk spot -> false;
            case Definition.Tint(UUID base, double percent) ->
                    isProcess(publication, publication.swatch(base));
            case Definition.Lighter(UUID base, double percent) ->
                    isProcess(publication, publication.swatch(base));
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    isProcess(publication, publication.swatch(one))
                            && isProcess(publication, publication.swatch(other));
            case Definition.Legible legible -> false;
        };
    }

    private static String number(String format, double value) {
        return String.format(Locale.ROOT, format, value);
    }
}
