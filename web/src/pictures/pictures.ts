import { sendFile } from "../api/client";
import type { Asset, Fill, Placing, Publication } from "../api/types";

/** It fills its area, its middle in the middle. */
export const cover: Placing = {
  fit: "COVER",
  percent: 100,
  base: "OWN",
  rotation: 0,
  anchor: { across: "MIDDLE", down: "MIDDLE" },
  across: "0 mm",
  down: "0 mm",
  focus: { x: 50, y: 50 },
};

/** An asset as a fill that covers. */
export function fillOf(asset: Asset): Fill {
  return asset.content.type === "document"
    ? { type: "pdfPage", asset: asset.id, number: 1, placing: cover }
    : { type: "picture", asset: asset.id, placing: cover, runOut: "NONE" };
}

/** What was found in a file, in words. */
export function factsOf(asset: Asset): string {
  const { content } = asset;
  switch (content.type) {
    case "pixels": {
      const colors = content.colors === "GREY" ? "grey" : content.colors;
      const meant = content.profile
        ? `profile ${content.profile}`
        : content.colors === "RGB"
          ? "without a profile, taken as sRGB"
          : content.colors === "CMYK"
            ? "without a profile, taken as inks of the press condition"
            : "printed in black ink";
      return `${content.format}, ${content.width} × ${content.height} px, ${colors}, ${meant}`;
    }
    case "drawing":
      return `SVG, ${mm(content.width)} × ${mm(content.height)} mm, colours taken as sRGB`;
    case "document":
      return `PDF, ${content.pages.length === 1 ? "1 page" : `${content.pages.length} pages`}`;
  }
}

function mm(points: number): string {
  return ((points * 25.4) / 72).toFixed(1);
}

/** Where a small picture of an asset is. */
export function thumbnail(publication: Publication, asset: Asset, width: number, page = 1): string {
  // what changes how it looks is in the address, so that it is read anew then
  const look = `${asset.sha256.slice(0, 12)}-${publication.setup.press.condition}`;
  return `/api/publications/${publication.id}/pictures/${asset.id}/thumbnail?width=${width}&page=${page}&look=${look}`;
}

/** Sends a file; what comes back can be added to the publication or take the place of another. */
export function bring(publication: Publication, file: File): Promise<Asset> {
  return sendFile(
    `/api/publications/${publication.id}/pictures?name=${encodeURIComponent(file.name)}`,
    file,
  );
}

/** The files that can be chosen. */
export const accepted = [".png", ".jpg", ".jpeg", ".tif", ".tiff", ".svg", ".pdf"];
