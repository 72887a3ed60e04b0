package yewberry.server.recipes;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Refused;
import yewberry.core.edit.RecipeParts;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Swatch;
import yewberry.server.publications.PictureFiles;

/**
 * Recipes as files: JSON, with the files of their pictures inside. docs/formats.md describes it.
 */
@Component
public class RecipeFile {
    private static final String FORMAT = "yewberry-recipe";
    private static final int VERSION = 1;

    /** Bytes of a whole file; the largest picture that can be placed fits in, in base64. */
    public static final long LARGEST = 192L << 20;

    /** Bytes of what is not pictures, which go into one edit. */
    private static final long LARGEST_DRAWN = 8L << 20;

    private final JsonMapper mapper;
    private final PictureFiles files;

    /** A picture is one string. */
    private final JsonFactory longStrings;

    RecipeFile(JsonMapper mapper, PictureFiles files) {
        this.mapper = mapper;
        this.files = files;
        this.longStrings =
                JsonFactory.builder()
                        .streamReadConstraints(
                                StreamReadConstraints.builder()
                                        .maxStringLength((int) LARGEST)
                                        .build())
                        .build();
    }

    /**
     * @param format always {@code yewberry-recipe}
     * @param version 1
     * @param swatches those that others derive from first
     */
    record RecipeContent(
            String format,
            int version,
            Recipe recipe,
            List<Swatch> swatches,
            List<WithFile> pictures) {}

    /**
     * @param name of the file, with its ending
     * @param file64 its bytes in base64
     */
    record WithFile(UUID id, String name, String file64) {}

    /**
     * The whole file.
     *
     * @throws Refused if it would be larger than what can be imported
     */
    public byte[] write(RecipeParts parts) {
        List<WithFile> pictures = new ArrayList<>();
        long inPictures = 0;
        for (Asset asset : parts.assets()) {
            String file64 = Base64.getEncoder().encodeToString(files.read(asset.sha256()));
            pictures.add(new WithFile(asset.id(), asset.name() + ending(asset), file64));
            inPictures += file64.length();
            refuseOver(LARGEST - LARGEST_DRAWN, inPictures, "Take pictures out of it");
        }
        byte[] file =
                mapper.writerWithDefaultPrettyPrinter()
                        .writeValueAsBytes(
                                new RecipeContent(
                                        FORMAT,
                                        VERSION,
                                        parts.recipe(),
                                        parts.swatches(),
                                        pictures));
        refuseOver(LARGEST_DRAWN, file.length - inPictures, "Divide its backgrounds among several");
        return file;
    }

    private static void refuseOver(long most, long bytes, String advice) {
        if (bytes > most) {
            throw new Refused(
                    "This recipe would be too large a file to be imported again. %s, or take it straight to another publication."
                            .formatted(advice));
        }
    }

    private static String ending(Asset asset) {
        return switch (asset.content()) {
            case Asset.Pixels pixels ->
                    switch (pixels.format()) {
                        case PNG -> ".png";
                        case JPEG -> ".jpg";
                        case TIFF -> ".tif";
                    };
            case Asset.Drawing drawing -> ".svg";
            case Asset.Document document -> ".pdf";
        };
    }

    /**
     * Reads a file and takes its pictures in.
     *
     * @throws Refused if it is no such file, is of a later version, or holds a picture that cannot
     *     be used
     * @throws IOException if it does not come whole
     */
    public RecipeParts read(InputStream body) throws IOException {
        return files.inTurn(body, this::read);
    }

    private RecipeParts read(Path file) {
        RecipeContent written;
        try (JsonParser parser = longStrings.createParser(ObjectReadContext.empty(), file)) {
            JsonNode tree = mapper.readTree(parser);
            if (!FORMAT.equals(tree.path("format").asString(""))) {
                throw new Refused(
                        "This is not a recipe of Yewberry; choose a file that it exported.");
            }
            if (tree.path("version").asInt(0) != VERSION) {
                throw new Refused(
                        "This recipe is of version %s, and only version 1 is known here."
                                .formatted(tree.path("version").asString("?")));
            }
            written = mapper.treeToValue(tree, RecipeContent.class);
        } catch (JacksonException broken) {
            throw broken.getCause() instanceof Refused refused
                    ? refused
                    : new Refused("This recipe is damaged: it is not what Yewberry writes.");
        }
        List<Asset> assets = new ArrayList<>();
        for (WithFile picture : written.pictures()) {
            byte[] bytes;
            try {
                bytes = Base64.getDecoder().decode(picture.file64());
            } catch (IllegalArgumentException broken) {
                throw new Refused(
                        "The picture “%s” in this recipe is damaged.".formatted(picture.name()));
            }
            assets.add(files.add(picture.id(), picture.name(), bytes));
        }
        return new RecipeParts(written.recipe(), written.swatches(), assets);
    }
}
