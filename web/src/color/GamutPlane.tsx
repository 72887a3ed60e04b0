import { useRef, useState, type PointerEvent } from "react";
import styled from "styled-components";
import { theme } from "../theme";

/** The chroma at the right edge, as the server draws it. */
const mostChroma = 110;

const Box = styled.div`
  position: relative;
  touch-action: none;
  cursor: crosshair;
  border: 1px solid ${theme.color.edge};
  line-height: 0;
  forced-color-adjust: none;
  & img {
    width: 100%;
    aspect-ratio: 220 / 150;
    pointer-events: none;
  }
`;

const Mark = styled.span`
  position: absolute;
  width: 12px;
  height: 12px;
  margin: -6px 0 0 -6px;
  border: 2px solid ${theme.color.paper};
  outline: 2px solid ${theme.color.text};
  pointer-events: none;
`;

interface Place {
  chroma: number;
  lightness: number;
}

/**
 * Chroma to the right and lightness upwards at one hue; what the press cannot print is grey. It is
 * for the pointer: the sliders below it do the same by keyboard.
 */
export function GamutPlane({
  condition,
  hue,
  place,
  onTry,
  onCommit,
}: {
  condition: string;
  hue: number;
  place: Place;
  onTry: (place: Place | undefined) => void;
  onCommit: (place: Place) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [held, setHeld] = useState<Place>();
  const shown = held ?? place;

  const at = (event: PointerEvent): Place => {
    const area = box.current?.getBoundingClientRect() ?? new DOMRect(0, 0, 1, 1);
    const part = (from: number, size: number) => Math.min(1, Math.max(0, from / size));
    return {
      chroma: Math.round(part(event.clientX - area.left, area.width) * mostChroma),
      lightness: Math.round(100 - part(event.clientY - area.top, area.height) * 100),
    };
  };
  const hold = (event: PointerEvent) => {
    setHeld(at(event));
    onTry(at(event));
  };

  return (
    <Box
      ref={box}
      aria-hidden
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        hold(event);
      }}
      onPointerMove={(event) => held && hold(event)}
      onPointerUp={(event) => {
        if (held) {
          setHeld(undefined);
          onTry(undefined);
          onCommit(at(event));
        }
      }}
      onPointerCancel={() => {
        setHeld(undefined);
        onTry(undefined);
      }}
    >
      <img
        src={`/api/press-conditions/${encodeURIComponent(condition)}/planes?hue=${hue}`}
        alt=""
        draggable={false}
      />
      <Mark
        style={{
          left: `${(Math.min(mostChroma, shown.chroma) / mostChroma) * 100}%`,
          top: `${100 - shown.lightness}%`,
        }}
      />
    </Box>
  );
}
