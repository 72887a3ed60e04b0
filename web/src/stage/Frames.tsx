import { Lock, RotateCw } from "lucide-react";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import styled from "styled-components";
import { usePageDetail } from "../api/queries";
import { useChanges } from "../api/useChanges";
import { useFlow } from "../api/story";
import type { AnyFrame, Edit, PlacedPage, Publication, Spread } from "../api/types";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { inMillimetres } from "../ui/length";
import { around, draggedRotated, pointedTo, seen, within180 } from "./rotating";
import { edgesOf, type Box, type Grip } from "./snapping";
import { isMirrored, mirrored } from "./mirrored";
import { useLater } from "./useLater";

type Frame = PlacedPage["frames"][number];

/** A frame as it is held: with text or with a picture. */
type OnPage = Frame | PlacedPage["pictures"][number];

/** So near a line draws an edge to it, in pixels. */
const NEAR = 6;

/** After so long without a key a frame stays where it was moved to, in milliseconds. */
const PAUSE = 600;

const Outline = styled.div`
  position: absolute;
  pointer-events: none;
  outline: 1px solid ${theme.color.text};
  box-shadow:
    0 0 0 2px ${theme.color.paper},
    0 0 0 3px ${theme.color.text};
  &:focus-visible {
    outline: 3px solid ${theme.color.text};
  }
`;

/** Where the frame is taken hold of: along an edge, or at a corner. */
const Hold = styled.span<{ $cursor: string }>`
  position: absolute;
  pointer-events: auto;
  touch-action: none;
  cursor: ${({ $cursor }) => $cursor};
`;

/** Above the middle of the upper edge: it is dragged round the frame. */
const Turner = styled(Hold)`
  left: 50%;
  top: -40px;
  width: 24px;
  height: 24px;
  margin-left: -12px;
  border-radius: 50%;
  background: ${theme.color.paper};
  border: 1.5px solid ${theme.color.text};
  display: grid;
  place-items: center;
  &:focus-visible {
    outline: 3px solid ${theme.color.text};
  }
`;

const Corner = styled(Hold)`
  width: 24px;
  height: 24px;
  margin: -12px 0 0 -12px;
  &::after {
    content: "";
    position: absolute;
    inset: 7px;
    background: ${theme.color.paper};
    border: 1.5px solid ${theme.color.text};
    border-radius: 50%;
  }
`;

const Tag = styled.span`
  position: absolute;
  padding: 0 5px;
  font-size: ${theme.size.small};
  line-height: 18px;
  white-space: nowrap;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.text};
  pointer-events: none;
`;

const Chain = styled.svg`
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
  overflow: visible;
`;

const Caret = styled.div`
  position: absolute;
  width: 2px;
  pointer-events: none;
  background: ${theme.color.fail};
  box-shadow: 0 0 0 1px ${theme.color.paper};
`;

const CaretFrame = styled.div`
  position: absolute;
  pointer-events: none;
`;

const Target = styled(Button)`
  position: absolute;
  min-width: 0;
  background: rgb(255 255 255 / 75%);
  border: 2px dashed ${theme.color.text};
  border-radius: 0;
`;

interface Shown {
  publication: Publication;
  spread: Spread;
  /** Pixels to a millimetre. */
  scale: number;
  /** The open page. */
  open: string;
}

