import { describe, expect, it } from "vitest";
import { isCalculated, mm, shownLength, steppedLength, typedLength } from "./length";

describe("lengths", () => {
  it("are shown in the publication's unit", () => {
    expect(shownLength("3 mm", "MM")).toBe("3 mm");
    expect(shownLength("1 in", "MM")).toBe("25.4 mm");
    expect(shownLength("12 pt", "IN")).toBe("0.167 in");
    expect(shownLength("25.4 mm", "PT")).toBe("72 pt");
  });
  it("get the publication's unit only where none was typed", () => {
    expect(typedLength("3", "MM")).toBe("3 mm");
    expect(typedLength("0,125 in", "MM")).toBe("0.125 in");
    expect(typedLength("210/3", "MM")).toBe("210/3 mm");
    expect(typedLength("wide", "MM")).toBe("wide");
  });
  it("have the server's form as soon as they are typed", () => {
    expect(typedLength('8.5"', "MM")).toBe("8.5 in");
    expect(typedLength("2.5in", "MM")).toBe("2.5 in");
    expect(typedLength("0,6 CM", "MM")).toBe("6 mm");
    expect(typedLength(" -.5 ", "PT")).toBe("-0.5 pt");
    expect(shownLength(typedLength("2.5in", "MM"), "MM")).toBe("63.5 mm");
  });
  it("are worked out by the server where more was typed than a number", () => {
    expect(["3", "3 mm", "-2.5in", ",5 cm"].filter(isCalculated)).toEqual([]);
    const more = ["210/3", "33 %", "1 + 2 mm", "wide", ""];
    expect(more.filter(isCalculated)).toEqual(more);
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
