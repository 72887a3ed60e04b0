import type { Publication } from "../api/types";
import type { Option } from "./Choice";

/** The swatches that anything can have; a legible colour is for text only. */
export function swatchOptions(publication: Publication, forText = false): Option[] {
  return publication.swatches
    .filter((swatch) => forText || swatch.definition.type !== "legible")
    .map((swatch) => ({
      id: swatch.id,
      label: swatch.name,
      color: swatch.screen,
    }));
}

/** The swatch that something new is given, at full tint. */
export function firstColor(publication: Publication) {
  return { swatch: swatchOptions(publication)[0]?.id ?? "", tint: 100 };
}
