import { RotateCw } from "lucide-react";
import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import styled from "styled-components";
import { useChanges } from "../api/useChanges";
import type { AnyFrame, Edit } from "../api/types";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { theme } from "../theme";
import { inMillimetres } from "../ui/length";
import type { HeldFrame } from "./Held";
import { Corner, Hold, Outline, PAUSE, rotation, stepOf } from "./holds";
import { keptAsUsual, keptOn } from "./keeping";
import { linesOn } from "./lines";
import { isMirrored, mirrored } from "./mirrored";
import { draggedRotated, pointedTo, within180 } from "./rotating";
import { edgesOf, type Box, type Grip } from "./snapping";
import { useDragging } from "./useDragging";
import { useLater } from "./useLater";

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
export function Holding({
  publication,
  page,
  frame,
  scale,
  place,
  own,
}: HeldFrame & { own: AnyFrame }) {
  const { chooseFrame } = useBench();
  const { tryOut } = useTrying();
  const [rotating, setRotating] = useState<number>();
  const body = useRef<HTMLDivElement>(null);
  // by the pointer; may not be drawn yet when it is let go
  const rotatedTo = useRef<number>(undefined);
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
  const { trim } = publication.setup;
  const usual = { width: inMillimetres(trim.width), height: inMillimetres(trim.height) };
  const onPage = (usually: Box) => {
    const held = keptOn(usually, frame.hold, usual, page.trim);
    return onOtherHand ? mirrored(held, page.trim.width) : held;
  };
  const asUsual = (there: Box) =>
    keptAsUsual(
      onOtherHand ? mirrored(there, page.trim.width) : there,
      frame.hold,
      usual,
      page.trim,
    );
  const lies = onPage({
    x: inMillimetres(placed.box.x),
    y: inMillimetres(placed.box.y),
    width: inMillimetres(placed.box.width),
    height: inMillimetres(placed.box.height),
  });
  // a running item leans the same way on both hands
  const isRunning = own.type === "pictureFrame" && own.level !== "CONTENT";
  const leaning = (degrees: number) => (onOtherHand && !isRunning ? -degrees : degrees);
  const degrees = leaning(rotating ?? rotated);
  const at = (to: Box) => {
    const { x, y, width, height } = asUsual(to);
    return {
      sides: placed.sides,
      box: { x: `${x} mm`, y: `${y} mm`, width: `${width} mm`, height: `${height} mm` },
    };
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
  const lines = linesOn(publication, page, frame.frame);
  const { box, take, byKeys } = useDragging({
    lies,
    scale,
    dragged: (from, grip, by, near) => draggedRotated(from, degrees, grip, by, lines, near),
    show: (to) => tryOut(to && placing(at(to), was), true),
    keep: (to) => void putThere(at(to)),
  });
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
        rotatedTo.current = pointedTo({ x, y, width, height }, pointer, event.shiftKey);
        showRotated(rotatedTo.current);
      }
    },
    onPointerUp: () => {
      if (rotatedTo.current !== undefined) {
        keepRotated(rotatedTo.current);
        rotatedTo.current = undefined;
      }
    },
    onPointerCancel: () => {
      rotatedTo.current = undefined;
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
    const step = stepOf(event);
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
    byKeys(draggedRotated(box, degrees, grip, step, edgesOf([]), 0));
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
        <Hold key={i} $cursor="move" style={edge} {...take(whole)} />
      ))}
      {grips.map(({ at, grip, cursor }) => (
        <Corner
          key={at.join()}
          $cursor={cursor}
          style={{ left: `${100 * at[0]}%`, top: `${100 * at[1]}%` }}
          {...take(grip)}
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
