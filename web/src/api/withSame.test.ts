import { expect, test } from "vitest";
import type { Finding } from "./types";
import { withSame } from "./withSame";

const finding = (page: number, message: string) =>
  ({ page, pageId: `page ${page}`, message }) as Finding;

const messages = ({ findings }: { findings: Finding[] }) => findings.map(({ message }) => message);

test("pages where nothing differs have what they had, page by page in order", () => {
  const before = {
    findings: [finding(1, "a"), finding(2, "b"), finding(2, "c"), finding(4, "d")],
    same: [],
  };
  const list = { findings: [finding(1, "x"), finding(3, "y")], same: ["page 2"] };
  const whole = withSame(list, before);
  expect(messages(whole)).toEqual(["x", "b", "c", "y"]);
  expect(messages(withSame({ findings: [], same: ["page 2", "page 3"] }, whole))).toEqual([
    "b",
    "c",
    "y",
  ]);
});

test("a list that has all of it is as it came", () => {
  const list = { findings: [finding(2, "b")], same: [] };
  expect(withSame(list, { findings: [finding(1, "a")], same: [] })).toBe(list);
  expect(withSame(list, undefined)).toBe(list);
});
