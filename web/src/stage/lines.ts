import type { PlacedPage, Publication } from "../api/types";
import { inMillimetres } from "../ui/length";
import { around } from "./rotating";
import { edgesOf, type Box } from "./snapping";

/**
 * What edges are drawn to on a page: its trim, bleed, safe area and margins, and other frames.
 *
 * @param held the frame that moves
 */
export function linesOn({ setup }: Publication, page: PlacedPage, held: string) {
  const { facing, margins } = setup;
  const left = facing && page.side === "LEFT" ? margins.outside : margins.inside;
  const right = facing && page.side === "LEFT" ? margins.inside : margins.outside;
  const type: Box = {
    x: inMillimetres(left),
    y: inMillimetres(margins.top),
    width: page.trim.width - inMillimetres(left) - inMillimetres(right),
    height: page.trim.height - inMillimetres(margins.top) - inMillimetres(margins.bottom),
  };
  const others = [...page.frames, ...page.pictures].filter((each) => each.frame !== held);
  return edgesOf([
    page.trim,
    page.bleed,
    page.safe,
    type,
    ...others.map((each) => around(each.where, each.rotation)),
  ]);
}
