import { describe, expect, it } from "vitest";
import { keptAsUsual, keptOn } from "./keeping";

const usual = { width: 148, height: 210 };
const page = { width: 296, height: 200 };
const box = { x: 100, y: 180, width: 30, height: 20 };
const ways = ["NEAR", "MIDDLE", "FAR", "BOTH", "SHARE"] as const;

describe("what a frame of a parent keeps to on a page of another size", () => {
  it.each([
    ["NEAR", { x: 100, width: 30 }],
    ["MIDDLE", { x: 174, width: 30 }],
    ["FAR", { x: 248, width: 30 }],
    ["BOTH", { x: 100, width: 178 }],
    ["SHARE", { x: 200, width: 60 }],
  ] as const)("across, %s", (across, expected) => {
    expect(keptOn(box, { across, down: "NEAR" }, usual, page)).toEqual({ ...box, ...expected });
  });

  it("is not less than a point where the page is far smaller", () => {
    const small = keptOn(box, { across: "NEAR", down: "BOTH" }, usual, { width: 148, height: 50 });
    expect(small.height).toBeCloseTo(25.4 / 72, 4);
  });

  it.each(ways.flatMap((across) => ways.map((down) => ({ across, down }))))(
    "and what lies there comes from where it lies usually: %j",
    (hold) => {
      const back = keptAsUsual(keptOn(box, hold, usual, page), hold, usual, page);
      expect(back.x).toBeCloseTo(box.x, 3);
      expect(back.y).toBeCloseTo(box.y, 3);
      expect(back.width).toBeCloseTo(box.width, 3);
      expect(back.height).toBeCloseTo(box.height, 3);
    },
  );

  it("stays as it is on pages of the usual size", () => {
    expect(keptOn(box, { across: "SHARE", down: "BOTH" }, usual, usual)).toEqual(box);
  });
});
