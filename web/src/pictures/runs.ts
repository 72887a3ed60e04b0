import type { Asset, Fill, PageEntry } from "../api/types";
import { cover, fillOf } from "./pictures";

/**
 * Page numbers of a PDF as they are typed, such as "3-7, 12".
 *
 * @param most how many pages it has
 * @returns nothing where the text is none, or a page is not there
 */
export function numbersIn(text: string, most: number): number[] | undefined {
  const numbers: number[] = [];
  for (const part of text.split(",")) {
    const range = /^\s*(\d+)\s*(?:[-–]\s*(\d+)\s*)?$/.exec(part);
    const first = Number(range?.[1]);
    const last = Number(range?.[2] ?? range?.[1]);
    if (!range || first < 1 || last < first || last > most) {
      return undefined;
    }
    for (let number = first; number <= last; number++) {
      numbers.push(number);
    }
  }
  return numbers;
}

/** How many pages a file has; a picture is one. */
export function pagesOf(asset: Asset): number {
  return asset.content.type === "document" ? asset.content.pages.length : 1;
}

/** The fills that files give, one after the other, of a PDF one for each of these pages. */
export function fillsOf(assets: Asset[], numbers: Map<string, number[]>): Fill[] {
  return assets.flatMap((asset): Fill[] =>
    asset.content.type === "document"
      ? (numbers.get(asset.id) ?? [1]).map((number) => ({
          type: "pdfPage",
          asset: asset.id,
          number,
          placing: cover,
        }))
      : [fillOf(asset)],
  );
}

/** The pages that so many fills go on, one on each, from a page on; fewer where it ends before. */
export function runFrom(pages: PageEntry[], from: number, count: number): PageEntry[] {
  return pages.slice(from - 1, from - 1 + count);
}
