import type { Background } from "../api/types";

/** A background of the whole page in one swatch that covers and goes everywhere. */
export function newBackground(id: string, swatch: string): Background {
  return {
    id,
    sides: "BOTH",
    area: { type: "wholePage" },
    fill: { type: "solid", color: { swatch, tint: 100 } },
    opacity: 100,
    blend: "NORMAL",
    goesTo: { screen: true, paper: true },
  };
}
