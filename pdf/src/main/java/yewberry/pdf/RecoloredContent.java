package yewberry.pdf;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import yewberry.core.Cancellation;
import yewberry.core.asset.Backed;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;
import yewberry.pdf.read.ContentPlaces;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.RecoloredPictures;
import yewberry.pdf.read.SeenPage;

/**
 * The content of a page with some of its colours changed: before what is painted in one of them
 * another is set, and behind it the old one again (ISO 32000-1, 8.6.8). What lies behind words is
 * painted before their text begins. All else stays as it is. A form in which anything changes is
 * copied, because it may be used elsewhere, and so is a picture. Patterns and shadings stay.
 */
final class RecoloredContent {
    private static final int DEEPEST = 30;

    /** What is called so lies behind text. */
    private static final COSName BEHIND = COSName.getPDFName("Behind");

    private static final COSName STATE = COSName.getPDFName("G");

    /** Forms with the colours that they begin with, of one file; a hostile one has any number. */
    private static final int MOST_FORMS = 20_000;

    private final PDDocument document;
    private final DeviceColors colors;
    private final Map<FormUse, Optional<COSStream>> forms = new HashMap<>();
    private final RecoloredPictures pictures;

    /** Pictures by what changes in them. */
    private final Map<List<Object>, Optional<COSStream>> painted = new HashMap<>();

    /**
     * @param colors that say what changes
     */
    RecoloredContent(PDDocument document, DeviceColors colors) {
        this.document = document;
        this.colors = colors;
        this.pictures =
                new RecoloredPictures(colors, () -> document.getDocument().createCOSStream());
    }

    /**
     * What the same form comes to depends on the colours that it begins with, and where colours
     * change in some areas only, on where it paints.
     */
    private record FormUse(
            COSStream form, List<Object> colors, boolean isMarked, ContentPlaces.Places places) {}

    /**
     * @param content that takes the place of the page's
     * @param forms that take the places of others among the page's resources, by their names
     */
    record Changed(COSStream content, Map<COSName, COSStream> forms) {}

    /**
     * @param backed what lies behind words of the page, those that came first below
     * @return nothing where nothing of the page changes
     * @throws IOException if its content cannot be read
     */
    Optional<Changed> of(PDPage page, List<Backed> backed) throws IOException {
        PDResources resources =
                page.getResources() == null ? new PDResources() : page.getResources();
        ContentPlaces.Places places =
                colors.hasAreas() || !backed.isEmpty()
                        ? ContentPlaces.of(page, backed)
                        : ContentPlaces.Places.ANYWHERE;
        Rewriting rewriting = new Rewriting(resources, new State(), places, page, 0, 0);
        WrittenContent written = rewriting.of(new PDFStreamParser(page));
        if (!rewriting.changed) {
            return Optional.empty();
        }
        COSStream content = document.getDocument().createCOSStream();
        written.to(content);
        return Optional.of(new Changed(content, rewriting.replaced));
    }

    /**
     * A colour, and what sets it.
     *
     * @param color nothing where it cannot be told
     * @param space what chooses its space, if that is by itself
     */
    private record ColorSet(Optional<PDColor> color, List<Object> space, List<Object> tokens) {
        static ColorSet black(boolean stroking) {
            String operator =
                    stroking ? OperatorName.STROKING_COLOR_GRAY : OperatorName.NON_STROKING_GRAY;
            return new ColorSet(
                    Optional.of(PDDeviceGray.INSTANCE.getInitialColor()),
                    List.of(),
                    List.of(COSInteger.ZERO, Operator.getOperator(operator)));
        }

        List<Object> again() {
            List<Object> all = new ArrayList<>(space);
            all.addAll(tokens);
            return all;
        }
    }

    /** ISO 32000-1, 8.4.2: what is saved and restored, as far as it counts here. */
    private static final class State {
        private ColorSet fill = ColorSet.black(false);
        private ColorSet stroke = ColorSet.black(true);
        private int rendering;

        State copy() {
            State copy = new State();
            copy.fill = fill;
            copy.stroke = stroke;
            copy.rendering = rendering;
            return copy;
        }
    }

    /** Goes through the operators of one content stream. */
    private final class Rewriting {
        private final PDResources resources;
        private final int depth;
        private final ContentPlaces.Places places;
        private final PDPage page;
        private final Deque<State> saved = new ArrayDeque<>();
        private final WrittenContent out = new WrittenContent();

