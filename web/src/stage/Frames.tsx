import styled from "styled-components";
import { useFlow } from "../api/story";
import type { PlacedPage, Publication, Spread } from "../api/types";
import { useBench } from "../bench/BenchState";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Held } from "./Held";
import { rotation, Tag, type OnPage } from "./holds";
import { seen } from "./rotating";
import type { Box } from "./snapping";

type Frame = PlacedPage["frames"][number];

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
