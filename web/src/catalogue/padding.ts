import type { Panel, Setup } from "../api/types";
import { isEm, shownLength, typedEm, typedLength } from "../ui/length";

export type Padding = Panel["padding"];

/** One value for all sides, two for top and bottom and the sides, or four from the top clockwise. */
export function typedPadding(text: string, unit: Setup["unit"]): Padding | undefined {
  const found = text.trim().match(/[+-]?[\d.,]+\s*(?:[a-z]+|")?/gi) ?? [];
  const values = found.map((each) => (isEm(each) ? typedEm(each) : typedLength(each, unit)));
  const [top, right = top, bottom = top, left = right] = values;
  if (top === undefined || right === undefined || bottom === undefined || left === undefined) {
    return undefined;
  }
  return values.length === 3 || values.length > 4 ? undefined : { top, right, bottom, left };
}

/** The shortest way to write it. */
export function writtenPadding({ top, right, bottom, left }: Padding, unit: Setup["unit"]): string {
  const all = [top, right, bottom, left].map((each) =>
    isEm(each) ? each : shownLength(each, unit),
  );
  const [one = "", two = "", three = "", four = ""] = all;
  if (two !== four) {
    return all.join("  ");
  }
  return one !== three ? all.join("  ") : one === two ? one : `${one}  ${two}`;
}
