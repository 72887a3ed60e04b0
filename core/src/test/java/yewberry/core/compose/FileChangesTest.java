package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.compose.WrittenFile.BLACK;
import static yewberry.core.compose.WrittenFile.COATED;
import static yewberry.core.compose.WrittenFile.FILE;
import static yewberry.core.compose.WrittenFile.PAGE;
import static yewberry.core.compose.WrittenFile.PALE;
import static yewberry.core.compose.WrittenFile.after;
import static yewberry.core.compose.WrittenFile.backing;
import static yewberry.core.compose.WrittenFile.composer;
import static yewberry.core.compose.WrittenFile.night;
import static yewberry.core.compose.WrittenFile.set;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.PageText;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Tinted;

/** What of the page of a file is changed: what lies behind its words, and its colours. */
class FileChangesTest {
    @Test
    void what_lies_behind_words_is_changed_taken_back_and_follows_its_swatch() {
        Publication set = set();
        Publication one = after(set, new AssetEdit.BackWords(FILE, backing(1, 100)));
        Publication weaker = after(one, new AssetEdit.BackWords(FILE, backing(1, 40)));
        assertThat(weaker.asset(FILE).backings()).containsExactly(backing(1, 40));
        Backing moved =
                new Backing(
                        Sample.id("moved"),
                        1,
                        new Box(Length.mm(1), Length.mm(1), Length.mm(9), Length.mm(9)),
                        Length.ZERO,
                        Tinted.full(Sample.NIGHT.id()),
                        30);
        Publication two = after(weaker, new AssetEdit.BackWords(FILE, moved));
        Backing wider =
                new Backing(
                        Sample.id("backing"),
                        1,
                        new Box(Length.mm(8), Length.mm(12), Length.mm(30), Length.mm(8)),
                        Length.mm(1),
                        Tinted.full(Sample.NIGHT.id()),
                        70);
        assertThat(
                        after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 40), wider))
                                .asset(FILE)
                                .backings())
                .as("in its place")
                .containsExactly(wider, moved);
        Backing round =
                new Backing(
                        Sample.id("backing"),
                        1,
                        backing(1, 40).area(),
                        Length.mm(3),
                        backing(1, 40).color(),
                        100);
        assertThat(
                        after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 100), round))
                                .asset(FILE)
                                .backings()
                                .getFirst())
                .as("somebody else made it weaker meanwhile, which stays")
                .isEqualTo(round.withOpacity(40));
        Publication elsewhere =
                after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 40), wider));
        Backing bolder = backing(1, 40).withOpacity(90);
        assertThat(
                        after(elsewhere, new AssetEdit.ChangeBacking(FILE, backing(1, 40), bolder))
                                .asset(FILE)
                                .backings()
                                .getFirst())
                .as("somebody else moved it meanwhile, where it stays")
                .isEqualTo(wider.withOpacity(90));
        Backing gone =
                new Backing(Sample.id("gone"), 1, round.area(), round.radius(), round.color(), 50);
        assertThatThrownBy(() -> after(two, new AssetEdit.ChangeBacking(FILE, gone, round)))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("There is no such colour behind words");
        assertThat(after(weaker, new AssetEdit.TakeBackBacking(FILE, backing(1, 40))))
                .isEqualTo(set);
        assertThat(after(weaker, new AssetEdit.TakeBackBacking(FILE, backing(1, 100))))
                .as("whatever somebody made of it meanwhile")
                .isEqualTo(set);
        assertThatThrownBy(() -> after(weaker, new AssetEdit.TakeBackBacking(FILE, gone)))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("There is no such colour behind words");
        Publication replaced =
                after(
                        weaker,
                        new SwatchEdit.RemoveSwatch(
                                Sample.NIGHT.id(), Optional.of(Sample.SIGNAL.id())));
        assertThat(replaced.asset(FILE).backings().getFirst().color().swatch())
                .isEqualTo(Sample.SIGNAL.id());
    }

    @Test
    void what_cannot_lie_behind_words_is_refused() {
        assertThatThrownBy(() -> after(set(), new AssetEdit.BackWords(FILE, backing(2, 100))))
                .isInstanceOf(Refused.class)
                .hasMessage("“Log” has no page 2; its last one is page 1.");
        assertThatThrownBy(() -> backing(0, 100)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> backing(1, 0)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> backing(1, 101)).isInstanceOf(Refused.class);
        Asset map =
                new Asset(
                        Sample.id("map"),
                        "Map",
                        "any",
                        new Asset.Pixels(
                                Asset.Format.PNG,
                                10,
                                10,
                                72,
                                Asset.Colors.RGB,
                                Optional.empty(),
                                false));
        assertThatThrownBy(() -> map.withBackings(List.of(backing(1, 100))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("is not one");
    }

    @Test
    void pages_of_the_file_that_it_is_not_on_are_not_made_again() {
        Asset.Document two =
                new Asset.Document(
                        List.of(
                                new Asset.Leaf(200, 100, false, List.of()),
                                new Asset.Leaf(200, 100, false, List.of())));
        Publication set =
                after(
                        Sample.publication(),
                        new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", two)),
                        new PageEdit.AddImported(
                                FILE,
                                1,
                                List.of(PAGE, Sample.id("second")),
                                Optional.of(Sample.page(4)),
                                Optional.empty()));
        Composer composer = composer(new PageText.Ground.Bare(), BLACK);
        Publication backed = after(set, new AssetEdit.BackWords(FILE, backing(2, 100)));
        assertThat(composer.key(backed, 4)).isSameAs(composer.key(set, 4));
        assertThat(composer.key(backed, 5)).isNotSameAs(composer.key(set, 5));
    }

    /** Two offers made of one state are both kept: each carries what it changes, and no more. */
    @Test
    void a_colour_that_changes_leaves_what_changed_meanwhile() {
        Set<Recolor.What> text = Set.of(Recolor.What.TEXT);
        Optional<Tinted> night = Optional.of(Tinted.full(Sample.NIGHT.id()));
        Optional<Tinted> white = Optional.of(Tinted.full(Sample.WHITE.id()));
        Recolor black = new Recolor(Rgb.BLACK, 0, text, List.of(), night);
        Recolor pale = new Recolor(COATED.toScreen(PALE), 0, text, List.of(), night);
        Recolor again = new Recolor(Rgb.BLACK, 0, text, List.of(), white);
        Publication both =
                after(
                        set(),
                        new AssetEdit.RecolorAsset(FILE, black),
                        new AssetEdit.RecolorAsset(FILE, pale));
        assertThat(both.asset(FILE).recolored()).containsExactly(pale, black);
        Publication other = after(both, new AssetEdit.RecolorAsset(FILE, again));
        assertThat(other.asset(FILE).recolored()).containsExactly(again, pale);
        Publication back = after(other, new AssetEdit.TakeBackColor(FILE, again));
        assertThat(back.asset(FILE).recolored()).containsExactly(pale);
        assertThatThrownBy(() -> after(back, new AssetEdit.TakeBackColor(FILE, again)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no such");
    }

    @Test
    void what_cannot_be_another_colour_is_refused() {
        Tinted night = Tinted.full(Sample.NIGHT.id());
        Set<Recolor.What> text = Set.of(Recolor.What.TEXT);
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("see-through");
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 60, text, List.of(), Optional.of(night)))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 0, Set.of(), List.of(), Optional.of(night)))
                .isInstanceOf(Refused.class);
        Recolor one = new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.of(night));
        Asset.Pixels pixels =
                new Asset.Pixels(
                        Asset.Format.PNG, 1, 1, 72, Asset.Colors.RGB, Optional.empty(), false);
        assertThatThrownBy(() -> new Asset(FILE, "Map", "any", pixels, List.of(one), List.of()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("PDF");
        Tinted gone = Tinted.full(Sample.id("nobody"));
        Recolor broken = new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.of(gone));
        assertThatThrownBy(() -> after(set(), new AssetEdit.RecolorAsset(FILE, broken)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("swatch");
    }
}
