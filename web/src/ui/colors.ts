import type { Color, Publication } from "../api/types";
import type { Option } from "./Choice";

/** A colour's values in the space it was defined in. */
export function values(color: Color): string {
  switch (color.type) {
    case "cmyk":
      return `C ${color.cyan}  M ${color.magenta}  Y ${color.yellow}  K ${color.black}`;
    case "rgb":
      return `R ${color.red}  G ${color.green}  B ${color.blue}`;
  }
}

export function swatchOptions(publication: Publication): Option[] {
  return publication.swatches.map((swatch) => ({
    id: swatch.id,
    label: swatch.name,
    color: swatch.screen,
  }));
}
