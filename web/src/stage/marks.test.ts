import { describe, expect, it } from "vitest";
import type { Finding, Spread } from "../api/types";
import { marksOn } from "./marks";

/** Two pages of A5 with 3 mm of bleed, at 2 pixels to the millimetre. */
const spread = {
  view: { x: -3, y: -3, width: 302, height: 216 },
  pages: [
    { page: "l", side: "LEFT", x: 0, visible: { x: -3, y: -3, width: 151, height: 216 } },
    { page: "r", side: "RIGHT", x: 148, visible: { x: 0, y: -3, width: 151, height: 216 } },
  ],
} as Spread;

function finding(pageId: string, x: number, y: number, width: number, height: number): Finding {
  return {
    pageId,
    kind: "contrast",
    severity: "WRONG",
    ratio: 2.5,
    where: { x, y, width, height },
  } as unknown as Finding;
}

describe("marks of findings", () => {
  it("stand in the outer margin with their words, where there is room", () => {
    const [left, right] = marksOn(
      spread,
      [finding("l", 40, 20, 90, 10), finding("r", 18, 20, 90, 10)],
      2,
    );
    expect(left).toMatchObject({ right: false, dot: false, text: "✕ 2.50" });
    expect(left?.bar).toEqual({ left: 80, top: 46, width: 3, height: 20 });
    expect(right).toMatchObject({ right: true, dot: false });
    expect(right?.bar.left).toBe((148 + 18 + 90 + 3) * 2 + 3);
  });

  it("are dots where there is no room, and never leave the pages", () => {
    const all = marksOn(
      spread,
      [finding("l", -3, -3, 151, 216), finding("r", 0, -3, 151, 216), finding("r", 60, 230, 85, 9)],
      2,
    );
    for (const { bar, dot, below } of all) {
      expect(dot).toBe(true);
      expect(bar.left).toBeGreaterThanOrEqual(0);
      expect(bar.left + bar.width).toBeLessThanOrEqual(604);
      expect(bar.top + below).toBeLessThanOrEqual(216 * 2 + 34);
    }
  });

  it("stand beside all words of their page, not over those before a run within a line", () => {
    const [page] = spread.pages;
    const words = { x: 20, y: 20, width: 110, height: 80 };
    const [mark] = marksOn(
      { ...spread, pages: [{ ...page, words }] } as Spread,
      [finding("l", 100, 40, 20, 5)],
      2,
    );
    expect(mark?.bar.left).toBe((20 + 3) * 2 - 6);
  });

  it("fold to dots where there are many on a page, one below the other at one place", () => {
    const many = Array.from({ length: 7 }, () => finding("l", 60, 20, 60, 10));
    const marks = marksOn(spread, [...many, finding("r", 18, 20, 60, 10)], 2);
    expect(marks.slice(0, 7).every(({ dot }) => dot)).toBe(true);
    expect(marks.slice(0, 7).map(({ below }) => below)).toEqual([0, 12, 24, 36, 48, 60, 72]);
    expect(marks[7]?.dot).toBe(false);
  });
});