        /** A path, which nothing but its own operators may stand within (8.5.2). */
        private final List<Object> path = new ArrayList<>();

        private final Map<COSName, COSStream> replaced = new LinkedHashMap<>();

        /** What forms are called here, by the name that they had and what is drawn of them. */
        private final Map<List<Object>, COSName> names = new LinkedHashMap<>();

        private State state;

        /** Of the operator in this stream, from 1. */
        private int number;

        private boolean changed;

        /** How much that is marked is open (14.6). */
        private int marked;

        Rewriting(
                PDResources resources,
                State state,
                ContentPlaces.Places places,
                PDPage page,
                int marked,
                int depth) {
            this.page = page;
            this.marked = marked;
            this.resources = resources;
            this.places = places;
            this.state = state;
            this.depth = depth;
        }

        WrittenContent of(PDFStreamParser parser) throws IOException {
            List<Object> operands = new ArrayList<>();
            for (Object token = parser.parseNextToken();
                    token != null;
                    token = parser.parseNextToken()) {
                if (token instanceof Operator operator) {
                    number++;
                    operator(operator, operands);
                    operands = new ArrayList<>();
                } else {
                    operands.add(token);
                }
            }
            out.add(path);
            out.add(operands);
            return out;
        }

        private void operator(Operator operator, List<Object> operands) throws IOException {
            switch (operator.getName()) {
                case OperatorName.SAVE -> saved.push(state.copy());
                case OperatorName.RESTORE -> {
                    if (!saved.isEmpty()) {
                        state = saved.pop();
                    }
                }
                case OperatorName.NON_STROKING_GRAY,
                        OperatorName.NON_STROKING_RGB,
                        OperatorName.NON_STROKING_CMYK ->
                        state.fill = device(operator, operands);
                case OperatorName.STROKING_COLOR_GRAY,
                        OperatorName.STROKING_COLOR_RGB,
                        OperatorName.STROKING_COLOR_CMYK ->
                        state.stroke = device(operator, operands);
                case OperatorName.NON_STROKING_COLORSPACE -> state.fill = space(operator, operands);
                case OperatorName.STROKING_COLORSPACE -> state.stroke = space(operator, operands);
                case OperatorName.NON_STROKING_COLOR, OperatorName.NON_STROKING_COLOR_N ->
                        state.fill = inSpace(state.fill, operator, operands);
                case OperatorName.STROKING_COLOR, OperatorName.STROKING_COLOR_N ->
                        state.stroke = inSpace(state.stroke, operator, operands);
                case OperatorName.SET_TEXT_RENDERINGMODE ->
                        state.rendering =
                                !operands.isEmpty() && operands.getFirst() instanceof COSNumber mode
                                        ? mode.intValue()
                                        : 0;
                case OperatorName.SHOW_TEXT,
                        OperatorName.SHOW_TEXT_ADJUSTED,
                        OperatorName.SHOW_TEXT_LINE,
                        OperatorName.SHOW_TEXT_LINE_AND_SPACE -> {
                    text(operator, operands);
                    return;
                }
                case OperatorName.DRAW_OBJECT -> object(operands);
                case OperatorName.BEGIN_TEXT -> behind();
                case OperatorName.BEGIN_MARKED_CONTENT, OperatorName.BEGIN_MARKED_CONTENT_SEQ ->
                        marked++;
                case OperatorName.END_MARKED_CONTENT -> marked--;
                case OperatorName.MOVE_TO,
                        OperatorName.LINE_TO,
                        OperatorName.CURVE_TO,
                        OperatorName.CURVE_TO_REPLICATE_INITIAL_POINT,
                        OperatorName.CURVE_TO_REPLICATE_FINAL_POINT,
                        OperatorName.CLOSE_PATH,
                        OperatorName.APPEND_RECT,
                        OperatorName.CLIP_NON_ZERO,
                        OperatorName.CLIP_EVEN_ODD -> {
                    path.addAll(operands);
                    path.add(operator);
                    return;
                }
                case OperatorName.FILL_NON_ZERO,
                        OperatorName.LEGACY_FILL_NON_ZERO,
                        OperatorName.FILL_EVEN_ODD -> {
                    paint(operator, operands, true, false);
                    return;
                }
                case OperatorName.STROKE_PATH, OperatorName.CLOSE_AND_STROKE -> {
                    paint(operator, operands, false, true);
                    return;
                }
                case OperatorName.FILL_NON_ZERO_AND_STROKE,
                        OperatorName.FILL_EVEN_ODD_AND_STROKE,
                        OperatorName.CLOSE_FILL_NON_ZERO_AND_STROKE,
                        OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE -> {
                    paint(operator, operands, true, true);
                    return;
                }
                case OperatorName.ENDPATH -> {
                    paint(operator, operands, false, false);
                    return;
                }
                default -> {
                    // it sets nothing that counts here
                }
            }
            out.add(path);
            path.clear();
            out.add(tokens(operator, operands));
        }

