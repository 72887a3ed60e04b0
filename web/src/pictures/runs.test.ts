import { describe, expect, it } from "vitest";
import type { Asset, PageEntry } from "../api/types";
import { fillsOf, numbersIn, runFrom } from "./runs";

const pdf = {
  id: "d",
  name: "Drawings",
  content: { type: "document", pages: [{}, {}, {}, {}] },
} as unknown as Asset;
const picture = { id: "p", name: "Buoy", content: { type: "pixels" } } as unknown as Asset;

describe("pages of a PDF", () => {
  it("are typed as ranges", () => {
    expect(numbersIn("1-3, 4", 4)).toEqual([1, 2, 3, 4]);
    expect(numbersIn(" 2 – 3 ", 4)).toEqual([2, 3]);
  });

  it.each(["", "0", "3-2", "5", "1-5", "one", "1,,2"])("are not “%s”", (text) => {
    expect(numbersIn(text, 4)).toBeUndefined();
  });

  it("are placed one after the other, between pictures", () => {
    const fills = fillsOf([picture, pdf], new Map([["d", [2, 4]]]));
    expect(fills.map((fill) => ("number" in fill ? fill.number : fill.type))).toEqual([
      "picture",
      2,
      4,
    ]);
  });

  it("go on a run of pages as far as there are any", () => {
    const pages = [1, 2, 3].map((number) => ({ number }) as PageEntry);
    expect(runFrom(pages, 2, 2).map(({ number }) => number)).toEqual([2, 3]);
    expect(runFrom(pages, 3, 2)).toHaveLength(1);
  });
});
