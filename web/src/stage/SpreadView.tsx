import {
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type MouseEvent,
} from "react";
import styled from "styled-components";
import type { Point } from "../api/queries";
import type {
  BehindTextStratum,
  Finding,
  PlacedPage,
  Publication,
  Spread,
  Viewing,
} from "../api/types";
import { theme } from "../theme";
import { VisuallyHidden } from "../ui/Notice";
import { dropping, useFileDrop } from "../ui/useFileDrop";
import { useOwnTree } from "../ui/useOwnTree";
import { CoarseSpread } from "./CoarseSpread";
import { Frames } from "./Frames";
import { PaddingHandles } from "./PaddingHandles";
import { FindingMarks } from "./FindingMarks";
import { ACTUAL, type Zoom } from "./zoom";

/** How much of the desk is seen around a fitted spread, in pixels. */
const DESK = 8;

const Desk = styled.div`
  position: relative;
  flex: 1;
  min-height: 0;
  min-width: 0;
  overflow: auto;
  display: grid;
  place-content: safe center;
  background: ${theme.color.desk};
  &:focus-visible {
    outline-color: ${theme.color.onDesk};
    outline-offset: -3px;
  }
  @media ${theme.narrow} {
    min-height: 420px;
    max-height: 80vh;
  }
`;

const Sheet = styled.div`
  position: relative;
  margin: ${DESK}px;
  cursor: crosshair;
  forced-color-adjust: none;
  & > .picture,
  & > .picture > div {
    width: 100%;
    height: 100%;
  }
`;

/** An outline that is seen on any colour: a light line beside a dark one. */
const Outline = styled.div`
  position: absolute;
  pointer-events: none;
  outline: 2px solid ${theme.color.text};
  outline-offset: 2px;
  box-shadow:
    0 0 0 2px ${theme.color.paper},
    0 0 0 5px ${theme.color.paper};
`;

/** Comes only where it takes long enough to be noticed. */
const Drawing = styled.span`
  position: absolute;
  top: ${theme.space.one};
  left: 50%;
  transform: translateX(-50%);
  padding: 2px 10px;
  font-size: ${theme.size.small};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.text};
  border-radius: 3px;
  pointer-events: none;
  animation: late 150ms steps(1) backwards;
  @keyframes late {
    from {
      visibility: hidden;
    }
  }
`;

const Cross = styled.svg`
  position: absolute;
  width: 33px;
  height: 33px;
  margin: -16.5px 0 0 -16.5px;
  pointer-events: none;
  overflow: visible;
`;

/** What the desk has, in pixels. */
interface Room {
  width: number;
  height: number;
}

/** Until it is measured. */
const ASSUMED: Room = { width: 600, height: 500 };

/** An item that the walk through the page has come to. */
export interface Focus {
  page: string;
  where: { x: number; y: number; width: number; height: number };
  /** What it is, as it is announced. */
  label: string;
}

