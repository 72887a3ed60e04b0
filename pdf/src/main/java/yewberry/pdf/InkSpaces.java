package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/**
 * The colour spaces of spot inks in a document: Separation for one ink alone, DeviceN for several
 * (ISO 32000-1, 8.6.6.4 and 8.6.6.5). What stands for an ink is DeviceCMYK, in proportion to its
 * coverage.
 */
final class InkSpaces {
    private static final List<String> PROCESS = List.of("Cyan", "Magenta", "Yellow", "Black");

    private final PDDocument document;
    private final PressCondition condition;
    private final Map<List<String>, Space> known = new LinkedHashMap<>();

    InkSpaces(PDDocument document, PressCondition condition) {
        this.document = document;
        this.condition = condition;
    }

    /**
     * @param resource its name among a page's resources
     */
    record Space(COSName resource, COSArray array) {}

    /** A colour in its space, as fractions in the order of its inks. */
    record Use(Space space, double[] fractions) {}

    Use use(Inks inks) throws IOException {
        List<String> names = new ArrayList<>();
        List<Cmyk> equivalents = new ArrayList<>();
        List<Double> fractions = new ArrayList<>();
        for (Inks.Spot spot : inks.spots()) {
            names.add(spot.name());
            equivalents.add(condition.toInk(spot.equivalent()));
            fractions.add(spot.percent() / 100);
        }
        if (!inks.process().equals(Cmyk.NONE)) {
            names.addAll(PROCESS);
            equivalents.add(new Cmyk(100, 0, 0, 0));
            equivalents.add(new Cmyk(0, 100, 0, 0));
            equivalents.add(new Cmyk(0, 0, 100, 0));
            equivalents.add(new Cmyk(0, 0, 0, 100));
            fractions.add(inks.process().cyan() / 100);
            fractions.add(inks.process().magenta() / 100);
            fractions.add(inks.process().yellow() / 100);
            fractions.add(inks.process().black() / 100);
        }
        Space space = known.get(names);
        if (space == null) {
            COSName resource = COSName.getPDFName("I" + (known.size() + 1));
            space =
                    new Space(
                            resource,
                            names.size() == 1
                                    ? separation(names.getFirst(), equivalents.getFirst())
                                    : deviceN(names, equivalents));
            known.put(names, space);
        }
        return new Use(space, fractions.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /** Every plate that there is: ISO 32000-1, 8.6.6.4. */
    Space all() {
        return known.computeIfAbsent(
                List.of("All"),
                names ->
                        new Space(
                                COSName.getPDFName("All"),
                                separation("All", new Cmyk(100, 100, 100, 100))));
    }

    /** Several colours in one space, as fractions in the order of its inks. */
    record Shared(COSBase space, List<double[]> fractions) {}

    /**
     * DeviceRGB for light, DeviceCMYK for process colours alone; else a space that holds all spot
     * inks among them.
     */
    Shared shared(List<Color> colors) throws IOException {
        if (colors.stream().allMatch(Rgb.class::isInstance)) {
            return new Shared(
                    COSName.DEVICERGB, colors.stream().map(color -> light((Rgb) color)).toList());
        }
        Map<String, Inks.Spot> spots = new TreeMap<>();
        boolean process = false;
        for (Color color : colors) {
            if (color instanceof Inks inks) {
                inks.spots().forEach(spot -> spots.put(spot.name(), spot));
                process |= !inks.process().equals(Cmyk.NONE);
            } else {
                process |= !condition.toInk(color).equals(Cmyk.NONE);
            }
        }
        if (spots.isEmpty()) {
            return new Shared(
                    COSName.DEVICECMYK,
                    colors.stream().map(color -> fractions(condition.toInk(color))).toList());
        }
        // all four process inks are named where one is used, with nothing of those that are not
        Cmyk any = process ? new Cmyk(100, 100, 100, 100) : Cmyk.NONE;
        COSArray space = use(new Inks(List.copyOf(spots.values()), any)).space().array();
        List<double[]> fractions = new ArrayList<>();
        for (Color color : colors) {
            double[] of = new double[spots.size() + (process ? 4 : 0)];
            int at = 0;
            for (String name : spots.keySet()) {
                of[at++] = percent(color, name) / 100;
            }
            if (process) {
                Cmyk ink = color instanceof Inks inks ? inks.process() : condition.toInk(color);
                System.arraycopy(fractions(ink), 0, of, at, 4);
            }
            fractions.add(of);
        }
        return new Shared(space, fractions);
    }

    private static double[] light(Rgb color) {
        return new double[] {color.red() / 255.0, color.green() / 255.0, color.blue() / 255.0};
    }

    private static double percent(Color color, String spot) {
        return color instanceof Inks inks
                ? inks.spots().stream()
                        .filter(each -> each.name().equals(spot))
                        .mapToDouble(Inks.Spot::percent)
                        .findFirst()
                        .orElse(0)
                : 0;
    }

    private static COSArray separation(String name, Cmyk equivalent) {
        COSDictionary function = new COSDictionary();
        function.setInt(COSName.FUNCTION_TYPE, 2);
        function.setItem(COSName.DOMAIN, numbers(0, 1));
        function.setItem(COSName.C0, numbers(0, 0, 0, 0));
        function.setItem(COSName.C1, numbers(fractions(equivalent)));
        function.setItem(COSName.N, COSInteger.ONE);
        COSArray space = new COSArray();
        space.add(COSName.SEPARATION);
        space.add(COSName.getPDFName(name));
        space.add(COSName.DEVICECMYK);
        space.add(function);
        return space;
    }

    private COSArray deviceN(List<String> names, List<Cmyk> equivalents) throws IOException {
        COSArray colorants = new COSArray();
        names.forEach(name -> colorants.add(COSName.getPDFName(name)));
        COSArray space = new COSArray();
        space.add(COSName.DEVICEN);
        space.add(colorants);
        space.add(COSName.DEVICECMYK);
        space.add(sum(equivalents));
        // ISO 19005-2, 6.2.4.4: each spot ink as it is alone
        COSDictionary alone = new COSDictionary();
        for (int i = 0; i < names.size() && !PROCESS.contains(names.get(i)); i++) {
            alone.setItem(
                    COSName.getPDFName(names.get(i)), separation(names.get(i), equivalents.get(i)));
        }
        COSDictionary attributes = new COSDictionary();
        attributes.setItem(COSName.COLORANTS, alone);
        space.add(attributes);
        return space;
    }

    /**
     * A PostScript calculator function (ISO 32000-1, 7.10.5) that adds up the inks' equivalents.
     */
    private COSStream sum(List<Cmyk> equivalents) throws IOException {
        int inks = equivalents.size();
        StringBuilder code = new StringBuilder("{ ");
        for (int output = 0; output < 4; output++) {
            code.append("0 ");
            for (int ink = 0; ink < inks; ink++) {
                // below the sum lie the outputs before it and the inks, the last on top
                int depth = inks - ink + output;
                code.append(depth).append(" index ");
                code.append(number(fractions(equivalents.get(ink))[output])).append(" mul add ");
            }
        }
        code.append(inks + 4).append(" 4 roll ");
        code.append("pop ".repeat(inks)).append('}');
        COSStream function = document.getDocument().createCOSStream();
        function.setInt(COSName.FUNCTION_TYPE, 4);
        double[] domain = new double[2 * inks];
        for (int i = 1; i < domain.length; i += 2) {
            domain[i] = 1;
        }
        function.setItem(COSName.DOMAIN, numbers(domain));
        function.setItem(COSName.RANGE, numbers(0, 1, 0, 1, 0, 1, 0, 1));
        try (OutputStream out = function.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(code.toString().getBytes(StandardCharsets.US_ASCII));
        }
        return function;
    }

    private static double[] fractions(Cmyk ink) {
        return new double[] {
            ink.cyan() / 100, ink.magenta() / 100, ink.yellow() / 100, ink.black() / 100
        };
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) {
            array.add(new COSFloat((float) value));
        }
        return array;
    }

    private static String number(double value) {
        return BigDecimal.valueOf(value).setScale(5, RoundingMode.HALF_UP).toPlainString();
    }
}
