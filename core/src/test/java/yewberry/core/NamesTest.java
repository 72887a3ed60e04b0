package yewberry.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NamesTest {
    @ParameterizedTest
    @ValueSource(strings = {"Nuit étoilée", "夜空", "<b>&\"quoted\"</b>", "🌌 dark", "../../etc"})
    void any_printable_characters_make_a_name(String name) {
        assertThat(Names.checked("swatch", "  " + name + " ")).isEqualTo(name);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "two\nlines", "a\tb", "null\u0000", "\ud83c"})
    void what_cannot_be_printed_on_one_line_does_not(String name) {
        assertThatThrownBy(() -> Names.checked("swatch", name))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("swatch");
    }

    @Test
    void a_name_of_120_characters_is_the_longest() {
        assertThat(Names.checked("look", "🌌".repeat(120))).hasSize(240);
        assertThatThrownBy(() -> Names.checked("look", "x".repeat(121)))
                .hasMessageContaining("121")
                .hasMessageContaining("120");
    }

    @ParameterizedTest
    @CsvSource({
        "Season guide, season-guide",
        "Nuit étoilée, nuit-etoilee",
        "../../etc/passwd, etc-passwd",
        "夜空, publication",
        "CON, publication-con",
        "-- 7 --, 7",
    })
    void file_names_are_derived_safely(String name, String stem) {
        assertThat(Names.fileStem(name)).isEqualTo(stem);
    }
}
