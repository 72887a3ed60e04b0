package yewberry.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;

class OutputSettingsTest {
    /** Eight pages; parts begin on the third and on the sixth. */
    private static final Publication GUIDE =
            new Publication(
                    new UUID(0, 1),
                    "Guide",
                    Setup.of(new PageSize(Length.mm(105), Length.mm(148)), true),
                    List.of(),
                    List.of(),
                    List.of(),
                    IntStream.range(0, 8).mapToObj(OutputSettingsTest::page).toList());

    private static Page page(int index) {
        Page page = new Page(new UUID(1, index), Optional.empty(), true, Layer.EMPTY);
        return switch (index) {
            case 2 -> page.withPart(Optional.of("Autumn"));
            case 5 -> page.withPart(Optional.of("Winter nights"));
            default -> page;
        };
    }

    private static OutputSettings of(String pages) {
        return OutputSettings.of(OutputKind.PRESS_PDF).withPages(pages);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | 0 1 2 3 4 5 6 7",
                "autumn | 2 3 4",
                "Winter nights, 1 | 0 5 6 7",
                "2-3, odd | 0 1 2 4 6",
                "8,, Autumn, 4, | 2 3 4 7"
            })
    void pages_are_ranges_and_parts(String written, String positions) {
        assertThat(of(written).pages(GUIDE))
                .isEqualTo(List.of(positions.split(" ")).stream().map(Integer::valueOf).toList());
    }

    @Test
    void a_part_that_there_is_not_is_refused() {
        assertThatThrownBy(() -> of(", ,").pages(GUIDE)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> of("Spring").pages(GUIDE))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("spring");
    }

    @Test
    void the_usual_name_is_that_of_the_publication_and_the_kind() {
        OutputSettings settings = of("Autumn");
        assertThat(settings.fileName(GUIDE, LocalDate.of(2026, 11, 28)))
                .isEqualTo("guide-press.pdf");
    }
}
