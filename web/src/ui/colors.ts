import type { Publication } from "../api/types";
import type { Option } from "./Choice";

export function swatchOptions(publication: Publication): Option[] {
  return publication.swatches.map((swatch) => ({
    id: swatch.id,
    label: swatch.name,
    color: swatch.screen,
  }));
}
