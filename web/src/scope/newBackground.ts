import type { Background, Fill } from "../api/types";

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
  };
}

/** One in a swatch. */
export function newBackground(id: string, swatch: string): Background {
  return backgroundOf(id, { type: "solid", color: { swatch, tint: 100 } });
}
