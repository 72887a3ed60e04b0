import type { Publication, SwatchEntry } from "../api/types";
import { freeName } from "../ui/words";

const usual = { cyan: 60, magenta: 20, yellow: 40, black: 20 };

/** A new swatch in CMYK, as near as can be to another one where there is one to begin from. */
export function newSwatch(id: string, publication: Publication, model?: SwatchEntry) {
  const { cyan, magenta, yellow, black } = model?.ink ?? usual;
  return {
    id,
    name: freeName("New swatch", publication.swatches),
    definition: {
      type: "plain" as const,
      color: { type: "cmyk" as const, cyan, magenta, yellow, black },
    },
  };
}
