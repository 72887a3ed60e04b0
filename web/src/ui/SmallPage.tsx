import { useState } from "react";
import { useStamps } from "../api/queries";
import type { PageEntry, Publication, Viewing } from "../api/types";
import { theme } from "../theme";
import { useNear } from "./useNear";

/** An edge around a page, so that a white one is seen; where it meets its neighbour, there is none. */
export function edges(side: PageEntry["side"] | "NONE"): string {
  const line = (x: number, y: number) => `${x}px ${y}px 0 ${theme.color.edge}`;
  return [
    line(0, -1),
    line(0, 1),
    ...(side === "RIGHT" ? [] : [line(-1, 0)]),
    ...(side === "LEFT" ? [] : [line(1, 0)]),
  ].join(", ");
}

/** Nothing: one see-through pixel. */
const EMPTY = "data:image/gif;base64,R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7";

/**
 * A small picture of a page, read when it comes near; its address changes only when the picture
 * does, so that an edit reads only what it changed.
 */
export function SmallPage({
  publication,
  page,
  viewing,
  width,
  height,
}: {
  publication: Publication;
  page: PageEntry;
  viewing: Viewing;
  width: number;
  height: number;
}) {
  const { element, near } = useNear<HTMLImageElement>();
  const stamps = useStamps(publication, page.number - 1, viewing, near);
  const [shown, setShown] = useState<string>();
  const stamp = stamps.data?.stamps[page.id] ?? shown;
  if (stamp !== undefined && stamp !== shown) {
    setShown(stamp);
  }
  return (
    <img
      ref={element}
      decoding="async"
      alt=""
      width={width}
      height={height}
      draggable={false}
      src={
        stamp === undefined
          ? EMPTY
          : `/api/publications/${publication.id}/pages/${page.id}/small?viewing=${viewing}&stamp=${stamp}`
      }
    />
  );
}
