package yewberry.server.jobs;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import yewberry.core.Progress;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.picture.Png;
import yewberry.pdf.proof.PictureDifference;
import yewberry.pdf.proof.WebDifference;
import yewberry.server.view.FileResult;

/** An output of many files, in a zip file. */
final class ManyFiles {
    /** Of more files there are only words. */
    private static final int MOST_SEEN = 24;

    private final Path zip;
    private final List<FileResult> results;
    private final String named;

    /**
     * @param results one for each file, or for a web page as a whole
     * @param named where something is that is in it, in words
     */
    ManyFiles(Path zip, List<FileResult> results, String named) {
        this.zip = zip;
        this.results = results;
        this.named = named;
    }

    /**
     * Each file against the one of the same pages.
     *
     * @return the results of this, each with what differs as its problem, and behind them those of
     *     the other whose pages are not in this
     * @throws IOException if one cannot be read
     */
    List<FileResult> heldAgainst(ManyFiles other, OutputSettings settings, Progress progress)
            throws IOException {
        Map<Object, FileResult> others = new LinkedHashMap<>();
        other.results.forEach(each -> others.put(key(each), each));
        Set<Object> there = new HashSet<>();
        List<FileResult> held = new ArrayList<>();
        int seen = 0;
        try (ZipFile one = new ZipFile(zip.toFile());
                ZipFile second = new ZipFile(other.zip.toFile())) {
            for (FileResult result : results) {
                progress.at(held.size(), results.size());
                FileResult match =
                        settings.kind() == OutputKind.WEB
                                ? other.results.getFirst()
                                : others.get(key(result));
                there.add(match == null ? key(result) : key(match));
                if (match == null) {
                    held.add(
                            result.withProblem(
                                    Optional.of("It is there only %s.".formatted(named)),
                                    Optional.empty()));
                } else if (settings.kind() == OutputKind.WEB) {
                    held.add(result.withProblem(difference(other), Optional.empty()));
                } else {
                    Optional<PictureDifference> difference =
                            PictureDifference.of(
                                    entry(one, result.name()),
                                    entry(second, match.name()),
                                    settings.kind() == OutputKind.SVG,
                                    settings.ppi());
                    boolean isSeen = seen < MOST_SEEN;
                    seen += difference.isPresent() ? 1 : 0;
                    held.add(
                            result.withProblem(
                                    difference.map(PictureDifference::inWords),
                                    difference.filter(each -> isSeen).map(ManyFiles::seen)));
                }
            }
        }
        others.forEach((key, result) -> {
            if (!there.contains(key)) {
                held.add(
                        new FileResult(
                                result.name(),
                                result.pages(),
                                false,
                                Optional.empty(),
                                Optional.of("It is there only %s.".formatted(other.named))));
            }
        });
        return held;
    }

    /** Numbers in names change where pages are put in. */
    private static Object key(FileResult result) {
        return result.of().isEmpty() ? result.name() : result.of();
    }

    /** Of web pages. */
    private Optional<String> difference(ManyFiles other) throws IOException {
        List<String> differences =
                WebDifference.of(
                        Outputs.unzipped(zip), named, Outputs.unzipped(other.zip), other.named);
        return differences.isEmpty()
                ? Optional.empty()
                : Optional.of(String.join(" ", differences));
    }

    private static FileResult.Difference seen(PictureDifference difference) {
        return new FileResult.Difference(
                base64(difference.other()), difference.where().map(ManyFiles::base64));
    }

    private static String base64(BufferedImage image) {
        return Base64.getEncoder().encodeToString(Png.of(image));
    }

    private static byte[] entry(ZipFile zip, String name) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw new IOException("No “%s” in it".formatted(name));
        }
        return zip.getInputStream(entry).readAllBytes();
    }
}
