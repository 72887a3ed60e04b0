import { describe, expect, it } from "vitest";
import { nextPercent, parsePercent } from "./zoom";

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
  it("doubles in two steps and always moves on", () => {
    expect(nextPercent(nextPercent(100, 1), 1)).toBe(200);
    expect(nextPercent(100, -1)).toBe(71);
    for (let percent = 5; percent < 3200; percent = nextPercent(percent, 1)) {
      expect(nextPercent(percent, 1)).toBeGreaterThan(percent);
    }
  });
});
