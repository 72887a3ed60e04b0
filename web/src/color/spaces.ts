import type { Color, Definition, EverySpace, SwatchEntry } from "../api/types";

/** A colour that was read, in the space that a definition is in. */
export function inSpaceOf(definition: Definition, read: EverySpace): Definition {
  const ink = { ...read.cmyk, type: "cmyk" } as const;
  if (definition.type === "spotInk") {
    return {
      type: "spotInk",
      equivalent: definition.equivalent.type === "lab" ? { ...read.lab, type: "lab" } : ink,
    };
  }
  const space = definition.type === "plain" ? definition.color.type : "lab";
  switch (space) {
    case "cmyk":
    case "inks":
      return { type: "plain", color: ink };
    case "rgb":
      return { type: "plain", color: { ...read.rgb, type: "rgb" } };
    case "gray":
      return { type: "plain", color: { ...read.gray, type: "gray" } };
    case "lab":
      return { type: "plain", color: { ...read.lab, type: "lab" } };
  }
}

const percent = (value: number) => `${Number(value.toFixed(1))}%`;
const plain = (value: number) => String(Number(value.toFixed(2)) + 0);

/** A colour as six digits. */
export function hex(color: { red: number; green: number; blue: number }): string {
  return `#${[color.red, color.green, color.blue]
    .map((part) => part.toString(16).padStart(2, "0"))
    .join("")}`;
}

/** A colour as it can be written again. */
export function written(color: Color, swatch: SwatchEntry): string {
  switch (color.type) {
    case "rgb":
      return hex(color);
    case "cmyk":
      return `cmyk(${[color.cyan, color.magenta, color.yellow, color.black].map(percent).join(" ")})`;
    case "lab":
      return `lab(${[color.lightness, color.a, color.b].map(plain).join(" ")})`;
    case "gray":
      return `gray(${percent(color.black)})`;
    case "inks":
      return swatch.screen;
  }
}
