import { renderHook } from "@testing-library/react";
import { expect, test } from "vitest";
import type { Finding } from "../api/types";
import { useCountedByPage } from "./counted";

const found = (...pages: string[]) => pages.map((pageId) => ({ pageId }) as Finding);

test("counts stay the same as long as no page has more or fewer", () => {
  const { result, rerender } = renderHook((findings) => useCountedByPage(findings), {
    initialProps: found("1", "2", "1"),
  });
  const first = result.current;
  expect([...first]).toEqual([
    ["1", 2],
    ["2", 1],
  ]);
  rerender(found("2", "1", "1"));
  expect(result.current).toBe(first);
  rerender(found("1", "1"));
  expect([...result.current]).toEqual([["1", 2]]);
  rerender(found("3", "3"));
  expect([...result.current]).toEqual([["3", 2]]);
});
