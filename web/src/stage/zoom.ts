/** How large the spread is shown: fitted, or as a percentage of its actual size. */
export type Zoom = { kind: "page" } | { kind: "spread" } | { kind: "percent"; percent: number };

/** CSS pixels to the millimetre at actual size: CSS Values 4, 96 px to the inch. */
export const ACTUAL = 96 / 25.4;

const LEAST = 5;
const MOST = 3200;

export const clampPercent = (percent: number) => Math.min(MOST, Math.max(LEAST, percent));

/** So fine pictures of a spread are asked for, in pixels per inch. */
const FINENESSES = [36, 54, 72, 108, 144];

/** For a spread in a dialog. */
export const SMALL_PPI = 54;

/** The one that a screen of this fineness shows at a zoom; the finest where none is fine enough. */
export function finenessAt(percent: number, pixelRatio: number): number {
  const shown = (percent / 100) * 96 * pixelRatio;
  return FINENESSES.find((each) => each >= shown - 1) ?? 144;
}

/** Reads "120 %", "120" or "120,5". */
export function parsePercent(text: string): number | undefined {
  const number = Number(text.replace("%", "").replace(",", ".").trim());
  return text.trim() !== "" && Number.isFinite(number) && number > 0
    ? clampPercent(number)
    : undefined;
}

/** Two rungs double the size. */
const RUNGS = [
  5, 9, 12, 18, 25, 35, 50, 71, 100, 141, 200, 283, 400, 566, 800, 1131, 1600, 2263, 3200,
];

/** The next rung up or down from any zoom, rounded as it is shown. */
export function nextPercent(percent: number, direction: 1 | -1): number {
  const shown = Math.round(percent);
  return direction > 0
    ? (RUNGS.find((rung) => rung > shown) ?? MOST)
    : (RUNGS.findLast((rung) => rung < shown) ?? LEAST);
}