/** The frames that are looked at: where they lie, how their text runs, and where one writes. */
export function Frames({ publication, spread, scale, open }: Shown) {
  const { frame: chosen, writing, joining, join, scope } = useBench();
  const all = spread.pages.flatMap((page) => page.frames.map((frame) => ({ page, frame })));
  // a frame of a parent is seen on both pages; the one that was pointed at is held
  const one = [...spread.pages]
    .sort((a, b) => Number(b.page === open) - Number(a.page === open))
    .flatMap((page) => [...page.frames, ...page.pictures].map((frame) => ({ page, frame })))
    .find(
      ({ page, frame }) =>
        frame.frame === chosen &&
        (isOwn(page, frame) ||
          (frame.owner.type === "onParent" && frame.owner.id === scope.parent?.id)),
    );
  const story = writing ?? all.find(({ frame }) => frame.frame === one?.frame.frame)?.frame.story;
  const place = (page: PlacedPage, { x, y, width, height }: Box) => ({
    left: (page.x + x - spread.view.x) * scale,
    top: (y - spread.view.y) * scale,
    width: width * scale,
    height: height * scale,
  });
  return (
    <>
      {story !== undefined && (
        <Run
          publication={publication}
          story={story}
          frames={all
            .filter(({ frame }) => frame.story === story)
            .map(({ page, frame }) => ({ frame, at: place(page, frame.where) }))}
        />
      )}
      {one && joining === undefined && (
        <Held
          key={`${one.frame.frame} ${one.page.page}`}
          publication={publication}
          page={one.page}
          frame={one.frame}
          scale={scale}
          place={(box) => place(one.page, box)}
        />
      )}
      {one && "clear" in one.frame && (
        <KeptClear
          parts={one.frame.clear}
          at={({ x, y }) => place(one.page, { x, y, width: 0, height: 0 })}
        />
      )}
      {joining !== undefined &&
        all
          .filter(({ page, frame }) => isOwn(page, frame) && frame.story !== joining.story)
          .map(({ page, frame }) => (
            <Target
              key={frame.frame}
              isDisabled={frame.turn > 0}
              style={{ ...place(page, frame.where), ...rotation(frame.rotation) }}
              onPress={() => join(frame.frame)}
            >
              {frame.turn > 0 ? "Goes on from another" : "Go on here"}
            </Target>
          ))}
      {writing !== undefined && <WritingMark frames={all} story={writing} place={place} />}
    </>
  );
}

const isOwn = (page: PlacedPage, frame: OnPage) =>
  frame.owner.type === "onPage" && frame.owner.id === page.page;

const rotation = (degrees: number) => (degrees === 0 ? {} : { rotate: `${degrees}deg` });

/** The parts of a picture that text keeps off. */
function KeptClear({
  parts,
  at,
}: {
  /** Their corners, x and y in turn. */
  parts: number[][];
  at: (point: { x: number; y: number }) => { left: number; top: number };
}) {
  const outlines = parts.map((corners) =>
    corners
      .flatMap((x, i) => (i % 2 === 0 ? [at({ x, y: corners[i + 1] ?? 0 })] : []))
      .map(({ left, top }) => `${left},${top}`)
      .join(" "),
  );
  return (
    <Chain aria-hidden>
      {outlines.map((points, i) => (
        <g key={i} fill="none">
          <polygon points={points} stroke="#ffffff" strokeWidth="4" />
          <polygon points={points} stroke="#1c1c1c" strokeWidth="1.6" strokeDasharray="3 3" />
        </g>
      ))}
    </Chain>
  );
}

/** Lines from each frame of a story to the next, and where it goes on out of sight. */
function Run({
  publication,
  story,
  frames,
}: {
  publication: Publication;
  story: string;
  frames: { frame: Frame; at: { left: number; top: number; width: number; height: number } }[];
}) {
  const flow = useFlow(publication, story);
  const parts = flow.data?.parts ?? [];
  const inOrder = [...frames].sort((a, b) => a.frame.turn - b.frame.turn);
  if (parts.length < 2) {
    return null;
  }
  return (
    <>
      <Chain aria-hidden>
        {inOrder.map(({ frame, at }, i) => {
          const next = inOrder[i + 1];
          if (next?.frame.turn !== frame.turn + 1) {
            return null;
          }
          const from = seen(
            { x: at.left + at.width, y: at.top + at.height },
            { x: at.left, y: at.top, ...at },
            frame.rotation,
          );
          const to = seen(
            { x: next.at.left, y: next.at.top },
            { x: next.at.left, y: next.at.top, ...next.at },
            next.frame.rotation,
          );
          const path = `M${from.x} ${from.y}L${to.x} ${to.y}`;
          return (
            <g key={frame.frame} fill="none">
              <path d={path} stroke="#ffffff" strokeWidth="5" />
              <path d={path} stroke="#1c1c1c" strokeWidth="1.6" strokeDasharray="7 4" />
            </g>
          );
        })}
      </Chain>
      {inOrder.map(({ frame, at }, i) => {
        const before = parts[frame.turn - 1];
        const after = parts[frame.turn + 1];
        return (
          <span key={frame.frame} aria-hidden>
            {before && inOrder[i - 1]?.frame.turn !== frame.turn - 1 && (
              <Tag style={{ left: at.left, top: at.top - 22 }}>from {before.where}</Tag>
            )}
            {after && inOrder[i + 1]?.frame.turn !== frame.turn + 1 && (
              <Tag
                style={{
                  left: at.left + at.width,
                  top: at.top + at.height + 4,
                  transform: "translateX(-100%)",
                }}
              >
                on to {after.where}
              </Tag>
            )}
          </span>
        );
      })}
    </>
  );
}

