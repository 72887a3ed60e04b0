import { describe, expect, it } from "vitest";
import { padded } from "./padding";

describe("padded", () => {
  it("keeps the unit that a padding has", () => {
    expect(padded("0.5 em", 3.527778, "10 pt")).toBe("1.5 em");
    expect(padded("2 mm", 0.5, "10 pt")).toBe("2.5 mm");
    expect(padded("6 pt", 25.4 / 72, "10 pt")).toBe("7 pt");
    expect(padded("0.25 in", 25.4, "10 pt")).toBe("1.25 in");
  });

  it("is never less than none", () => {
    expect(padded("0.5 em", -30, "10 pt")).toBe("0 em");
    expect(padded("2 mm", -30, "10 pt")).toBe("0 mm");
  });
});