/** The spread itself: its picture, the marks of findings, the point and the item looked at. */
export function SpreadView({
  publication,
  spread,
  viewing,
  picture,
  zoom,
  page,
  point,
  focus,
  shading,
  findings,
  language,
  describedBy,
  onPoint,
  onKey,
  drawing,
  onPercent,
  onFiles,
}: {
  publication: Publication;
  spread: Spread;
  viewing: Viewing;
  /** None as long as there is only that of another spread. */
  picture: string | undefined;
  zoom: Zoom;
  /** The open page. */
  page: string;
  point: Point | undefined;
  focus: Focus | undefined;
  /** The shading through the point, whose padding is set by its edges. */
  shading: BehindTextStratum | undefined;
  /** Findings to mark, of the pages of this spread. */
  findings: Finding[];
  language: string;
  describedBy: string;
  onPoint: (point: Point) => void;
  onKey: (event: KeyboardEvent) => void;
  /** Whether what is seen is not what there is: that is being drawn. */
  drawing: boolean;
  /** Told what the zoom comes to, in percent of actual size. */
  onPercent: (percent: number) => void;
  /** Told of files that are dropped on a page; on the desk, on the open one. */
  onFiles: (files: File[], page: string) => void;
}) {
  const desk = useRef<HTMLDivElement>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const textId = useId();
  const [room, setRoom] = useState<Room>();

  useEffect(() => {
    const element = desk.current;
    if (!element) {
      return;
    }
    const observer = new ResizeObserver(([entry]) => {
      if (entry) {
        setRoom({ width: entry.contentRect.width, height: entry.contentRect.height });
      }
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const scale = pixelsPerMillimetre(zoom, room ?? ASSUMED, spread, page);
  useEffect(() => {
    // what is only assumed would have pictures drawn that are never seen
    if (room) {
      onPercent((100 * scale) / ACTUAL);
    }
  }, [onPercent, room, scale]);

  // What is looked at stays in the middle when the zoom changes or it lies out of sight.
  const middle = useMemo(
    () => middleOf(spread, page, zoom, point, focus),
    [spread, page, zoom, point, focus],
  );
  const previous = useRef(scale);
  useLayoutEffect(() => {
    const element = desk.current;
    if (!element) {
      return;
    }
    const left = DESK + (middle.x - spread.view.x) * scale;
    const top = DESK + (middle.y - spread.view.y) * scale;
    const inSight =
      left > element.scrollLeft + 16 &&
      left < element.scrollLeft + element.clientWidth - 16 &&
      top > element.scrollTop + 16 &&
      top < element.scrollTop + element.clientHeight - 16;
    if (previous.current !== scale || !inSight) {
      element.scrollTo(left - element.clientWidth / 2, top - element.clientHeight / 2);
    }
    previous.current = scale;
  }, [middle, scale, spread.view.x, spread.view.y]);

  /** The page and the point of it that lie at a place of the window. */
  const pointAt = (clientX: number, clientY: number): Point | undefined => {
    const rect = sheet.current?.getBoundingClientRect();
    if (!rect) {
      return undefined;
    }
    const x = (clientX - rect.left) / scale + spread.view.x;
    const y = (clientY - rect.top) / scale + spread.view.y;
    const hit = spread.pages.find(
      (each) =>
        x >= each.x + each.visible.x &&
        x <= each.x + each.visible.x + each.visible.width &&
        y >= each.visible.y &&
        y <= each.visible.y + each.visible.height,
    );
    return hit && { page: hit.page, x: x - hit.x, y };
  };
  const onClick = (event: MouseEvent<HTMLDivElement>) => {
    const point = pointAt(event.clientX, event.clientY);
    if (point) {
      onPoint(point);
    }
  };
  const { isOver, dropProps } = useFileDrop<HTMLDivElement>((files, event) =>
    onFiles(files, pointAt(event.clientX, event.clientY)?.page ?? page),
  );

  const place = (on: PlacedPage, where: Focus["where"]) => ({
    left: (on.x + where.x - spread.view.x) * scale,
    top: (where.y - spread.view.y) * scale,
    width: where.width * scale,
    height: where.height * scale,
  });
  const pageOf = (id: string) => spread.pages.find((each) => each.page === id);
  const pointed = point && pageOf(point.page);
  const focused = focus && pageOf(focus.page);
  const numbers = spread.pages.map((each) => each.number).join(" and ");

  return (
    <Desk
      ref={desk}
      role="application"
      aria-roledescription="spread"
      aria-label={`${spread.pages.length === 1 ? "Page" : "Pages"} ${numbers}`}
      aria-describedby={`${describedBy} ${textId}`}
      aria-busy={drawing}
      tabIndex={0}
      onKeyDown={onKey}
      style={isOver ? dropping : undefined}
      {...dropProps}
    >
      <Sheet
        ref={sheet}
        role="presentation"
        onClick={onClick}
        style={{ width: spread.view.width * scale, height: spread.view.height * scale }}
      >
        <div className="picture" aria-hidden>
          {picture === undefined ? (
            <CoarseSpread
              publication={publication}
              spread={spread}
              viewing={viewing}
              scale={scale}
            />
          ) : (
            <Pages picture={picture} />
          )}
        </div>
        <FindingMarks spread={spread} findings={findings} scale={scale} />
        {shading && point && (
          <PaddingHandles
            key={`${shading.paragraph} ${shading.behind}`}
            publication={publication}
            spread={spread}
            page={point.page}
            stratum={shading}
            scale={scale}
          />
        )}
        <Frames publication={publication} spread={spread} scale={scale} open={page} />
        {drawing && <Drawing>Drawing…</Drawing>}
        {focused && <Outline aria-hidden style={place(focused, focus.where)} />}
        {pointed && (
          <Cross
            aria-hidden
            viewBox="-16.5 -16.5 33 33"
            style={{
              left: (pointed.x + point.x - spread.view.x) * scale,
              top: (point.y - spread.view.y) * scale,
            }}
          >
            <path d="M-16 0h11M5 0h11M0-16v11M0 5v11" stroke="#ffffff" strokeWidth="4" />
            <path d="M-16 0h11M5 0h11M0-16v11M0 5v11" stroke="#1c1c1c" strokeWidth="1.6" />
          </Cross>
        )}
      </Sheet>
      <VisuallyHidden id={textId} lang={language}>
        {spread.pages.map((each) => `Text of page ${each.number}: ${each.text}`).join("\n")}
      </VisuallyHidden>
    </Desk>
  );
}

function Pages({ picture }: { picture: string }) {
  return <div ref={useOwnTree<HTMLDivElement>(picture, "100%")} />;
}

function pixelsPerMillimetre(zoom: Zoom, room: Room, spread: Spread, page: string): number {
  if (zoom.kind === "percent") {
    return (zoom.percent / 100) * ACTUAL;
  }
  const open = spread.pages.find((each) => each.page === page) ?? spread.pages[0];
  const box = zoom.kind === "page" && open ? open.visible : spread.view;
  return Math.max(
    0.05,
    Math.min((room.width - 2 * DESK) / box.width, (room.height - 2 * DESK) / box.height),
  );
}

/** The middle of what is looked at, in millimetres within the spread. */
function middleOf(
  spread: Spread,
  page: string,
  zoom: Zoom,
  point: Point | undefined,
  focus: Focus | undefined,
): { x: number; y: number } {
  const at = (id: string) => spread.pages.find((each) => each.page === id)?.x ?? 0;
  if (zoom.kind === "page") {
    const open = spread.pages.find((each) => each.page === page);
    if (open) {
      return {
        x: open.x + open.visible.x + open.visible.width / 2,
        y: open.visible.y + open.visible.height / 2,
      };
    }
  }
  if (zoom.kind === "percent" && point && spread.pages.some((each) => each.page === point.page)) {
    return { x: at(point.page) + point.x, y: point.y };
  }
  if (zoom.kind === "percent" && focus && spread.pages.some((each) => each.page === focus.page)) {
    return {
      x: at(focus.page) + focus.where.x + focus.where.width / 2,
      y: focus.where.y + focus.where.height / 2,
    };
  }
  return {
    x: spread.view.x + spread.view.width / 2,
    y: spread.view.y + spread.view.height / 2,
  };
}
