import type { Color } from "../api/types";

export type Axis =
  | "LIGHTNESS"
  | "CHROMA"
  | "HUE"
  | "A"
  | "B"
  | "CYAN"
  | "MAGENTA"
  | "YELLOW"
  | "BLACK"
  | "RED"
  | "GREEN"
  | "BLUE";

/** Address of the picture of where a component leads. */
export function stripOf(condition: string, color: Color, axis: Axis): string {
  const query = new URLSearchParams({ color: written(color), axis });
  return `/api/press-conditions/${encodeURIComponent(condition)}/strips?${query}`;
}

/** A colour as the server reads it. */
function written(color: Color): string {
  switch (color.type) {
    case "cmyk":
      return `cmyk(${color.cyan}% ${color.magenta}% ${color.yellow}% ${color.black}%)`;
    case "rgb":
      return `rgb(${color.red} ${color.green} ${color.blue})`;
    case "lab":
      return `lab(${color.lightness} ${color.a} ${color.b})`;
    case "gray":
      return `gray(${color.black}%)`;
    case "inks":
      return "white";
  }
}
