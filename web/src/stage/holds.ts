import styled from "styled-components";
import type { PlacedPage } from "../api/types";
import { theme } from "../theme";
import type { Point } from "./rotating";

/** A frame as it is held: with text or with a picture. */
export type OnPage = PlacedPage["frames"][number] | PlacedPage["pictures"][number];

/** After so long without a key what was changed by keys stays so, in milliseconds. */
export const PAUSE = 600;

const directions: Record<string, Point> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** How far a key moves what is held, in millimetres: with Shift ten times as far. */
export function stepOf({ key, shiftKey }: Pick<KeyboardEvent, "key" | "shiftKey">) {
  const step = directions[key];
  const far = shiftKey ? 10 : 1;
  return step && { x: far * step.x, y: far * step.y };
}

export const rotation = (degrees: number) => (degrees === 0 ? {} : { rotate: `${degrees}deg` });

export const Outline = styled.div`
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
export const Hold = styled.span<{ $cursor: string }>`
  position: absolute;
  pointer-events: auto;
  touch-action: none;
  cursor: ${({ $cursor }) => $cursor};
`;

export const Corner = styled(Hold)`
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

export const Tag = styled.span`
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