        // which colour it is

        private ColorSet device(Operator operator, List<Object> operands) throws IOException {
            COSName space =
                    switch (operator.getName()) {
                        case OperatorName.NON_STROKING_GRAY, OperatorName.STROKING_COLOR_GRAY ->
                                COSName.DEVICEGRAY;
                        case OperatorName.NON_STROKING_RGB, OperatorName.STROKING_COLOR_RGB ->
                                COSName.DEVICERGB;
                        default -> COSName.DEVICECMYK;
                    };
            return new ColorSet(
                    color(resources.getColorSpace(space), operands),
                    List.of(),
                    tokens(operator, operands));
        }

        private ColorSet space(Operator operator, List<Object> operands) throws IOException {
            List<Object> tokens = tokens(operator, operands);
            if (operands.isEmpty() || !(operands.getFirst() instanceof COSName name)) {
                return new ColorSet(Optional.empty(), tokens, List.of());
            }
            return new ColorSet(
                    Optional.of(resources.getColorSpace(name).getInitialColor()),
                    tokens,
                    List.of());
        }

        private static ColorSet inSpace(ColorSet before, Operator operator, List<Object> operands) {
            return new ColorSet(
                    before.color().flatMap(was -> color(was.getColorSpace(), operands)),
                    before.space(),
                    tokens(operator, operands));
        }

        private static List<Object> tokens(Operator operator, List<Object> operands) {
            List<Object> tokens = new ArrayList<>(operands);
            tokens.add(operator);
            return List.copyOf(tokens);
        }

        /** Nothing for a pattern. */
        private static Optional<PDColor> color(PDColorSpace space, List<Object> operands) {
            if (space == null || space instanceof PDPattern) {
                return Optional.empty();
            }
            COSArray values = new COSArray();
            operands.stream()
                    .filter(COSNumber.class::isInstance)
                    .map(COSBase.class::cast)
                    .forEach(values::add);
            return values.size() == space.getNumberOfComponents()
                    ? Optional.of(new PDColor(values, space))
                    : Optional.empty();
        }

        private Optional<Recoloring> change(ColorSet of, Optional<Recolor.What> what)
                throws IOException {
            if (of.color().isEmpty() || what.isEmpty()) {
                return Optional.empty();
            }
            PDColor color = of.color().get();
            return colors.change(
                    color.getColorSpace(), color.getComponents(), what.get(), places.at(number));
        }

        // what is painted in it

        /** Modes 4 to 7 are 0 to 3 that clip as well (table 106). */
        private void text(Operator operator, List<Object> operands) throws IOException {
            int mode = state.rendering % 4;
            boolean fills = mode == 0 || mode == 2;
            boolean strokes = mode == 1 || mode == 2;
            painted(
                    tokens(operator, operands),
                    fills ? Optional.of(Recolor.What.TEXT) : Optional.empty(),
                    strokes ? Optional.of(Recolor.What.TEXT) : Optional.empty());
        }

        private void paint(Operator operator, List<Object> operands, boolean fills, boolean strokes)
                throws IOException {
            List<Object> all = new ArrayList<>(path);
            path.clear();
            all.addAll(operands);
            all.add(operator);
            painted(
                    all,
                    fills ? Optional.of(Recolor.What.FILLS) : Optional.empty(),
                    strokes ? Optional.of(Recolor.What.LINES) : Optional.empty());
        }

