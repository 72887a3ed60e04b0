import type { Owner, PageEntry, Publication } from "../api/types";
import { counted, numbersInWords } from "../ui/words";

/** Something that a background can be put on, in one go. */
export interface Target {
  id: string;
  label: string;
  owners: Owner[];
}

/** The page's own parent first, then the pages chosen, then the other parents. */
export function targetsOf(
  publication: Publication,
  page: PageEntry,
  chosen: PageEntry[],
): Target[] {
  const parents: Target[] = publication.parents.map((parent) => ({
    id: parent.id,
    label: `Parent ${parent.name}: ${counted(parent.pages, "page", "pages")}`,
    owners: [{ type: "onParent", id: parent.id }],
  }));
  const own = parents.filter((target) => target.id === page.parent);
  const others = parents.filter((target) => target.id !== page.parent);
  const pages: Target = {
    id: "pages",
    label: `Only ${numbersInWords(chosen.map((each) => each.number))}`,
    owners: chosen.map((each) => ({ type: "onPage", id: each.id })),
  };
  return [...own, pages, ...others];
}
