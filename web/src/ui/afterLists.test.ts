import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { afterLists } from "./afterLists";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  document.body.innerHTML = "";
});

test("it waits until the list is closed", () => {
  document.body.innerHTML = "<div data-trigger='Select'></div>";
  const act = vi.fn();
  afterLists(act);
  vi.advanceTimersByTime(1_000);
  expect(act).not.toHaveBeenCalled();
  document.body.innerHTML = "";
  vi.advanceTimersByTime(100);
  expect(act).toHaveBeenCalledTimes(1);
});

test("where a dialog stays open the focus is left there", () => {
  document.body.innerHTML = "<div role='dialog'></div>";
  const act = vi.fn();
  afterLists(act);
  vi.advanceTimersByTime(20_000);
  document.body.innerHTML = "";
  vi.advanceTimersByTime(1_000);
  expect(act).not.toHaveBeenCalled();
});