        private void painted(
                List<Object> tokens, Optional<Recolor.What> fills, Optional<Recolor.What> strokes)
                throws IOException {
            out.add(path);
            path.clear();
            Optional<Recoloring> fill = change(state.fill, fills);
            Optional<Recoloring> stroke = change(state.stroke, strokes);
            Optional<Color> fillColor = fill.flatMap(Recoloring::to);
            Optional<Color> strokeColor = stroke.flatMap(Recoloring::to);
            if (fillColor.isPresent()) {
                out.add(setting(fillColor.get(), false));
            }
            if (strokeColor.isPresent()) {
                out.add(setting(strokeColor.get(), true));
            }
            out.add(tokens.subList(0, tokens.size() - 1));
            boolean noFill = fill.isPresent() && fillColor.isEmpty();
            boolean noStroke = stroke.isPresent() && strokeColor.isEmpty();
            for (Operator each : without((Operator) tokens.getLast(), noFill, noStroke)) {
                out.add(List.of(each));
            }
            if (fillColor.isPresent()) {
                out.add(state.fill.again());
            }
            if (strokeColor.isPresent()) {
                out.add(state.stroke.again());
            }
            changed |= fill.isPresent() || stroke.isPresent();
        }

        /** What paints a path without filling it, without stroking it, or without both. */
        private static List<Operator> without(Operator operator, boolean fill, boolean stroke) {
            String name = operator.getName();
            if (!fill && !stroke) {
                return List.of(operator);
            }
            boolean evenOdd =
                    name.equals(OperatorName.FILL_EVEN_ODD_AND_STROKE)
                            || name.equals(OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE);
            return switch (name) {
                case OperatorName.FILL_NON_ZERO_AND_STROKE,
                        OperatorName.FILL_EVEN_ODD_AND_STROKE,
                        OperatorName.CLOSE_FILL_NON_ZERO_AND_STROKE,
                        OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE -> {
                    List<Operator> names = new ArrayList<>();
                    if (Character.isLowerCase(name.charAt(0))) {
                        names.add(Operator.getOperator(OperatorName.CLOSE_PATH));
                    }
                    if (fill && stroke) {
                        names.add(Operator.getOperator(OperatorName.ENDPATH));
                    } else if (fill) {
                        names.add(Operator.getOperator(OperatorName.STROKE_PATH));
                    } else {
                        names.add(
                                Operator.getOperator(
                                        evenOdd
                                                ? OperatorName.FILL_EVEN_ODD
                                                : OperatorName.FILL_NON_ZERO));
                    }
                    yield names;
                }
                default -> List.of(Operator.getOperator(OperatorName.ENDPATH));
            };
        }

        private void object(List<Object> operands) throws IOException {
            if (operands.isEmpty()
                    || !(operands.getFirst() instanceof COSName name)
                    || depth >= DEEPEST) {
                return;
            }
            COSDictionary objects = resources.getCOSObject().getCOSDictionary(COSName.XOBJECT);
            if (objects == null
                    || !(objects.getDictionaryObject(name) instanceof COSStream form)
                    || !isDrawn(form)) {
                return;
            }
            Cancellation.check();
            if (forms.size() > MOST_FORMS) {
                throw new IOException("Forms within forms without end");
            }
            Optional<COSStream> other =
                    COSName.IMAGE.equals(form.getCOSName(COSName.SUBTYPE))
                            ? picture(form)
                            : drawn(form);
            changed |= other.isPresent();
            COSStream drawn = other.orElse(form);
            called(name, form, drawn, operands);
        }

        private static boolean isDrawn(COSStream object) {
            COSName kind = object.getCOSName(COSName.SUBTYPE);
            return COSName.FORM.equals(kind) || COSName.IMAGE.equals(kind);
        }

        private Optional<COSStream> picture(COSStream image) throws IOException {
            if (!colors.hasPictures()) {
                return Optional.empty();
            }
            PDImageXObject read = new PDImageXObject(new PDStream(image), resources);
            List<Object> use = List.of(image, pictures.changes(read, places.at(number)));
            Optional<COSStream> known = painted.get(use);
            if (known == null) {
                known = pictures.of(read, places.at(number));
                painted.put(use, known);
            }
            return known;
        }

        private Optional<COSStream> drawn(COSStream form) throws IOException {
            FormUse use =
                    new FormUse(
                            form,
                            List.of(state.fill.again(), state.stroke.again(), state.rendering),
                            marked > 0,
                            places.form(number));
            Optional<COSStream> known = forms.get(use);
            if (known == null) {
                forms.put(use, Optional.empty()); // it may draw itself
                known = form(form);
                forms.put(use, known);
            }
            return known;
        }

