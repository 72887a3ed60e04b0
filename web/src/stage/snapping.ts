/** A rectangle in millimetres from the top left corner of a page's trim. */
export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What of a frame follows the pointer: both edges of an axis, one, or none. */
export interface Grip {
  across: "both" | "start" | "end" | "none";
  down: "both" | "start" | "end" | "none";
}

/** A frame is never smaller than that, in millimetres. */
const LEAST = 2;

function along(
  grip: Grip["across"],
  start: number,
  size: number,
  by: number,
  lines: number[],
  near: number,
): [number, number] {
  if (grip === "none") {
    return [start, size];
  }
  const moving =
    grip === "both" ? [start, start + size] : grip === "start" ? [start] : [start + size];
  let snap = 0;
  let best = near;
  for (const edge of moving) {
    for (const line of lines) {
      const off = line - (edge + by);
      if (Math.abs(off) < best) {
        best = Math.abs(off);
        snap = off;
      }
    }
  }
  const to = by + snap;
  switch (grip) {
    case "both":
      return [start + to, size];
    case "start": {
      const moved = Math.min(start + to, start + size - LEAST);
      return [moved, start + size - moved];
    }
    case "end":
      return [start, Math.max(LEAST, size + to)];
  }
}

/**
 * A frame that was dragged, with what of it moves drawn to lines that are near.
 *
 * @param near from where on a line draws, in millimetres
 */
export function dragged(
  box: Box,
  grip: Grip,
  by: { x: number; y: number },
  lines: { across: number[]; down: number[] },
  near: number,
): Box {
  const [x, width] = along(grip.across, box.x, box.width, by.x, lines.across, near);
  const [y, height] = along(grip.down, box.y, box.height, by.y, lines.down, near);
  return { x: tidy(x), y: tidy(y), width: tidy(width), height: tidy(height) };
}

/** Hundredths of a millimetre are finer than a hand points. */
const tidy = (value: number) => Math.round(value * 100) / 100;

/** The edges of rectangles, as lines to draw to. */
export function edgesOf(boxes: Box[]) {
  return {
    across: boxes.flatMap(({ x, width }) => [x, x + width]),
    down: boxes.flatMap(({ y, height }) => [y, y + height]),
  };
}
