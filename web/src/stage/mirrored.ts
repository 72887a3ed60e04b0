import type { AnyFrame, Owner, PlacedPage } from "../api/types";
import type { Box } from "./snapping";

/** What is on both sides of a parent stands mirrored about the spine on the left. */
export function isMirrored(
  own: Pick<AnyFrame, "sides">,
  owner: Owner,
  page: Pick<PlacedPage, "side">,
): boolean {
  return owner.type === "onParent" && own.sides === "BOTH" && page.side === "LEFT";
}

/** Finer than anything is placed; what binary fractions add to a number is not shown. */
const FINEST = 1e4;

/**
 * Where something lies on the other hand; mirrored once more, it is back.
 *
 * @param width of the page, in millimetres
 */
export function mirrored(box: Box, width: number): Box {
  return { ...box, x: Math.round((width - box.x - box.width) * FINEST) / FINEST };
}
