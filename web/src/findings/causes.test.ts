import { describe, expect, test } from "vitest";
import type { Finding } from "../api/types";
import { byCause, matching } from "./causes";

function finding(page: number, cause: string, ratio?: number): Finding {
  return {
    kind: ratio === undefined ? "loose-line" : "contrast",
    page,
    cause,
    causeInWords: cause,
    text: `Text ${page}`,
    message: "Why",
    origin: "this page",
    severity: "WRONG",
    ...(ratio === undefined ? {} : { ratio, required: 4.5 }),
  } as Finding;
}

describe("causes", () => {
  const all = [finding(1, "a", 3), finding(2, "b", 1.2), finding(3, "a", 2), finding(4, "c")];

  test("stand together, the worst of each first", () => {
    const causes = byCause(all, true);
    expect(causes.map(({ words }) => words)).toEqual(["b", "a", "c"]);
    expect(causes[1]?.findings.map(({ page }) => page)).toEqual([3, 1]);
  });

  test("keep the order of pages if asked to", () => {
    expect(byCause(all, false).map(({ words }) => words)).toEqual(["a", "b", "c"]);
  });

  test("of different checks are apart even for one element", () => {
    expect(byCause([finding(1, "a", 3), finding(1, "a")], true)).toHaveLength(2);
  });

  test("are found by every word of a search", () => {
    expect(matching(all, " text PAGE 3 ").map(({ page }) => page)).toEqual([3]);
    expect(matching(all, "nowhere")).toEqual([]);
    expect(matching(all, "")).toHaveLength(4);
  });
});
