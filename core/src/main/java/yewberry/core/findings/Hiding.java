package yewberry.core.findings;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.edit.Edit;
import yewberry.core.press.OpaqueParts;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.PageScene;

/**
 * What of the page of a file would hide a background, told before there is one.
 *
 * @param share of the page that lets nothing through, from 0 to 1
 * @param white how many white fills can be made see-through
 * @param pictures how many pictures it has, which stay
 * @param seeThrough makes the white fills see-through; nothing where there are none
 */
public record Hiding(UUID page, double share, int white, int pictures, Optional<Edit> seeThrough) {
    /**
     * @return nothing where the page is of no file, or nothing worth telling would hide it
     */
    public static Optional<Hiding> of(PageScene scene, Publication publication) {
        Optional<Imported> file = publication.page(scene.page()).imported();
        return scene.filePage()
                .flatMap(picture ->
                        OpaqueParts.of(picture, scene.boxes().trim())
                                .filter(parts -> parts.share() >= FrontFinding.HidesBackground.MUCH)
                                .map(parts ->
                                        of(
                                                scene,
                                                parts,
                                                picture,
                                                file.orElseThrow(),
                                                publication)));
    }

    private static Hiding of(
            PageScene scene,
            OpaqueParts parts,
            AreaPaint.Picture picture,
            Imported file,
            Publication publication) {
        Optional<FileOffers.White> white = FileOffers.White.of(picture, file, publication);
        return new Hiding(
                scene.page(),
                parts.share(),
                white.map(FileOffers.White::fills).orElse(0),
                FileOffers.pictures(picture),
                white.map(FileOffers.White::edit));
    }
}
