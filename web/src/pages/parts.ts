import type { PageEntry, Publication } from "../api/types";
import { shownLength } from "../ui/length";

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

/** Pages that have something in common. */
export interface Group {
  id: string;
  name: string;
  pages: PageEntry[];
}

function grouped(pages: PageEntry[], by: (page: PageEntry) => [string, string] | undefined) {
  const groups = new Map<string, Group>();
  for (const page of pages) {
    const found = by(page);
    if (found) {
      const [id, name] = found;
      const group = groups.get(id) ?? { id, name, pages: [] };
      group.pages.push(page);
      groups.set(id, group);
    }
  }
  return [...groups.values()];
}

/** The pages of each file, in the order of their first pages. */
export function filesOf({ pages, assets }: Publication): Group[] {
  const names = new Map(assets.map(({ asset }) => [asset.id, asset.name]));
  return grouped(pages, ({ imported }) =>
    imported ? [imported.asset, names.get(imported.asset) ?? ""] : undefined,
  );
}

/** The pages of each size, in the order of their first pages. */
export function sizesOf({ pages, setup }: Publication): Group[] {
  return grouped(pages, ({ size }) => {
    const { width, height } = size ?? setup.trim;
    const name = `${shownLength(width, setup.unit)} × ${shownLength(height, setup.unit)}`;
    return [name, name];
  });
}
