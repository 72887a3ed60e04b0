import { useRef, useState, type MouseEvent, type PointerEvent } from "react";
import { PAUSE } from "./holds";
import type { Point } from "./rotating";
import type { Box, Grip } from "./snapping";
import { useLater } from "./useLater";

/** So near a line draws an edge to it, in pixels. */
const NEAR = 6;

interface Dragged {
  /** Where it lies while it is not moved. */
  lies: Box;
  /** Pixels to a millimetre. */
  scale: number;
  /** Where it comes to; `near` is from where on a line draws it, in millimetres. */
  dragged: (from: Box, grip: Grip, by: Point, near: number) => Box;
  /** Tries it out; nothing where that is over. */
  show: (to: Box | undefined) => void;
  /** Until the server shows it, it is held as what it was changed to, however slowly that goes. */
  keep: (to: Box) => void;
}

/** A box that follows the pointer, or keys, and stays where it is let go. */
export function useDragging({ lies, scale, dragged, show, keep }: Dragged) {
  const [moved, setMoved] = useState<Box>();
  // where it was dragged to last, which may not be drawn yet when it is let go
  const drag = useRef<{ x: number; y: number; grip: Grip; from: Box; to?: Box }>(undefined);
  const later = useLater(PAUSE);
  const move = (to: Box) => {
    setMoved(to);
    show(to);
  };
  const letGo = (to: Box) => {
    keep(to);
    setMoved(undefined);
  };
  const box = moved ?? lies;
  const take = (grip: Grip) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button === 0) {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { x: event.clientX, y: event.clientY, grip, from: box };
      }
    },
    onPointerMove: (event: PointerEvent) => {
      const at = drag.current;
      if (at) {
        const by = { x: (event.clientX - at.x) / scale, y: (event.clientY - at.y) / scale };
        at.to = dragged(at.from, at.grip, by, event.altKey ? 0 : NEAR / scale);
        move(at.to);
      }
    },
    onPointerUp: () => {
      const to = drag.current?.to;
      drag.current = undefined;
      if (to) {
        letGo(to);
      }
    },
    onPointerCancel: () => {
      drag.current = undefined;
      setMoved(undefined);
      show(undefined);
    },
    onClick: (event: MouseEvent) => event.stopPropagation(),
  });
  const byKeys = (to: Box) => {
    move(to);
    later(() => letGo(to));
  };
  return { box, take, byKeys };
}
