import { describe, expect, it } from "vitest";
import { counted, duration, numbersInWords, ratio } from "./words";

describe("page numbers in words", () => {
  it("joins runs of three and more", () => {
    expect(numbersInWords([5])).toBe("page 5");
    expect(numbersInWords([2, 1])).toBe("pages 1, 2");
    expect(numbersInWords([3, 4, 5, 6, 7, 12])).toBe("pages 3 to 7, 12");
    expect(numbersInWords([1, 3, 4, 5])).toBe("pages 1, 3 to 5");
  });
});

describe("durations", () => {
  it("are told as people say them", () => {
    expect(duration(0)).toBe("1 second");
    expect(duration(89)).toBe("89 seconds");
    expect(duration(90)).toBe("2 minutes");
    expect(duration(3599)).toBe("1 h 0 min");
    expect(duration(7800)).toBe("2 h 10 min");
  });
});

describe("counts and ratios", () => {
  it("uses the singular for one only", () => {
    expect(counted(1, "page", "pages")).toBe("1 page");
    expect(counted(0, "page", "pages")).toBe("0 pages");
  });
  it("always shows two decimals", () => {
    expect(ratio(3)).toBe("3.00 : 1");
    expect(ratio(2.99)).toBe("2.99 : 1");
  });
});
