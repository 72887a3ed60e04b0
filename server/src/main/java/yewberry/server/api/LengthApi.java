package yewberry.server.api;

import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.publication.Length;
import yewberry.core.publication.Unit;
import yewberry.core.publication.WrittenLength;
import yewberry.server.view.ReadLength;

/** Lengths as people write them. */
@RestController
class LengthApi {
    /**
     * Reads a length that may be a calculation.
     *
     * @param unit of numbers that have none
     * @param of what percentages are of
     */
    @GetMapping("/api/lengths")
    ReadLength read(
            @RequestParam String text, @RequestParam Unit unit, @RequestParam Optional<String> of) {
        return new ReadLength(WrittenLength.read(text, unit, of.map(Length::parse)));
    }
}
