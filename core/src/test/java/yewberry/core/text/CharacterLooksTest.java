package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.id;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.CharacterLookEdit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.StoryEdit;
import yewberry.core.legibility.SizeClass;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;

/** Characters that look otherwise than their paragraph, within its lines. */
class CharacterLooksTest {
    private static final CharacterLook PLAIN = new CharacterLook(id("plain"), "Plain");
    private static final CharacterLook STRONG =
            new CharacterLook(id("strong"), "Strong").withWeight(Optional.of(700));
    private static final CharacterLook SLANTED =
            new CharacterLook(id("slanted"), "Slanted").withItalic(Optional.of(true));
    private static final CharacterLook LARGE =
            new CharacterLook(id("large"), "Large").withSize(Optional.of(200.0));

    private static Run run(String text, CharacterLook... look) {
        Optional<UUID> of = look.length == 0 ? Optional.empty() : Optional.of(look[0].id());
        return new Run(id("run " + text), text, Optional.empty(), of);
    }

    private static Paragraph paragraph(Run... runs) {
        return new Paragraph(id("paragraph"), BODY.id(), List.of(runs));
    }

    private static List<Segment> set(Look look, double width, Paragraph paragraph) {
        return Typesetter.set(
                        List.of(paragraph),
                        List.of(""),
                        StoryPlace.BEGINNING,
                        new Box(Length.ZERO, Length.ZERO, Length.pt(width), Length.pt(400)),
                        FrameSetting.USUAL,
                        Sample.looks(each -> look, PLAIN, STRONG, SLANTED, LARGE))
                .segments();
    }

    private static double width(String text, int weight, boolean italic, double size) {
        return FontLibrary.face("Source Serif 4", weight, italic).shape(text).width() * size / 1000;
    }

    private static List<String> lines(List<Segment> segments) {
        return new ArrayList<>(
                segments.stream()
                        .collect(
                                Collectors.groupingBy(
                                        Segment::baseline,
                                        java.util.TreeMap::new,
                                        Collectors.mapping(Segment::text, Collectors.joining())))
                        .values());
    }

    @Test
    void each_stretch_is_set_in_its_own_face_and_stands_where_the_one_before_ends() {
        List<Segment> set =
                set(
                        BODY,
                        400,
                        paragraph(run("Come "), run("early", STRONG), run(" or late", SLANTED)));
        assertThat(set)
                .extracting(each -> each.type().face().inWords())
                .containsExactly(
                        "Source Serif 4 400", "Source Serif 4 700", "Source Serif 4 400 italic");
        assertThat(set.get(1).x()).isCloseTo(width("Come ", 400, false, 10), within(1e-6));
        assertThat(set.get(2).x() - set.get(1).x())
                .isCloseTo(width("early", 700, false, 10), within(1e-6));
        assertThat(set.get(2).width()).isCloseTo(width(" or late", 400, true, 10), within(1e-6));
    }

    @Test
    void a_look_that_sets_nothing_leaves_kerning_and_ligatures_as_they_were() {
        List<Segment> whole = set(BODY, 400, paragraph(run("AVAST")));
        List<Segment> parted = set(BODY, 400, paragraph(run("A"), run("VAST", PLAIN)));
        double end = parted.getLast().x() + parted.getLast().width();
        assertThat(end).isCloseTo(whole.getFirst().width(), within(1e-6));
        double apart = width("A", 400, false, 10) + width("VAST", 400, false, 10);
        assertThat(end).as("kerned over the end of a run").isLessThan(apart - 0.1);
    }

