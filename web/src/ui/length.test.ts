import { describe, expect, it } from "vitest";
import { mm, shownLength, steppedLength, typedLength } from "./length";

describe("lengths", () => {
  it("are shown in the publication's unit", () => {
    expect(shownLength("3 mm", "MM")).toBe("3 mm");
    expect(shownLength("1 in", "MM")).toBe("25.4 mm");
    expect(shownLength("12 pt", "IN")).toBe("0.167 in");
    expect(shownLength("25.4 mm", "PT")).toBe("72 pt");
  });
  it("get the publication's unit only where none was typed", () => {
    expect(typedLength("3", "MM")).toBe("3 mm");
    expect(typedLength("0,125 in", "MM")).toBe("0,125 in");
    expect(typedLength('8.5"', "MM")).toBe('8.5"');
  });
  it("go up and down in their own unit", () => {
    expect(steppedLength("20 mm", 1)).toBe("21 mm");
    expect(steppedLength("0,5 in", -1)).toBe("-0.5 in");
    expect(steppedLength("12", 10)).toBe("22");
    expect(steppedLength("deep", 1)).toBe("deep");
  });
  it("are read out with at most one decimal", () => {
    expect(mm(61.04)).toBe("61");
    expect(mm(61.26)).toBe("61.3");
  });
});
