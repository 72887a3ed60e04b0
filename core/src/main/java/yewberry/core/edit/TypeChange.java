package yewberry.core.edit;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Length;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;

/**
 * Words in another size, weight or alignment, set where it is said what they have: for the words,
 * for their paragraph, or in its look.
 *
 * @param of what changes, in words, such as {@code the look “Body”}
 * @param value what is set there
 */
public record TypeChange(String of, String value, Edit edit) {
    /** Whether all text of a look changes. */
    public boolean isOfLook() {
        return edit instanceof LookEdit;
    }

    /**
     * A size.
     *
     * @param paragraph of the words
     * @param run the words
     * @param now the size that they have, in points
     * @param wanted the size that they get at least, in points
     * @return nothing where such a size is not possible there
     */
    public static Optional<TypeChange> size(
            Publication in, UUID paragraph, UUID run, double now, double wanted) {
        return Words.of(in, paragraph, run).flatMap(words -> words.sized(wanted / now));
    }

    /** A weight, on the scale of OpenType's usWeightClass. */
    public static Optional<TypeChange> weight(
            Publication in, UUID paragraph, UUID run, int wanted) {
        return Words.of(in, paragraph, run).map(words -> words.weighted(wanted));
    }

    /** An alignment, which words of a paragraph share. */
    public static Optional<TypeChange> alignment(
            Publication in, UUID paragraph, UUID run, Look.Alignment wanted) {
        return Words.of(in, paragraph, run).map(words -> words.aligned(wanted));
    }

    private record Words(Story story, Paragraph paragraph, Run run, Look look) {
        static Optional<Words> of(Publication in, UUID paragraph, UUID run) {
            return in.stories().stream()
                    .filter(story -> story.paragraphs().holds(paragraph))
                    .findFirst()
                    .flatMap(story -> {
                        Paragraph found = story.paragraphs().find(paragraph).orElseThrow();
                        return found.runs().stream()
                                .filter(each -> each.id().equals(run))
                                .findFirst()
                                .map(words ->
                                        new Words(story, found, words, in.look(found.look())));
                    });
        }

        Optional<TypeChange> sized(double times) {
            Optional<Double> ofRun = run.local().flatMap(LocalType::size);
            if (ofRun.isPresent()) {
                double percent = up(ofRun.get() * times);
                return percent > CharacterLook.LARGEST
                        ? Optional.empty()
                        : Optional.of(
                                words(
                                        run.local().get().withSize(percent),
                                        Length.pt(up(paragraphs().points() * percent / 100))));
            }
            Length size = Length.pt(up(paragraphs().points() * times));
            if (size.points() > Look.LARGEST) {
                return Optional.empty();
            }
            return Optional.of(
                    paragraph
                            .local()
                            .filter(each -> each.size().isPresent())
                            .map(local -> paragraph(local.withSize(size), size))
                            .orElseGet(() -> look(look.withSize(size), size.toString())));
        }

        TypeChange aligned(Look.Alignment alignment) {
            String value = alignment.name().toLowerCase(Locale.ROOT);
            return paragraph
                    .local()
                    .filter(each -> each.alignment().isPresent())
                    .map(local -> paragraph(local.withAlignment(alignment), value))
                    .orElseGet(() -> look(look.withAlignment(alignment), value));
        }

        private Length paragraphs() {
            return paragraph.local().flatMap(LocalSetting::size).orElse(look.size());
        }

        TypeChange weighted(int weight) {
            return run.local()
                    .filter(each -> each.weight().isPresent())
                    .map(local -> words(local.withWeight(weight), Integer.toString(weight)))
                    .orElseGet(() -> look(look.withWeight(weight), Integer.toString(weight)));
        }

        private TypeChange words(LocalType local, Object value) {
            return new TypeChange(
                    "these words",
                    value.toString(),
                    written(
                            paragraph.withRuns(
                                    paragraph.runs().stream()
                                            .map(each ->
                                                    each.equals(run)
                                                            ? run.withLocal(Optional.of(local))
                                                            : each)
                                            .toList())));
        }

        private TypeChange paragraph(LocalSetting local, Object value) {
            return new TypeChange(
                    "this paragraph",
                    value.toString(),
                    written(paragraph.withLocal(Optional.of(local))));
        }

        private Edit written(Paragraph changed) {
            return new StoryEdit.WriteText(
                    story.id(),
                    Optional.empty(),
                    List.of(StoryEdit.WrittenParagraph.of(changed)),
                    List.of(StoryEdit.WrittenParagraph.of(paragraph)));
        }

        private TypeChange look(Look changed, String value) {
            return new TypeChange(
                    "the look “%s”".formatted(look.name()),
                    value,
                    new LookEdit.ChangeLook(changed, Optional.of(look)));
        }

        /** To a hundredth beyond what is needed. */
        private static double up(double value) {
            return Math.ceil(value * 100 - 1e-6) / 100;
        }
    }
}
