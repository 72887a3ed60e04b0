import type { KeyboardEvent } from "react";
import { useChanges } from "../api/useChanges";
import type { Edit, PlacedPage, TextBand, TextFrame } from "../api/types";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { inMillimetres } from "../ui/length";
import type { HeldFrame } from "./Held";
import { Corner, Hold, Outline, stepOf } from "./holds";
import { linesOn } from "./lines";
import { dragged, edgesOf, type Box, type Grip } from "./snapping";
import { useDragging } from "./useDragging";

type OnPage = NonNullable<PlacedPage["frames"][number]["band"]>;

/** The edge of a band that is not that of the page. */
const inner: Record<OnPage["along"], Grip> = {
  TOP: { across: "none", down: "end" },
  BOTTOM: { across: "none", down: "start" },
  LEFT: { across: "end", down: "none" },
  RIGHT: { across: "start", down: "none" },
};

/** Along that edge, and its middle. */
function holds({ across, down }: Grip): {
  along: React.CSSProperties;
  handle: React.CSSProperties;
} {
  if (down === "none") {
    const at = across === "end" ? { right: -6 } : { left: -6 };
    return {
      along: { top: 0, bottom: 0, width: 12, ...at },
      handle: { left: across === "end" ? "100%" : 0, top: "50%" },
    };
  }
  const at = down === "end" ? { bottom: -6 } : { top: -6 };
  return {
    along: { left: 0, right: 0, height: 12, ...at },
    handle: { left: "50%", top: down === "end" ? "100%" : 0 },
  };
}

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
  const grip = inner[on.along];
  const isAcross = grip.down === "none";
  const as = (to: Box): TextBand => ({
    ...band,
    depth: `${isAcross ? to.width : to.height} mm`,
  });
  const lines = linesOn(publication, page, frame.frame);
  const { box, take, byKeys } = useDragging({
    lies: deep(on, inMillimetres(band.depth), page.trim),
    scale,
    dragged: (from, held, by, near) => dragged(from, held, by, lines, near),
    show: (to) => tryOut(to && changing(as(to), stored), true),
    keep: (to) => void become(as(to)),
  });
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
    byKeys(dragged(box, grip, step, edgesOf([]), 0));
  };
  const { along, handle } = holds(grip);
  const cursor = isAcross ? "ew-resize" : "ns-resize";
  return (
    <Outline
      role="group"
      tabIndex={0}
      aria-label="Chosen band. Arrow keys move its inner edge, with Shift ten times as far"
      style={place(box)}
      onKeyDown={onKeyDown}
    >
      <Hold $cursor={cursor} style={along} {...take(grip)} />
      <Corner $cursor={cursor} style={handle} {...take(grip)} />
    </Outline>
  );
}
