import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { afterPause } from "./afterPause";

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

/** The page does nothing else for a time, as while a large picture comes in. */
function busy(time: number) {
  vi.setSystemTime(Date.now() + time);
  vi.spyOn(performance, "now").mockImplementation(() => Date.now());
}

test("it comes after the pause, once", () => {
  const act = vi.fn();
  afterPause(600, act);
  vi.advanceTimersByTime(595);
  expect(act).not.toHaveBeenCalled();
  vi.advanceTimersByTime(10_000);
  expect(act).toHaveBeenCalledTimes(1);
});

test("it does not come once it was given up", () => {
  const act = vi.fn();
  const giveUp = afterPause(600, act);
  vi.advanceTimersByTime(300);
  giveUp();
  vi.advanceTimersByTime(10_000);
  expect(act).not.toHaveBeenCalled();
});

test("time in which the page was busy does not count", () => {
  const act = vi.fn();
  busy(0);
  afterPause(600, act);
  busy(580);
  vi.advanceTimersByTime(400);
  expect(act).not.toHaveBeenCalled();
  vi.advanceTimersByTime(400);
  expect(act).toHaveBeenCalledTimes(1);
});

test("however busy it is, it comes at last", () => {
  const act = vi.fn();
  busy(0);
  afterPause(600, act);
  for (let i = 0; i < 30; i++) {
    busy(500);
    vi.advanceTimersByTime(100);
  }
  expect(act).toHaveBeenCalledTimes(1);
});
