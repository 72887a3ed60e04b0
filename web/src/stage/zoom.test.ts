import { describe, expect, it } from "vitest";
import { finenessAt, nextPercent, parsePercent } from "./zoom";

describe("zoom", () => {
  it("reads percentages with and without the sign, and decimal commas", () => {
    expect(parsePercent("120 %")).toBe(120);
    expect(parsePercent("62,5")).toBe(62.5);
    expect(parsePercent("huge")).toBeUndefined();
    expect(parsePercent("-3")).toBeUndefined();
    expect(parsePercent("")).toBeUndefined();
  });
  it("stays between 5 and 3200 percent", () => {
    expect(parsePercent("99999")).toBe(3200);
    expect(parsePercent("1")).toBe(5);
    expect(nextPercent(3200, 1)).toBe(3200);
  });
  it("asks for pictures as fine as the screen shows them, and no finer", () => {
    expect(finenessAt(69, 1)).toBe(72); // 66 pixels to the inch
    expect(finenessAt(69, 2)).toBe(144);
    expect(finenessAt(75, 1)).toBe(72); // just as many
    expect(finenessAt(100, 1)).toBe(108);
    expect(finenessAt(3200, 1)).toBe(144);
    expect(finenessAt(5, 1)).toBe(36);
  });
  it("doubles in two steps and always moves on", () => {
    expect(nextPercent(nextPercent(100, 1), 1)).toBe(200);
    expect(nextPercent(100, -1)).toBe(71);
    for (let percent = 5; percent < 3200; percent = nextPercent(percent, 1)) {
      expect(nextPercent(percent, 1)).toBeGreaterThan(percent);
    }
  });
});
