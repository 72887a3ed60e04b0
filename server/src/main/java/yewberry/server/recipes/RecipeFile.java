package yewberry.server.recipes;

import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Refused;
import yewberry.core.color.Swatch;
import yewberry.core.edit.RecipeParts;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Recipe;
import yewberry.server.publications.PictureFiles;

/**
 * Recipes as files: JSON, with the files of their pictures inside. docs/formats.md describes it.
 */
@Component
public class RecipeFile {
    private static final String FORMAT = "yewberry-recipe";
    private static final int VERSION = 1;

    private final JsonMapper mapper;
    private final PictureFiles files;

    RecipeFile(JsonMapper mapper, PictureFiles files) {
        this.mapper = mapper;
        this.files = files;
    }

    /**
     * @param format always {@code yewberry-recipe}
     * @param version 1
     * @param swatches those that others derive from first
     */
    record Written(
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

    /** The whole file. */
    public byte[] write(RecipeParts parts) {
        List<WithFile> pictures = new ArrayList<>();
        for (Asset asset : parts.assets()) {
            pictures.add(
                    new WithFile(
                            asset.id(),
                            asset.name() + ending(asset),
                            Base64.getEncoder().encodeToString(files.read(asset.sha256()))));
        }
        return mapper.writerWithDefaultPrettyPrinter()
                .writeValueAsBytes(
                        new Written(FORMAT, VERSION, parts.recipe(), parts.swatches(), pictures));
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
     */
    public RecipeParts read(byte[] file) {
        Written written;
        try {
            var tree = mapper.readTree(file);
            if (!FORMAT.equals(tree.path("format").asString(""))) {
                throw new Refused("This is no recipe of Yewberry; choose a file that it exported.");
            }
            if (tree.path("version").asInt(0) != VERSION) {
                throw new Refused(
                        "This recipe is of version %s, and only version 1 is known here."
                                .formatted(tree.path("version").asString("?")));
            }
            written = mapper.treeToValue(tree, Written.class);
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
