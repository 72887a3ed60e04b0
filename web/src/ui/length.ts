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

const plain = /^\s*([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(mm|cm|pt|in|")?\s*$/i;

/**
 * A length that was typed as a number, as the server gives it, so that it can be shown at once; with
 * the publication's unit where none was typed. Anything else is for the server to read or refuse.
 */
export function typedLength(text: string, unit: Unit): string {
  const match = plain.exec(text);
  if (!match) {
    return /[a-z"%]\s*$/i.test(text) ? text : `${text} ${symbols[unit]}`;
  }
  const number = Number(match[1]?.replace(",", "."));
  const given = match[2]?.toLowerCase() ?? symbols[unit];
  switch (given) {
    case "cm":
      return `${Number((number * 10).toFixed(6))} mm`;
    case '"':
      return `${number} in`;
    default:
      return `${number} ${given}`;
  }
}

/** Whether more was typed than a number with or without a unit: the server works it out. */
export function isCalculated(text: string): boolean {
  return !plain.test(text);
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

/** Whether it is a number of em, so many times the type size. */
export const isEm = (text: string) => /^\s*[+-]?\d*[.,]?\d+\s*em\s*$/i.test(text);

/** A number of em as the server gives it. */
export const typedEm = (text: string) => `${Number.parseFloat(text.trim().replace(",", "."))} em`;

/** The number of em with a tenth of this much more. */
export function steppedEm(text: string, by: number): string {
  return `${Number((Number.parseFloat(text.replace(",", ".")) + by / 10).toFixed(3))} em`;
}

/** Whether it is a percentage and nothing else. */
export const isPercent = (text: string) => /^\s*\d+(?:[.,]\d+)?\s*%\s*$/.test(text);

/** The percentage with this much more. */
export function steppedPercent(text: string, by: number): string {
  return `${Number((Number.parseFloat(text.replace(",", ".")) + by).toFixed(3))} %`;
}