        /** Lets the name that is drawn stand for what takes its place. */
        private void called(COSName name, COSStream was, COSStream drawn, List<Object> operands) {
            COSName called =
                    names.computeIfAbsent(
                            List.of(name, drawn),
                            _ ->
                                    names.keySet().stream().anyMatch(each -> each.contains(name))
                                            ? free(name)
                                            : name);
            if (drawn != was || !called.equals(name)) {
                replaced.put(called, drawn);
            }
            operands.set(0, called);
        }

        /** What lies behind text, where that begins. */
        private void behind() throws IOException {
            for (ContentPlaces.Behind each : places.behind(number)) {
                COSName name = free(BEHIND);
                replaced.put(name, backing(each));
                List<Object> drawing =
                        List.of(
                                Operator.getOperator(OperatorName.SAVE),
                                name,
                                Operator.getOperator(OperatorName.DRAW_OBJECT),
                                Operator.getOperator(OperatorName.RESTORE));
                if (marked > 0) {
                    out.add(drawing); // a part of what is marked
                } else {
                    out.add(
                            List.of(
                                    COSName.getPDFName("Artifact"),
                                    Operator.getOperator(OperatorName.BEGIN_MARKED_CONTENT)));
                    out.add(drawing);
                    out.add(List.of(Operator.getOperator(OperatorName.END_MARKED_CONTENT)));
                }
                changed = true;
            }
        }

        /** In the space of the page as it is seen, whatever the text is written in. */
        private COSStream backing(ContentPlaces.Behind behind) throws IOException {
            Backed what = behind.what();
            SeenPage seen = SeenPage.of(page);
            COSDictionary state = new COSDictionary();
            state.setItem(COSName.TYPE, COSName.EXT_G_STATE);
            state.setFloat(COSName.CA_NS, (float) what.opacity());
            state.setItem(COSName.BM, COSName.NORMAL);
            state.setItem(COSName.SMASK, COSName.NONE);
            state.setBoolean(COSName.AIS, false);
            state.setBoolean(COSName.OP, false);
            state.setBoolean(COSName.OP_NS, false);
            COSDictionary states = new COSDictionary();
            states.setItem(STATE, state);
            COSDictionary own = new COSDictionary();
            own.setItem(COSName.EXT_G_STATE, states);
            AffineTransform matrix = inverse(behind.toPage());
            matrix.concatenate(seen.toUser());
            COSStream form = document.getDocument().createCOSStream();
            form.setItem(COSName.TYPE, COSName.XOBJECT);
            form.setItem(COSName.SUBTYPE, COSName.FORM);
            form.setItem(COSName.RESOURCES, own);
            double bottom = seen.height() - what.y() - what.height();
            COSArray box = new COSArray();
            box.setFloatArray(
                    new float[] {
                        (float) what.x(),
                        (float) bottom,
                        (float) (what.x() + what.width()),
                        (float) (bottom + what.height())
                    });
            form.setItem(COSName.BBOX, box);
            double[] six = new double[6];
            matrix.getMatrix(six);
            COSArray numbers = new COSArray();
            for (double each : six) {
                numbers.add(new COSFloat((float) each));
            }
            form.setItem(COSName.MATRIX, numbers);
            WrittenContent content = new WrittenContent();
            content.add(
                    List.of(STATE, Operator.getOperator(OperatorName.SET_GRAPHICS_STATE_PARAMS)));
            content.add(setting(what.color(), false));
            content.add(path(what.shape(), seen.height()));
            content.add(List.of(Operator.getOperator(OperatorName.FILL_NON_ZERO)));
            content.to(form);
            return form;
        }

        private static AffineTransform inverse(AffineTransform of) throws IOException {
            try {
                return of.createInverse();
            } catch (NoninvertibleTransformException flat) {
                throw new IOException(flat);
            }
        }

