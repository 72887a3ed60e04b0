import type { AnyFrame } from "../api/types";
import type { Box } from "./snapping";

type Hold = AnyFrame["hold"];

interface Size {
  width: number;
  height: number;
}

/** Finer than anything is placed; what binary fractions add to a number is not shown. */
const FINEST = 1e4;

/** The least that is left of a side that gets smaller with the page, in millimetres. */
const LEAST = 25.4 / 72;

type Extent = [at: number, size: number];

const tidy = (value: number) => Math.round(value * FINEST) / FINEST;

function along(way: Hold["across"], [at, size]: Extent, usual: number, page: number): Extent {
  const more = page - usual;
  switch (way) {
    case "NEAR":
      return [at, size];
    case "MIDDLE":
      return [at + more / 2, size];
    case "FAR":
      return [at + more, size];
    case "BOTH":
      return [at, Math.max(LEAST, size + more)];
    case "SHARE":
      return [(at * page) / usual, (size * page) / usual];
  }
}

/** Where a frame of a parent lies on a page of another size than it was placed for. */
export function keptOn(box: Box, hold: Hold, usual: Size, page: Size): Box {
  const [x, width] = along(hold.across, [box.x, box.width], usual.width, page.width);
  const [y, height] = along(hold.down, [box.y, box.height], usual.height, page.height);
  return { x: tidy(x), y: tidy(y), width: tidy(width), height: tidy(height) };
}

/** Where it has to lie on pages of the usual size to lie there on that one: the way back. */
export function keptAsUsual(there: Box, hold: Hold, usual: Size, page: Size): Box {
  return keptOn(there, hold, page, usual);
}
