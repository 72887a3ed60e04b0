import type { Setup } from "../api/types";

type Unit = Setup["unit"];

const millimetres: Record<string, number> = { mm: 1, pt: 25.4 / 72, in: 25.4 };
const symbols: Record<Unit, string> = { MM: "mm", PT: "pt", IN: "in" };

/** A length with its unit, as the server gives it. */
export function inMillimetres(length: string): number {
  const [number = "0", given = "mm"] = length.split(" ");
  return Number(number) * (millimetres[given] ?? 1);
}

/** A length as the publication's unit shows it: at most three decimals. */
export function shownLength(length: string, unit: Unit): string {
  const [number = "0", given = "mm"] = length.split(" ");
  const wanted = symbols[unit];
  const value =
    given === wanted
      ? Number(number)
      : (Number(number) * (millimetres[given] ?? 1)) / (millimetres[wanted] ?? 1);
  return `${Number(value.toFixed(3))} ${wanted}`;
}

/** What was typed, with the publication's unit where none was. The server reads it. */
export function typedLength(text: string, unit: Unit): string {
  return /[a-z"]\s*$/i.test(text) ? text : `${text} ${symbols[unit]}`;
}

/** A distance in millimetres for reading: one decimal. */
export function mm(value: number): string {
  return String(Number(value.toFixed(1)));
}

/** The length with this much more of its own unit; what is no length stays as it is. */
export function steppedLength(text: string, by: number): string {
  const match = /^\s*([+-]?[\d.,]+)\s*([a-z"]*)\s*$/i.exec(text);
  const number = Number(match?.[1]?.replace(",", "."));
  return match && Number.isFinite(number)
    ? `${Number((number + by).toFixed(3))} ${match[2] ?? ""}`.trim()
    : text;
}
