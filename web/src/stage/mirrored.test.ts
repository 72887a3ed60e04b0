import { expect, test } from "vitest";
import type { Owner } from "../api/types";
import { isMirrored, mirrored } from "./mirrored";

const parent: Owner = { type: "onParent", id: "night" };

test("what is on both sides of a parent stands mirrored on the left", () => {
  expect(isMirrored({ sides: "BOTH" }, parent, { side: "LEFT" })).toBe(true);
  expect(isMirrored({ sides: "BOTH" }, parent, { side: "RIGHT" })).toBe(false);
  expect(isMirrored({ sides: "LEFT" }, parent, { side: "LEFT" })).toBe(false);
  expect(isMirrored({ sides: "BOTH" }, { type: "onPage", id: "cover" }, { side: "LEFT" })).toBe(
    false,
  );
});

test("as far from the spine on one hand as on the other", () => {
  const box = { x: 12, y: 20, width: 60, height: 30 };
  expect(mirrored(box, 148)).toEqual({ x: 76, y: 20, width: 60, height: 30 });
  expect(mirrored(mirrored(box, 148), 148)).toEqual(box);
  // 148 - 10.1 - 112 is 25.900000000000006 in binary
  expect(mirrored({ ...box, x: 10.1, width: 112 }, 148).x).toBe(25.9);
});
