/** How large the spread is shown: fitted, or as a percentage of its actual size. */
export type Zoom = { kind: "page" } | { kind: "spread" } | { kind: "percent"; percent: number };

/** CSS pixels to the millimetre at actual size: CSS Values 4, 96 px to the inch. */
export const ACTUAL = 96 / 25.4;

const LEAST = 5;
const MOST = 3200;

export const clampPercent = (percent: number) => Math.min(MOST, Math.max(LEAST, percent));

/** Reads "120 %", "120" or "120,5". */
export function parsePercent(text: string): number | undefined {
  const number = Number(text.replace("%", "").replace(",", ".").trim());
  return text.trim() !== "" && Number.isFinite(number) && number > 0
    ? clampPercent(number)
    : undefined;
}

/** The next rung up or down of a ladder whose rungs are a quarter apart in powers of two. */
export function nextPercent(percent: number, direction: 1 | -1): number {
  const rung = Math.log2(percent / 100) * 2;
  const next = direction > 0 ? Math.floor(rung + 1.01) : Math.ceil(rung - 1.01);
  return clampPercent(Math.round(100 * 2 ** (next / 2)));
}