/** Where the caret of the text stands on the page. */
function WritingMark({
  frames,
  story,
  place,
}: {
  frames: { page: PlacedPage; frame: Frame }[];
  story: string;
  place: (
    page: PlacedPage,
    box: Box,
  ) => {
    left: number;
    top: number;
    width: number;
    height: number;
  };
}) {
  const { caret } = useBench();
  const on = frames.find(({ frame }) => frame.frame === caret?.frame && frame.story === story);
  if (!caret || !on) {
    return null;
  }
  const { where } = on.frame;
  const frame = place(on.page, where);
  const at = place(on.page, { x: caret.x, y: caret.y, width: 0, height: caret.height });
  const zero = place(on.page, { x: 0, y: 0, width: 0, height: 0 });
  return (
    <CaretFrame aria-hidden style={{ ...frame, ...rotation(on.frame.rotation) }}>
      <Caret style={{ left: at.left - zero.left - 1, top: at.top - zero.top, height: at.height }} />
    </CaretFrame>
  );
}

const grips: { at: [number, number]; grip: Grip; cursor: string }[] = [
  { at: [0, 0], grip: { across: "start", down: "start" }, cursor: "nwse-resize" },
  { at: [1, 0], grip: { across: "end", down: "start" }, cursor: "nesw-resize" },
  { at: [0, 1], grip: { across: "start", down: "end" }, cursor: "nesw-resize" },
  { at: [1, 1], grip: { across: "end", down: "end" }, cursor: "nwse-resize" },
  { at: [0.5, 0], grip: { across: "none", down: "start" }, cursor: "ns-resize" },
  { at: [0.5, 1], grip: { across: "none", down: "end" }, cursor: "ns-resize" },
  { at: [0, 0.5], grip: { across: "start", down: "none" }, cursor: "ew-resize" },
  { at: [1, 0.5], grip: { across: "end", down: "none" }, cursor: "ew-resize" },
];

const whole: Grip = { across: "both", down: "both" };

const edges = [
  { left: -6, right: -6, top: -6, height: 12 },
  { left: -6, right: -6, bottom: -6, height: 12 },
  { top: -6, bottom: -6, left: -6, width: 12 },
  { top: -6, bottom: -6, right: -6, width: 12 },
];

interface HeldFrame {
  publication: Publication;
  page: PlacedPage;
  frame: OnPage;
  scale: number;
  place: (box: Box) => React.CSSProperties;
}

/** A frame that is chosen, as soon as it is known how it is meant. */
function Held(held: HeldFrame) {
  const { publication, page, frame } = held;
  const detail = usePageDetail(publication, page.page);
  const { owner } = frame;
  const parent = publication.parents.find(({ id }) => id === owner.id);
  const layer = owner.type === "onParent" ? parent?.layer : detail.data?.layer;
  const own = layer?.frames.find((each) => each.id === frame.frame);
  if (!own || (owner.type === "onParent" && !liesAsOnParent(own, page, publication))) {
    return null;
  }
  return own.locked ? <Locked {...held} /> : <Holding {...held} own={own} />;
}

/** Whether it is not a band, and does not keep to something on a page of another size. */
function liesAsOnParent(own: AnyFrame, page: PlacedPage, { setup }: Publication): boolean {
  const isBand = own.type === "textFrame" && own.band !== undefined;
  const isUsual =
    Math.abs(page.trim.width - inMillimetres(setup.trim.width)) < 0.01 &&
    Math.abs(page.trim.height - inMillimetres(setup.trim.height)) < 0.01;
  return !isBand && isUsual;
}

