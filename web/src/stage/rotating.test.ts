import { describe, expect, it } from "vitest";
import { around, draggedRotated, pointedTo, seen, within180, within360 } from "./rotating";
import type { Grip } from "./snapping";

const box = { x: 40, y: 50, width: 60, height: 20 };
const none = { across: [], down: [] };
const whole: Grip = { across: "both", down: "both" };

describe("a frame that is rotated", () => {
  it("stands on end after a quarter", () => {
    const upright = around(box, 90);
    expect(upright.x).toBeCloseTo(60);
    expect(upright.y).toBeCloseTo(30);
    expect(upright.width).toBeCloseTo(20);
    expect(upright.height).toBeCloseTo(60);
  });

  it("is moved as the pointer goes, and drawn to lines by what is around it", () => {
    const moved = draggedRotated(box, 90, whole, { x: 7, y: -3 }, none, 1);
    expect(moved).toEqual({ ...box, x: 47, y: 47 });
    const drawn = draggedRotated(box, 90, whole, { x: 7, y: 0 }, { across: [67.5], down: [] }, 1);
    expect(drawn.x).toBe(47.5);
  });

  it.each([15, 90, -130])(
    "keeps the corner that is not held where it is seen at %i°",
    (degrees) => {
      const sized = draggedRotated(
        box,
        degrees,
        { across: "end", down: "end" },
        { x: 9, y: 4 },
        none,
        1,
      );
      const before = seen({ x: box.x, y: box.y }, box, degrees);
      const after = seen({ x: sized.x, y: sized.y }, sized, degrees);
      expect(after.x).toBeCloseTo(before.x, 1);
      expect(after.y).toBeCloseTo(before.y, 1);
      const held = seen({ x: box.x + box.width, y: box.y + box.height }, box, degrees);
      const now = seen({ x: sized.x + sized.width, y: sized.y + sized.height }, sized, degrees);
      expect(now.x - held.x).toBeCloseTo(9, 1);
      expect(now.y - held.y).toBeCloseTo(4, 1);
    },
  );

  it("points its upper side to the pointer, in steps with a key", () => {
    expect(pointedTo(box, { x: 70, y: 0 }, false)).toBe(0);
    expect(pointedTo(box, { x: 200, y: 60 }, false)).toBe(90);
    expect(pointedTo(box, { x: 70, y: 200 }, false)).toBe(180);
    expect(pointedTo(box, { x: 80, y: 40 }, false)).toBe(27);
    expect(pointedTo(box, { x: 80, y: 40 }, true)).toBe(30);
  });

  it("is the same after a whole turn", () => {
    expect(within180(270)).toBe(-90);
    expect(within180(-180)).toBe(180);
    expect(within360(-270)).toBe(-270);
    expect(within360(725)).toBe(5);
  });
});
