import { describe, expect, it } from "vitest";
import type { PageEntry, Publication } from "../api/types";
import { effectOf, scopesOf } from "./scope";

const pages = [1, 2, 3, 4].map(
  (number) => ({ id: `p${number}`, number, parent: number < 3 ? "day" : "night" }) as PageEntry,
);
const publication = {
  pages,
  parents: [
    { id: "night", name: "Night", pages: 2 },
    { id: "day", name: "Day", pages: 2 },
    { id: "spare", name: "Spare", pages: 0 },
  ],
} as Publication;

describe("scopes", () => {
  it("are the pages chosen first, then the page's own parent, then the others", () => {
    const scopes = scopesOf(publication, pages[0] as PageEntry, pages.slice(0, 3));
    expect(scopes.map(({ label }) => label)).toEqual([
      "Pages 1 to 3",
      "Parent Day: 2 pages",
      "Parent Night: 2 pages",
      "Parent Spare: 0 pages",
    ]);
    expect(scopes[0]?.owners).toEqual(["p1", "p2", "p3"].map((id) => ({ type: "onPage", id })));
    expect(scopes.map(effectOf)).toEqual([
      "Changes these 3 pages",
      "Changes 2 pages",
      "Changes 2 pages",
      "It is on no page yet",
    ]);
  });

  it("of one page say so", () => {
    const [scope] = scopesOf(publication, pages[3] as PageEntry, pages.slice(3));
    expect(scope?.label).toBe("Page 4");
    expect(scope && effectOf(scope)).toBe("Changes this page only");
  });
});
