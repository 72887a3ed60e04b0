import { act, renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { useHeld, type Change } from "./useHeld";

interface Ink {
  cyan: number;
  magenta: number;
}

/** A server that answers when the test says so. */
function slow() {
  const sent: { change: () => Change<Ink>; answer: (kept: boolean) => void }[] = [];
  const store = (change: () => Change<Ink>, onKept: () => void) =>
    new Promise<boolean>((resolve) => {
      sent.push({
        change,
        answer: (kept) => {
          if (kept) {
            onKept();
          }
          resolve(kept);
        },
      });
    });
  return { sent, store };
}

describe("a held value", () => {
  const start: Ink = { cyan: 0, magenta: 0 };

  it("is what was made of it until the last answer is there", async () => {
    const { sent, store } = slow();
    const { result, rerender } = renderHook(({ id, value }) => useHeld(id, value), {
      initialProps: { id: "a", value: start },
    });
    act(() => void result.current.hold({ ...result.current.value, cyan: 10 }, store));
    act(() => void result.current.hold({ ...result.current.value, magenta: 20 }, store));
    expect(result.current.value).toEqual({ cyan: 10, magenta: 20 });

    expect(sent[0]?.change()).toEqual({ was: start, made: { cyan: 10, magenta: 0 } });
    rerender({ id: "a", value: { cyan: 10, magenta: 0 } });
    await act(async () => {
      sent[0]?.answer(true);
      await Promise.resolve();
    });
    expect(result.current.value).toEqual({ cyan: 10, magenta: 20 });

    expect(sent[1]?.change()).toEqual({
      was: { cyan: 10, magenta: 0 },
      made: { cyan: 10, magenta: 20 },
    });
    rerender({ id: "a", value: { cyan: 10, magenta: 20 } });
    await act(async () => {
      sent[1]?.answer(true);
      await Promise.resolve();
    });
    rerender({ id: "a", value: { cyan: 11, magenta: 20 } });
    expect(result.current.value).toEqual({ cyan: 11, magenta: 20 });
  });

  it("that is refused takes nothing with it that was typed behind it", async () => {
    const { sent, store } = slow();
    const { result } = renderHook(() => useHeld("a", start));
    act(() => void result.current.hold({ ...result.current.value, cyan: 400 }, store));
    act(() => void result.current.hold({ ...result.current.value, magenta: 20 }, store));
    expect(sent[0]?.change().made.cyan).toBe(400);
    await act(async () => {
      sent[0]?.answer(false);
      await Promise.resolve();
    });
    expect(sent[1]?.change()).toEqual({ was: start, made: { cyan: 0, magenta: 20 } });
    await act(async () => {
      sent[1]?.answer(false);
      await Promise.resolve();
    });
    expect(result.current.value).toBe(start);
  });

  it("of something else begins with its own", () => {
    const { store } = slow();
    const { result, rerender } = renderHook(({ id }) => useHeld(id, start), {
      initialProps: { id: "a" },
    });
    act(() => void result.current.hold({ cyan: 10, magenta: 0 }, store));
    rerender({ id: "b" });
    expect(result.current.value).toBe(start);
  });
});
