import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { useChanges } from "../api/useChanges";
import type { Edit, PlacedPage, TextBand, TextFrame } from "../api/types";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { inMillimetres } from "../ui/length";
import type { HeldFrame } from "./Held";
import { Corner, Hold, NEAR, Outline, PAUSE, stepOf } from "./holds";
import { linesOn } from "./lines";
import { dragged, edgesOf, type Box, type Grip } from "./snapping";
import { useLater } from "./useLater";

type OnPage = NonNullable<PlacedPage["frames"][number]["band"]>;

/** The edge of a band that is not that of the page. */
const inner: Record<
  OnPage["along"],
  { grip: Grip; handle: [number, number]; hold: React.CSSProperties; cursor: string }
> = {
  TOP: {
    grip: { across: "none", down: "end" },
    handle: [0.5, 1],
    hold: { left: 0, right: 0, bottom: -6, height: 12 },
    cursor: "ns-resize",
  },
  BOTTOM: {
    grip: { across: "none", down: "start" },
    handle: [0.5, 0],
    hold: { left: 0, right: 0, top: -6, height: 12 },
    cursor: "ns-resize",
  },
  LEFT: {
    grip: { across: "end", down: "none" },
    handle: [1, 0.5],
    hold: { top: 0, bottom: 0, right: -6, width: 12 },
    cursor: "ew-resize",
  },
  RIGHT: {
    grip: { across: "start", down: "none" },
    handle: [0, 0.5],
    hold: { top: 0, bottom: 0, left: -6, width: 12 },
    cursor: "ew-resize",
  },
};

/** Where it lies when it reaches so far into the page. */
function deep({ along, where }: OnPage, depth: number, page: Box): Box {
  const width = Math.min(depth, page.width);
  const height = Math.min(depth, page.height);
  switch (along) {
    case "TOP":
      return { ...where, height };
    case "BOTTOM":
      return { ...where, y: page.height - height, height };
    case "LEFT":
      return { ...where, width };
    case "RIGHT":
      return { ...where, x: page.width - width, width };
  }
}

/** A band with text: its inner edge is dragged, or moved by keys; the others are the page's. */
export function HeldBand({
  publication,
  page,
  frame,
  scale,
  place,
  own,
  stored,
  on,
}: HeldFrame & { own: TextFrame; stored: TextBand; on: OnPage }) {
  const { chooseFrame } = useBench();
  const { tryOut } = useTrying();
  const [moved, setMoved] = useState<Box>();
  const drag = useRef<{ x: number; y: number; from: Box }>(undefined);
  const later = useLater(PAUSE);
  const changing = (made: TextBand, was: TextBand): Edit => ({
    type: "changeBand",
    frame: own.id,
    band: made,
    was,
  });
  const [band, become] = useChanges(
    publication,
    `${own.id} band`,
    stored,
    ({ was, made }) => changing(made, was),
    "Band changed",
  );
  const { grip, handle, hold, cursor } = inner[on.along];
  const box = moved ?? deep(on, inMillimetres(band.depth), page.trim);
  const isAcross = grip.down === "none";
  const as = (to: Box): TextBand => ({
    ...stored,
    depth: `${isAcross ? to.width : to.height} mm`,
  });
  const show = (to: Box) => {
    setMoved(to);
    tryOut(changing(as(to), stored), true);
  };
  const keep = (to: Box) => {
    void become(as(to));
    setMoved(undefined);
  };
  const lines = linesOn(publication, page, frame.frame);
  const holding = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button === 0) {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { x: event.clientX, y: event.clientY, from: box };
      }
    },
    onPointerMove: (event: PointerEvent) => {
      const at = drag.current;
      if (at) {
        const by = { x: (event.clientX - at.x) / scale, y: (event.clientY - at.y) / scale };
        show(dragged(at.from, grip, by, lines, event.altKey ? 0 : NEAR / scale));
      }
    },
    onPointerUp: () => {
      drag.current = undefined;
      if (moved) {
        keep(moved);
      }
    },
    onPointerCancel: () => {
      drag.current = undefined;
      setMoved(undefined);
      tryOut(undefined);
    },
    onClick: (event: React.MouseEvent) => event.stopPropagation(),
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Escape") {
      event.stopPropagation();
      chooseFrame(undefined);
    }
    const step = stepOf(event);
    if (!step || event.ctrlKey || event.metaKey || (isAcross ? step.x : step.y) === 0) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    const to = dragged(box, grip, step, edgesOf([]), 0);
    show(to);
    later(() => keep(to));
  };
  return (
    <Outline
      role="group"
      tabIndex={0}
      aria-label="Chosen band. Arrow keys move its inner edge, with Shift ten times as far"
      style={place(box)}
      onKeyDown={onKeyDown}
    >
      <Hold $cursor={cursor} style={hold} {...holding} />
      <Corner
        $cursor={cursor}
        style={{ left: `${100 * handle[0]}%`, top: `${100 * handle[1]}%` }}
        {...holding}
      />
    </Outline>
  );
}
