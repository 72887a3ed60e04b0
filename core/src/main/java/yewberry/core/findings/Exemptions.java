package yewberry.core.findings;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.color.Contrast;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;

/** The exceptions of a publication, held against its text as it is now. */
public final class Exemptions {
    /** What is cut off when a ratio is shown. */
    private static final double SHOWN = 0.01;

    private static final double MOST = 21;

    private final Map<UUID, Exemption> byRun;
    private final Set<Imported> files;
    private final Map<UUID, String> texts;

    private Exemptions(Map<UUID, Exemption> byRun, Set<Imported> files, Map<UUID, String> texts) {
        this.byRun = byRun;
        this.files = files;
        this.texts = texts;
    }

    public static Exemptions of(Publication publication) {
        Map<UUID, Exemption> byRun = new HashMap<>();
        publication.exemptions().forEach(each -> byRun.put(each.run(), each));
        if (byRun.isEmpty()) {
            return new Exemptions(byRun, Set.of(), Map.of());
        }
        return new Exemptions(
                byRun,
                publication.pages().stream()
                        .flatMap(page -> page.imported().stream())
                        .collect(Collectors.toSet()),
                publication.stories().stream()
                        .flatMap(story -> story.paragraphs().stream())
                        .flatMap(paragraph -> paragraph.runs().stream())
                        .filter(run -> byRun.containsKey(run.id()))
                        .collect(Collectors.toMap(Run::id, Run::text)));
    }

    /**
     * The exception for some text.
     *
     * @param ended why it does not hold; nothing where it does
     */
    public record Held(Exemption exemption, Optional<String> ended) {
        public boolean holds() {
            return ended.isEmpty();
        }
    }

    /**
     * That of a run of text, if there is one, held against the contrast that it has now.
     *
     * @param contrast as designed: that is what was accepted
     */
    public Optional<Held> of(RunContrast contrast) {
        return of(contrast.run().run(), contrast.onPicture(), contrast.worst().ratio());
    }

    /**
     * The same of a run that is seen under another viewing.
     *
     * @param onPicture whether it stands on a picture
     * @param designed the worst ratio that it has as designed; what passes is above all that was
     *     accepted
     */
    public Optional<Held> of(UUID run, boolean onPicture, double designed) {
        return Optional.ofNullable(byRun.get(run))
                .map(each -> new Held(each, ended(each, onPicture, designed)));
    }

    private Optional<String> ended(Exemption exemption, boolean onPicture, double ratio) {
        if (onPicture) {
            return Optional.of("The text stands on a picture, which no exception covers.");
        }
        if (ratio < exemption.ratio() - SHOWN) {
            return Optional.of(
                    "The contrast fell to %s : 1; %s : 1 was accepted."
                            .formatted(Contrast.cut(ratio), Contrast.cut(exemption.ratio())));
        }
        return byText(exemption);
    }

    /**
     * That of a finding: as designed held against its contrast, under another viewing against its
     * text alone, because only what is as designed was accepted.
     */
    public Optional<Held> of(Finding.TooLittleContrast finding) {
        RunContrast contrast = finding.contrast();
        return finding.isVerdict()
                ? of(contrast)
                : of(contrast.run().run(), contrast.onPicture(), MOST);
    }

    /** Whether a finding is to be mended: no exception holds for it. */
    public boolean isOpen(Finding finding) {
        return !(finding instanceof Finding.TooLittleContrast contrast)
                || of(contrast).filter(Held::holds).isEmpty();
    }

    private Optional<String> byText(Exemption exemption) {
        if (exemption.page().isPresent()) {
            return files.contains(exemption.page().get())
                    ? Optional.empty()
                    : Optional.of("The page of the file is gone.");
        }
        String now = texts.get(exemption.run());
        if (now == null) {
            return Optional.of("The text is gone.");
        }
        return now.equals(exemption.text())
                ? Optional.empty()
                : Optional.of("The text is another one now.");
    }

    /**
     * All exceptions, in the order in which they were granted.
     *
     * @param judged the contrast of the text they are for, as far as it is on a page
     */
    public List<Held> all(Publication publication, Stream<RunContrast> judged) {
        Map<UUID, RunContrast> worst = new HashMap<>();
        judged.filter(each -> byRun.containsKey(each.run().run()))
                .forEach(each ->
                        worst.merge(
                                each.run().run(),
                                each,
                                (one, other) ->
                                        one.worst().ratio() <= other.worst().ratio()
                                                ? one
                                                : other));
        return publication.exemptions().stream()
                .map(each ->
                        new Held(
                                each,
                                Optional.ofNullable(worst.get(each.run()))
                                        .map(contrast ->
                                                ended(
                                                        each,
                                                        contrast.onPicture(),
                                                        contrast.worst().ratio()))
                                        .orElseGet(() -> byText(each))))
                .toList();
    }
}
