import { fillOf } from "../pictures/pictures";
import { firstColor } from "../ui/colors";
import type { Background, Fill, Publication } from "../api/types";

/** A background of the whole page that covers and goes everywhere. */
export function backgroundOf(id: string, fill: Fill): Background {
  return {
    id,
    sides: "BOTH",
    area: { type: "wholePage" },
    fill,
    opacity: 100,
    blend: "NORMAL",
    goesTo: { screen: true, paper: true },
    over: false,
  };
}

/** One in a swatch. */
export function newBackground(id: string, swatch: string): Background {
  return backgroundOf(id, { type: "solid", color: { swatch, tint: 100 } });
}

/** The first colour of a fill; that of a new one where it has none. */
function colorOf(fill: Fill, publication: Publication) {
  switch (fill.type) {
    case "none":
      return firstColor(publication);
    case "solid":
    case "word":
      return fill.color;
    case "gradient":
      return fill.stops[0]?.color ?? firstColor(publication);
    case "picture":
    case "pdfPage":
      return firstColor(publication);
  }
}

/** What a fill becomes as another kind: as near to what it was as can be. */
export function filledAs(kind: string, fill: Fill, publication: Publication): Fill {
  const color = colorOf(fill, publication);
  switch (kind) {
    case "solid":
      return { type: "solid", color };
    case "gradient":
      return {
        type: "gradient",
        kind: "LINEAR",
        angle: 90,
        reversed: false,
        stops: [
          { position: 0, color, opacity: 100 },
          { position: 100, color: { ...color, tint: 40 }, opacity: 100 },
        ],
      };
    case "picture":
    case "pdfPage": {
      const asset = publication.assets.find(
        (entry) => (entry.asset.content.type === "document") === (kind === "pdfPage"),
      );
      return asset ? fillOf(asset.asset) : fill;
    }
    default:
      return { type: "none" };
  }
}
