import { describe, expect, it } from "vitest";
import { changedStops, type Stop } from "./stops";

const stop = (position: number): Stop => ({
  position,
  color: { swatch: `s${position}`, tint: 100 },
  opacity: 100,
});

describe("stops of a gradient", () => {
  it("stay where they are when their order does", () => {
    const { stops, places } = changedStops([stop(0), stop(50), stop(100)], 1, { opacity: 40 });
    expect(stops.map(({ opacity }) => opacity)).toEqual([100, 40, 100]);
    expect(places).toEqual([0, 1, 2]);
  });

  it("take their colour along when they pass another, and say where they were", () => {
    const { stops, places } = changedStops([stop(0), stop(50), stop(100)], 0, { position: 70 });
    expect(stops.map(({ color }) => color.swatch)).toEqual(["s50", "s0", "s100"]);
    expect(places).toEqual([1, 0, 2]);
  });

  it("keep their order at the same position", () => {
    expect(changedStops([stop(0), stop(50), stop(50)], 2, { position: 50 }).places).toEqual([
      0, 1, 2,
    ]);
  });
});