    @Test
    void what_differs_from_a_look_is_set_as_a_look_that_says_so_would_be() {
        LocalType local =
                new LocalType(
                        Optional.empty(),
                        Optional.of(700),
                        Optional.empty(),
                        Optional.of(200.0),
                        Optional.of(40.0),
                        Optional.empty(),
                        Optional.empty());
        LocalSetting setting =
                new LocalSetting(
                        Optional.of(Length.pt(14)),
                        Optional.of(Leading.percent(150)),
                        Optional.of(Look.Alignment.RIGHT),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Length.pt(-20)),
                        Optional.of(Length.pt(12)),
                        Optional.of(Length.pt(5)),
                        Optional.empty());
        CharacterLook said = local.on(SLANTED);
        Look look = setting.on(BODY);
        Run[] differing = {
            run("Come ").withLocal(Optional.of(local)),
            run("early", SLANTED).withLocal(Optional.of(local)),
            run(" or late, but come to the dome")
        };
        List<Segment> set = set(BODY, 220, paragraph(differing).withLocal(Optional.of(setting)));
        List<Segment> expected =
                Typesetter.set(
                                List.of(
                                        paragraph(
                                                run("Come ", LARGE),
                                                run("early", SLANTED),
                                                run(" or late, but come to the dome"))),
                                List.of(""),
                                StoryPlace.BEGINNING,
                                new Box(Length.ZERO, Length.ZERO, Length.pt(220), Length.pt(400)),
                                FrameSetting.USUAL,
                                Sample.looks(each -> look, local.on(LARGE), said))
                        .segments();
        assertThat(set).hasSizeGreaterThan(3);
        assertThat(set)
                .usingRecursiveFieldByFieldElementComparatorOnFields(
                        "text", "type", "x", "baseline", "width", "onLeft", "glyphs")
                .isEqualTo(expected);
        assertThat(look.setting().first())
                .as("hangs no further than the indent allows")
                .isEqualTo(Length.pt(-12));
    }

    /** Held against a breaker that knows nothing but the widths of words. */
    @Test
    void lines_end_where_words_in_their_own_sizes_no_longer_fit() {
        String[] words = "the long glass in the dome was built for a shipping office".split(" ");
        for (double room = 110; room < 310; room += 7) {
            List<Run> runs = new ArrayList<>();
            List<String> expected = new ArrayList<>();
            StringBuilder line = new StringBuilder();
            double used = 0;
            for (int i = 0; i < words.length; i++) {
                boolean large = i % 3 == 1;
                String word = words[i] + " ";
                runs.add(
                        new Run(
                                id("run " + i),
                                word,
                                Optional.empty(),
                                large ? Optional.of(LARGE.id()) : Optional.empty()));
                double size = large ? 20 : 10;
                double wide = width(words[i], 400, false, size);
                if (used + wide > room && used > 0) {
                    expected.add(line.toString().strip());
                    line.setLength(0);
                    used = 0;
                }
                line.append(word);
                used += width(word, 400, false, size);
            }
            expected.add(line.toString().strip());
            List<String> found =
                    lines(set(BODY, room, paragraph(runs.toArray(Run[]::new)))).stream()
                            .map(String::strip)
                            .toList();
            assertThat(found).as(room + " pt").isEqualTo(expected);
        }
    }

    @Test
    void the_first_line_of_a_frame_stands_as_far_down_as_its_largest_type_needs() {
        double plain = set(BODY, 400, paragraph(run("Come early"))).getFirst().baseline();
        List<Segment> large = set(BODY, 400, paragraph(run("Come "), run("early", LARGE)));
        assertThat(large).extracting(Segment::baseline).containsOnly(2 * plain);
        Box low = new Box(Length.ZERO, Length.ZERO, Length.pt(400), Length.pt(20));
        SetFrame none =
                Typesetter.set(
                        List.of(paragraph(run("Come "), run("early", LARGE))),
                        List.of(""),
                        StoryPlace.BEGINNING,
                        low,
                        FrameSetting.USUAL,
                        Sample.looks(each -> BODY, LARGE));
        assertThat(none.segments()).as("it would stand out below").isEmpty();
    }

    @Test
    void justified_lines_of_several_sizes_end_at_the_edge() {
        Paragraph text =
                paragraph(
                        run("Walk slowly along the "),
                        run("pale stones", LARGE),
                        run(
                                " that you can feel with your feet, and hold the rope that runs from the "),
                        run("gate", STRONG),
                        run(" to the terrace."));
        List<Segment> set = set(BODY.withAlignment(Look.Alignment.JUSTIFIED), 150, text);
        double last = set.getLast().baseline();
        var ends =
                set.stream()
                        .filter(each -> each.baseline() < last)
                        .collect(
                                Collectors.groupingBy(
                                        Segment::baseline,
                                        Collectors.mapping(
                                                each -> each.x() + each.width(),
                                                Collectors.maxBy(Double::compare))));
        assertThat(ends).hasSizeGreaterThan(2);
        assertThat(ends.values())
                .allSatisfy(end -> assertThat(end.orElseThrow()).isCloseTo(150, within(1e-6)));
    }

    private static Publication publication(CharacterLook look) {
        TextFrame frame =
                Sample.frame(
                        "f",
                        new Box(Length.mm(10), Length.mm(10), Length.mm(100), Length.mm(40)),
                        List.of(paragraph(run("Come "), run("early", look))));
        return Sample.withPage(new Layer(List.of(), List.of(frame)))
                .withCharacterLooks(List.of(look));
    }

    private static Item.GlyphRun early(Publication publication, Composer composer) {
        return composer.compose(publication, 0).text().stream()
                .filter(run -> run.text().equals("early"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void colour_outline_and_size_reach_the_page_and_the_verdict() {
        CharacterLook look =
                LARGE.withWeight(Optional.of(700))
                        .withColor(Optional.of(Tinted.full(Sample.SIGNAL.id())))
                        .withOutline(
                                Optional.of(
                                        new Outline(
                                                Tinted.full(Sample.NIGHT.id()),
                                                Length.pt(1),
                                                Outline.Join.ROUND,
                                                false)));
        Composer composer = new Composer(PressCondition.coated());
        Publication publication = publication(look);
        Item.GlyphRun run = early(publication, composer);
        assertThat(run.paint().swatch()).contains(Sample.SIGNAL.id());
        assertThat(run.size()).isEqualTo(20);
        assertThat(SizeClass.of(run.type()).large()).isTrue();
        assertThat(composer.compose(publication, 0).items())
                .filteredOn(Item.GlyphStroke.class::isInstance)
                .singleElement()
                .satisfies(line ->
                        assertThat(line.paints().getFirst().swatch()).contains(Sample.NIGHT.id()));
    }

    @Test
    void a_changed_look_recomposes_the_pages_that_wear_it_and_no_others() {
        Composer composer = new Composer(PressCondition.coated());
        Publication before = publication(STRONG);
        Item.GlyphRun bold = early(before, composer);
        var untouched = composer.compose(before, 1);
        Publication after =
                Editing.edit(
                                before,
                                new CharacterLookEdit.ChangeCharacterLook(
                                        STRONG.withItalic(Optional.of(true)), Optional.of(STRONG)))
                        .publication();
        assertThat(bold.face().italic()).isFalse();
        assertThat(early(after, composer).face().inWords()).isEqualTo("Source Serif 4 700 italic");
        assertThat(composer.compose(after, 1)).isSameAs(untouched);
    }

    @Test
    void a_look_that_is_removed_leaves_its_characters_or_gives_them_another() {
        Publication before = publication(STRONG).withCharacterLooks(List.of(STRONG, SLANTED));
        Publication plain =
                Editing.edit(
                                before,
                                new CharacterLookEdit.RemoveCharacterLook(
                                        STRONG.id(), Optional.empty()))
                        .publication();
        Composer composer = new Composer(PressCondition.coated());
        assertThat(early(plain, composer).characters()).isEmpty();
        assertThat(plain.characterLooks()).containsExactly(SLANTED);
        Publication slanted =
                Editing.edit(
                                before,
                                new CharacterLookEdit.RemoveCharacterLook(
                                        STRONG.id(), Optional.of(SLANTED.id())))
                        .publication();
        assertThat(early(slanted, composer).face().italic()).isTrue();
    }

    @Test
    void words_typed_with_a_look_that_somebody_took_away_are_kept() {
        Publication plain =
                Editing.edit(
                                publication(STRONG),
                                new CharacterLookEdit.RemoveCharacterLook(
                                        STRONG.id(), Optional.empty()))
                        .publication();
        var story = plain.stories().getFirst();
        var typed =
                new StoryEdit.WrittenParagraph(
                        story.paragraphs().getFirst().id(),
                        BODY.id(),
                        List.of(
                                new StoryEdit.WrittenRun("Come ", Optional.empty()),
                                new StoryEdit.WrittenRun(
                                        "earlier",
                                        Optional.of(Tinted.full(id("a swatch that is gone"))),
                                        Optional.of(STRONG.id()))));
        Publication after =
                Editing.edit(
                                plain,
                                new StoryEdit.WriteText(
                                        story.id(),
                                        Optional.empty(),
                                        List.of(typed),
                                        List.of(
                                                StoryEdit.WrittenParagraph.of(
                                                        story.paragraphs().getFirst()))))
                        .publication();
        assertThat(after.stories().getFirst().text()).isEqualTo("Come earlier");
    }

    @Test
    void what_is_not_possible_is_refused_in_words() {
        assertThatThrownBy(() -> LARGE.withSize(Optional.of(9.0)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("9 %");
        assertThatThrownBy(() -> STRONG.withWeight(Optional.of(1200)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("1200");
        assertThat(FontLibrary.nearest("Fraunces", 900, true).inWords())
                .isEqualTo("Fraunces 700 italic");
    }
}
