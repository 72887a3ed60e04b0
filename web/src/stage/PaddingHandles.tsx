import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import styled from "styled-components";
import { useStory } from "../api/story";
import { useChanges } from "../api/useChanges";
import type { BehindTextStratum, Edit, Panel, PlacedPage, Publication, Spread } from "../api/types";
import { useTrying } from "../api/trying";
import { theme } from "../theme";
import { PAUSE } from "./holds";
import { padded } from "./padding";
import { useLater } from "./useLater";

type Side = keyof Panel["padding"];

/** The millimetres that an arrow key adds. */
const STEP = 0.5;

/** Where each edge is held: apart from each other where a shading is as low as its line. */
const sides: { side: Side; at: React.CSSProperties; cursor: string; out: [number, number] }[] = [
  { side: "top", at: { left: "88%", top: 0 }, cursor: "ns-resize", out: [0, -1] },
  { side: "right", at: { left: "100%", top: "50%" }, cursor: "ew-resize", out: [1, 0] },
  { side: "bottom", at: { left: "56%", top: "100%" }, cursor: "ns-resize", out: [0, 1] },
  { side: "left", at: { left: 0, top: "50%" }, cursor: "ew-resize", out: [-1, 0] },
];

/** Around what is behind the text, never over its colour. */
const Around = styled.div`
  position: absolute;
  pointer-events: none;
  outline: 1px dashed ${theme.color.text};
  box-shadow: 0 0 0 2px ${theme.color.paper};
`;

const Handle = styled.span`
  position: absolute;
  width: 28px;
  height: 28px;
  margin: -14px 0 0 -14px;
  pointer-events: auto;
  touch-action: none;
  &::after {
    content: "";
    position: absolute;
    inset: 8px;
    background: ${theme.color.paper};
    border: 1.5px solid ${theme.color.text};
  }
  &:focus-visible {
    outline: 3px solid ${theme.color.text};
  }
`;

interface Padded {
  publication: Publication;
  spread: Spread;
  page: string;
  stratum: BehindTextStratum;
  /** Pixels to a millimetre. */
  scale: number;
}

/** The padding of the shading that was pointed at, set by its edges or by keys. */
export function PaddingHandles(given: Padded) {
  const { publication, spread, page, stratum } = given;
  const placed = spread.pages.find((each) => each.page === page);
  const story = useStory(publication, stratum.story);
  const look = publication.looks.find((each) => each.look.id === stratum.look)?.look;
  const own = story.data?.paragraphs.find(({ id }) => id === stratum.paragraph)?.panel;
  const panel = stratum.own ? own : look?.panel;
  if (!placed || !look || !panel || !stratum.where) {
    return null;
  }
  const edit = (made: Panel, was: Panel): Edit =>
    stratum.own
      ? {
          type: "setPanel",
          story: stratum.story,
          paragraphs: [stratum.paragraph],
          panel: made,
        }
      : {
          type: "changeLook",
          look: { ...look, panel: made },
          was: { ...look, panel: was },
        };
  return <Held {...given} placed={placed} panel={panel} size={look.size} edit={edit} />;
}

function Held({
  publication,
  spread,
  stratum,
  scale,
  placed,
  panel: stored,
  size,
  edit,
}: Padded & {
  placed: PlacedPage;
  panel: Panel;
  size: string;
  edit: (made: Panel, was: Panel) => Edit;
}) {
  const { tryOut } = useTrying();
  const later = useLater(PAUSE);
  // what was dragged to last may not be drawn yet when it is let go
  const drag = useRef<{ side: Side; x: number; y: number; from: Panel; to?: Panel }>(undefined);
  const [tried, setTried] = useState<Panel>();
  const [panel, become] = useChanges(
    publication,
    `${stratum.look} ${stratum.own ? stratum.paragraph : ""} padding`,
    stored,
    ({ was, made }) => edit(made, was),
    "Padding changed",
  );
  const shown = tried ?? panel;
  const { where } = stratum;
  if (!where) {
    return null;
  }
  const by = (from: Panel, side: Side, more: number): Panel => ({
    ...from,
    padding: { ...from.padding, [side]: padded(from.padding[side], more, size) },
  });
  const show = (made: Panel) => {
    setTried(made);
    tryOut(edit(made, stored));
  };
  const keep = (made: Panel) => {
    void become(made);
    setTried(undefined);
  };
  return (
    <Around
      role="group"
      aria-label="Padding of the shading"
      style={{
        left: (placed.x + where.x - spread.view.x) * scale,
        top: (where.y - spread.view.y) * scale,
        width: where.width * scale,
        height: where.height * scale,
      }}
    >
      {sides.map(({ side, at, cursor, out }) => (
        <Handle
          key={side}
          role="slider"
          tabIndex={0}
          aria-label={`Padding, ${side}`}
          aria-valuemin={0}
          aria-valuenow={Number.parseFloat(shown.padding[side])}
          aria-valuetext={shown.padding[side]}
          style={{ ...at, cursor }}
          onClick={(event) => event.stopPropagation()}
          onPointerDown={(event: PointerEvent<HTMLElement>) => {
            if (event.button === 0) {
              event.stopPropagation();
              event.currentTarget.setPointerCapture(event.pointerId);
              drag.current = { side, x: event.clientX, y: event.clientY, from: shown };
            }
          }}
          onPointerMove={(event: PointerEvent<HTMLElement>) => {
            const from = drag.current;
            if (from) {
              const more =
                ((event.clientX - from.x) * out[0] + (event.clientY - from.y) * out[1]) / scale;
              from.to = by(from.from, side, more);
              show(from.to);
            }
          }}
          onPointerUp={() => {
            const made = drag.current?.to;
            drag.current = undefined;
            if (made) {
              keep(made);
            }
          }}
          onPointerCancel={() => {
            drag.current = undefined;
            setTried(undefined);
            tryOut(undefined);
          }}
          onKeyDown={(event: KeyboardEvent) => {
            const way = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
            if (way === undefined || event.ctrlKey || event.metaKey || event.altKey) {
              return;
            }
            event.preventDefault();
            event.stopPropagation();
            const made = by(shown, side, way * STEP * (event.shiftKey ? 10 : 1));
            show(made);
            later(() => keep(made));
          }}
        />
      ))}
    </Around>
  );
}
