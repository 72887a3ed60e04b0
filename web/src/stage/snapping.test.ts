import { describe, expect, it } from "vitest";
import { dragged, edgesOf } from "./snapping";

const box = { x: 16, y: 20, width: 100, height: 60 };
const none = { across: [], down: [] };

describe("dragging a frame", () => {
  it("moves all of it, to a hundredth of a millimetre", () => {
    const moved = dragged(box, { across: "both", down: "both" }, { x: 3.3333, y: -2 }, none, 1);
    expect(moved).toEqual({ x: 19.33, y: 18, width: 100, height: 60 });
  });

  it("draws an edge to a line that is near, and to the nearest of two", () => {
    const lines = { across: [20, 116.9], down: [] };
    const moved = dragged(box, { across: "both", down: "both" }, { x: 1, y: 0 }, lines, 1.5);
    expect(moved.x).toBe(16.9);
    const free = dragged(box, { across: "both", down: "both" }, { x: 10, y: 0 }, lines, 1.5);
    expect(free.x).toBe(26);
  });

  it("sizes by an edge, and never turns it over", () => {
    const wider = dragged(box, { across: "end", down: "none" }, { x: 5, y: 50 }, none, 1);
    expect(wider).toEqual({ ...box, width: 105 });
    const turned = dragged(box, { across: "start", down: "end" }, { x: 300, y: -300 }, none, 1);
    expect(turned).toEqual({ x: 114, y: 20, width: 2, height: 2 });
  });

  it("takes the edges of other things as lines", () => {
    expect(edgesOf([box])).toEqual({ across: [16, 116], down: [20, 80] });
  });
});
