import { expect, test } from "vitest";
import type { PageEntry } from "../api/types";
import { firstBeyond, placesOf, scrolledTo } from "./LeafLayout";

const page = (number: number, spread: number) => ({ id: `${number}`, number, spread }) as PageEntry;
const pages = [page(1, 0), page(2, 1), page(3, 1), page(4, 2)];
const places = placesOf(pages, ({ number }) => number * 10, 16, 14);

test("pages of one spread meet, and others stand apart", () => {
  expect(places.map(({ x, width }) => [x, x + width])).toEqual([
    [16, 26],
    [40, 60],
    [60, 90],
    [104, 144],
  ]);
});

test("the first leaf that is seen is found wherever the strip is scrolled to", () => {
  expect([0, 25, 26, 60, 89, 90, 143, 144].map((x) => firstBeyond(places, x))).toEqual([
    0, 0, 1, 2, 2, 3, 3, 4,
  ]);
  expect(firstBeyond([], 5)).toBe(0);
});

test("the strip moves only as far as a leaf needs to be seen whole", () => {
  const place = { id: "4", x: 104, width: 40 };
  expect(scrolledTo(place, 0, 100, 16)).toBe(60);
  expect(scrolledTo(place, 70, 100, 16)).toBe(70);
  expect(scrolledTo(place, 500, 100, 16)).toBe(88);
  expect(scrolledTo({ id: "1", x: 16, width: 10 }, 500, 100, 16)).toBe(0);
});
