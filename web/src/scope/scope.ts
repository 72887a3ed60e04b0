import type { Owner, PageEntry, ParentEntry, Publication } from "../api/types";
import { capital, counted, numbersInWords } from "../ui/words";

/** What is being changed: pages, or a parent and with it all pages that have it. */
export interface Scope {
  id: string;
  /** With how many pages it is, where it is no page itself. */
  label: string;
  owners: Owner[];
  /** The pages themselves; none where it is a parent. */
  pages: PageEntry[];
  parent?: ParentEntry;
  /** On how many pages a change is seen. */
  count: number;
}

/** The pages chosen, or the open one. */
export const PAGES = "pages";

/** Where there is no page. */
export const noScope: Scope = { id: PAGES, label: "", owners: [], pages: [], count: 0 };

function pagesScope(chosen: PageEntry[]): Scope {
  return {
    id: PAGES,
    label: capital(numbersInWords(chosen.map((each) => each.number))),
    owners: chosen.map((each) => ({ type: "onPage", id: each.id })),
    pages: chosen,
    count: chosen.length,
  };
}

function parentScope(parent: ParentEntry): Scope {
  return {
    id: parent.id,
    label: `Parent ${parent.name}: ${counted(parent.pages, "page", "pages")}`,
    owners: [{ type: "onParent", id: parent.id }],
    pages: [],
    parent,
    count: parent.pages,
  };
}

/** All there is to choose from: the pages chosen first, then the page's own parent, then others. */
export function scopesOf(publication: Publication, page: PageEntry, chosen: PageEntry[]): Scope[] {
  const parents = publication.parents.map(parentScope);
  return [
    pagesScope(chosen),
    ...parents.filter((each) => each.id === page.parent),
    ...parents.filter((each) => each.id !== page.parent),
  ];
}

/** What a change does, in words. */
export function effectOf({ parent, pages, count }: Scope): string {
  if (!parent) {
    return pages.length === 1 ? "Changes this page only" : `Changes these ${pages.length} pages`;
  }
  return count === 0 ? "It is on no page yet" : `Changes ${counted(count, "page", "pages")}`;
}