        /**
         * @param shape from the top left, y down
         * @param height of the page
         */
        private static List<Object> path(Shape shape, double height) {
            List<Object> tokens = new ArrayList<>();
            double[] at = new double[6];
            for (PathIterator path =
                            shape.getPathIterator(new AffineTransform(1, 0, 0, -1, 0, height));
                    !path.isDone();
                    path.next()) {
                int kind = path.currentSegment(at);
                int numbers =
                        switch (kind) {
                            case PathIterator.SEG_CUBICTO -> 6;
                            case PathIterator.SEG_CLOSE -> 0;
                            default -> 2; // a rectangle, rounded or not, has no quadratic curves
                        };
                for (int i = 0; i < numbers; i++) {
                    tokens.add(new COSFloat((float) (Math.rint(at[i] * 1e4) / 1e4)));
                }
                tokens.add(
                        Operator.getOperator(
                                switch (kind) {
                                    case PathIterator.SEG_MOVETO -> OperatorName.MOVE_TO;
                                    case PathIterator.SEG_LINETO -> OperatorName.LINE_TO;
                                    case PathIterator.SEG_CUBICTO -> OperatorName.CURVE_TO;
                                    default -> OperatorName.CLOSE_PATH;
                                }));
            }
            return tokens;
        }

        /** The same form may be drawn with other colours to begin with, or elsewhere. */
        private COSName free(COSName name) {
            COSDictionary own = resources.getCOSObject().getCOSDictionary(COSName.XOBJECT);
            COSDictionary objects = own == null ? new COSDictionary() : own;
            int number = 1;
            COSName other = COSName.getPDFName(name.getName() + "-" + number);
            while (objects.containsKey(other) || replaced.containsKey(other)) {
                other = COSName.getPDFName(name.getName() + "-" + ++number);
            }
            return other;
        }

        private Optional<COSStream> form(COSStream form) throws IOException {
            PDFormXObject read = new PDFormXObject(form);
            PDResources own = read.getResources() == null ? resources : read.getResources();
            State begin = state.copy();
            Rewriting inner =
                    new Rewriting(own, begin, places.form(number), page, marked, depth + 1);
            WrittenContent written = inner.of(new PDFStreamParser(read));
            if (!inner.changed) {
                return Optional.empty();
            }
            return Optional.of(copy(document, form, own.getCOSObject(), written, inner.replaced));
        }
    }

    /**
     * A form with another content, and some forms in the places of others.
     *
     * @param own the resources that it draws with
     */
    static COSStream copy(
            PDDocument document,
            COSStream form,
            COSDictionary own,
            WrittenContent content,
            Map<COSName, COSStream> forms)
            throws IOException {
        COSStream copy = document.getDocument().createCOSStream();
        for (Map.Entry<COSName, COSBase> each : form.entrySet()) {
            COSName key = each.getKey();
            if (!key.equals(COSName.LENGTH)
                    && !key.equals(COSName.FILTER)
                    && !key.equals(COSName.DECODE_PARMS)) {
                copy.setItem(key, each.getValue());
            }
        }
        if (!forms.isEmpty()) {
            copy.setItem(COSName.RESOURCES, with(own, forms));
        }
        content.to(copy);
        return copy;
    }

    /** Resources with some forms in the places of others. */
    static COSDictionary with(COSDictionary resources, Map<COSName, COSStream> forms) {
        COSDictionary changed = new COSDictionary(resources);
        COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
        COSDictionary own = objects == null ? new COSDictionary() : new COSDictionary(objects);
        forms.forEach(own::setItem);
        changed.setItem(COSName.XOBJECT, own);
        return changed;
    }

    private static List<Object> setting(Color color, boolean stroking) {
        List<Object> tokens = new ArrayList<>();
        switch (color) {
            case Cmyk ink -> {
                tokens.add(part(ink.cyan() / 100));
                tokens.add(part(ink.magenta() / 100));
                tokens.add(part(ink.yellow() / 100));
                tokens.add(part(ink.black() / 100));
                tokens.add(
                        Operator.getOperator(
                                stroking
                                        ? OperatorName.STROKING_COLOR_CMYK
                                        : OperatorName.NON_STROKING_CMYK));
            }
            case Rgb rgb -> {
                tokens.add(part(rgb.red() / 255.0));
                tokens.add(part(rgb.green() / 255.0));
                tokens.add(part(rgb.blue() / 255.0));
                tokens.add(
                        Operator.getOperator(
                                stroking
                                        ? OperatorName.STROKING_COLOR_RGB
                                        : OperatorName.NON_STROKING_RGB));
            }
            default -> throw new IllegalStateException("Neither ink nor light: " + color);
        }
        return tokens;
    }

    private static COSFloat part(double share) {
        return new COSFloat((float) (Math.rint(share * 1e5) / 1e5));
    }
}
