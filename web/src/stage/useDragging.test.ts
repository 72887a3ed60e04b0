import { act, renderHook } from "@testing-library/react";
import type { PointerEvent } from "react";
import { expect, test, vi } from "vitest";
import { useDragging } from "./useDragging";

const lies = { x: 10, y: 10, width: 50, height: 20 };
const grip = { across: "none", down: "end" } as const;

const at = (clientX: number, clientY: number) =>
  ({
    button: 0,
    clientX,
    clientY,
    pointerId: 1,
    stopPropagation: () => undefined,
    currentTarget: { setPointerCapture: () => undefined },
  }) as unknown as PointerEvent<HTMLElement>;

function dragging() {
  const keep = vi.fn();
  const { result } = renderHook(() =>
    useDragging({
      lies,
      scale: 2,
      dragged: (from, _, by) => ({ ...from, height: from.height + by.y }),
      show: () => undefined,
      keep,
    }),
  );
  return { keep, handlers: result.current.take(grip) };
}

test("what is let go is where the pointer was last, though nothing was drawn meanwhile", () => {
  const { keep, handlers } = dragging();
  act(() => {
    handlers.onPointerDown(at(0, 0));
    handlers.onPointerMove(at(0, 8));
    handlers.onPointerMove(at(0, 30));
    handlers.onPointerUp();
  });
  expect(keep.mock.calls).toEqual([[{ ...lies, height: 35 }]]);
});

test("a press alone moves nothing", () => {
  const { keep, handlers } = dragging();
  act(() => {
    handlers.onPointerDown(at(5, 5));
    handlers.onPointerUp();
    handlers.onPointerMove(at(9, 9));
  });
  expect(keep).not.toHaveBeenCalled();
});
