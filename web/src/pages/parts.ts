import type { PageEntry, Publication } from "../api/types";

/** A named stretch of pages. */
export interface Part {
  name: string;
  first: PageEntry;
  pages: PageEntry[];
}

/** The parts in order; pages before the first of them are in none. */
export function partsOf(publication: Publication): Part[] {
  const parts: Part[] = [];
  for (const page of publication.pages) {
    if (page.part) {
      parts.push({ name: page.part, first: page, pages: [page] });
    } else {
      parts.at(-1)?.pages.push(page);
    }
  }
  return parts;
}