/** It stays as it is, and says so. */
function Locked({ frame, place }: HeldFrame) {
  const { chooseFrame } = useBench();
  return (
    <Outline
      role="group"
      tabIndex={0}
      aria-label="Chosen frame, locked"
      style={{ ...place(frame.where), ...rotation(frame.rotation) }}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          event.stopPropagation();
          chooseFrame(undefined);
        }
      }}
    >
      <Tag style={{ left: 0, top: -26 }}>
        <Lock size={12} aria-hidden /> locked
      </Tag>
    </Outline>
  );
}

/** The edit that rotates a frame. */
function rotationOf(own: AnyFrame, made: number, was: number): Edit {
  return own.type === "textFrame"
    ? {
        type: "arrangeFrame",
        frame: own.id,
        setting: { ...own.setting, rotation: made },
        was: { ...own.setting, rotation: was },
      }
    : {
        type: "changePicture",
        picture: { ...own, rotation: made },
        was: { ...own, rotation: was },
      };
}

/** It moves by its edge, is sized and rotated by its handles, and all of it by keys. */
function Holding({ publication, page, frame, scale, place, own }: HeldFrame & { own: AnyFrame }) {
  const { chooseFrame } = useBench();
  const { tryOut } = useTrying();
  const [moved, setMoved] = useState<Box>();
  const [rotating, setRotating] = useState<number>();
  const drag = useRef<{ x: number; y: number; grip: Grip; from: Box }>(undefined);
  const body = useRef<HTMLDivElement>(null);
  const later = useLater(PAUSE);
  const was = { sides: own.sides, box: own.box };
  const placing = (made: typeof was, from: typeof was) => ({
    type: "placeFrame" as const,
    frame: frame.frame,
    ...made,
    was: from,
  });
  const [placed, putThere] = useChanges(
    publication,
    frame.frame,
    was,
    (change) => placing(change.made, change.was),
    "Frame placed",
  );
  const turned = own.type === "textFrame" ? own.setting.rotation : own.rotation;
  const [rotated, rotate] = useChanges(
    publication,
    `${frame.frame} rotation`,
    turned,
    (change) => rotationOf(own, change.made, change.was),
    "Frame rotated",
  );
  const onOtherHand = isMirrored(placed, frame.owner, page);
  const onPage = (box: Box) => (onOtherHand ? mirrored(box, page.trim.width) : box);
  const lies = onPage({
    x: inMillimetres(placed.box.x),
    y: inMillimetres(placed.box.y),
    width: inMillimetres(placed.box.width),
    height: inMillimetres(placed.box.height),
  });
  const box = moved ?? lies;
  // a running item leans the same way on both hands
  const isRunning = own.type === "pictureFrame" && own.level !== "CONTENT";
  const leaning = (degrees: number) => (onOtherHand && !isRunning ? -degrees : degrees);
  const degrees = leaning(rotating ?? rotated);
  const at = (to: Box) => {
    const { x, y, width, height } = onPage(to);
    return {
      sides: placed.sides,
      box: { x: `${x} mm`, y: `${y} mm`, width: `${width} mm`, height: `${height} mm` },
    };
  };
  const show = (to: Box) => {
    setMoved(to);
    tryOut(placing(at(to), was), true);
  };
  /** Until the server shows it, it is held as what it was changed to, however slowly that goes. */
  const keep = (to: Box) => {
    void putThere(at(to));
    setMoved(undefined);
  };
  const showRotated = (shown: number) => {
    const to = leaning(shown);
    setRotating(to);
    tryOut(rotationOf(own, to, turned));
  };
  const keepRotated = (to: number) => {
    void rotate(leaning(to));
    setRotating(undefined);
  };
  const others = [...page.frames, ...page.pictures].filter((each) => each.frame !== frame.frame);
  const { facing, margins } = publication.setup;
  const left = facing && page.side === "LEFT" ? margins.outside : margins.inside;
  const right = facing && page.side === "LEFT" ? margins.inside : margins.outside;
  const type: Box = {
    x: inMillimetres(left),
    y: inMillimetres(margins.top),
    width: page.trim.width - inMillimetres(left) - inMillimetres(right),
    height: page.trim.height - inMillimetres(margins.top) - inMillimetres(margins.bottom),
  };
  const lines = edgesOf([
    page.trim,
    page.bleed,
    page.safe,
    type,
    ...others.map((each) => around(each.where, each.rotation)),
  ]);
  const take = (grip: Grip) => (event: PointerEvent<HTMLElement>) => {
    if (event.button === 0) {
      event.stopPropagation();
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { x: event.clientX, y: event.clientY, grip, from: box };
    }
  };
  const holding = {
    onPointerMove: (event: PointerEvent) => {
      const at = drag.current;
      if (at) {
        const by = { x: (event.clientX - at.x) / scale, y: (event.clientY - at.y) / scale };
        const near = event.altKey ? 0 : NEAR / scale;
        show(draggedRotated(at.from, degrees, at.grip, by, lines, near));
      }
    },
    onPointerUp: () => {
      const from = drag.current?.from;
      drag.current = undefined;
      if (moved && from && moved !== from) {
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
  const turning = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button === 0) {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
      }
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const page = body.current?.parentElement?.getBoundingClientRect();
      const at = body.current;
      if (event.currentTarget.hasPointerCapture(event.pointerId) && page && at) {
        const { offsetLeft: x, offsetTop: y, offsetWidth: width, offsetHeight: height } = at;
        const pointer = { x: event.clientX - page.x, y: event.clientY - page.y };
        showRotated(pointedTo({ x, y, width, height }, pointer, event.shiftKey));
      }
    },
    onPointerUp: () => {
      if (rotating !== undefined) {
        keepRotated(leaning(rotating));
      }
    },
    onPointerCancel: () => {
      setRotating(undefined);
      tryOut(undefined);
    },
    onClick: (event: React.MouseEvent) => event.stopPropagation(),
    onKeyDown: (event: KeyboardEvent) => {
      const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
      if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      event.preventDefault();
      event.stopPropagation();
      const to = within180(degrees + by * (event.shiftKey ? 15 : 1));
      showRotated(to);
      later(() => keepRotated(to));
    },
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const far = event.shiftKey ? 10 : 1;
    const by: Record<string, { x: number; y: number }> = {
      ArrowLeft: { x: -far, y: 0 },
      ArrowRight: { x: far, y: 0 },
      ArrowUp: { x: 0, y: -far },
      ArrowDown: { x: 0, y: far },
    };
    const step = by[event.key];
    if (event.key === "Escape") {
      event.stopPropagation();
      chooseFrame(undefined);
    }
    if (!step || event.ctrlKey || event.metaKey) {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
    const grip: Grip = event.altKey ? { across: "end", down: "end" } : whole;
    const to = draggedRotated(box, degrees, grip, step, edgesOf([]), 0);
    show(to);
    later(() => keep(to));
  };
  return (
    <Outline
      role="group"
      tabIndex={0}
      aria-label="Chosen frame. Arrow keys move it, with Alt they size it, with Shift ten times as far"
      ref={body}
      style={{ ...place(box), ...rotation(degrees) }}
      onKeyDown={onKeyDown}
    >
      {edges.map((edge, i) => (
        <Hold key={i} $cursor="move" style={edge} onPointerDown={take(whole)} {...holding} />
      ))}
      {grips.map(({ at, grip, cursor }) => (
        <Corner
          key={at.join()}
          $cursor={cursor}
          style={{ left: `${100 * at[0]}%`, top: `${100 * at[1]}%` }}
          onPointerDown={take(grip)}
          {...holding}
        />
      ))}
      <Turner
        $cursor="grab"
        role="slider"
        tabIndex={0}
        aria-label="Rotation"
        aria-valuemin={-180}
        aria-valuemax={180}
        aria-valuenow={Math.round(degrees)}
        aria-valuetext={`${degrees}°`}
        {...turning}
      >
        <RotateCw size={13} aria-hidden />
      </Turner>
    </Outline>
  );
}
