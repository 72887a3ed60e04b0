import { dragged, type Box, type Grip } from "./snapping";

export interface Point {
  x: number;
  y: number;
}

/** A vector rotated clockwise, y down. */
export function rotated({ x, y }: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180;
  return {
    x: x * Math.cos(angle) - y * Math.sin(angle),
    y: x * Math.sin(angle) + y * Math.cos(angle),
  };
}

const middle = ({ x, y, width, height }: Box): Point => ({ x: x + width / 2, y: y + height / 2 });

/** Where a point of a frame is seen that is rotated about its middle. */
export function seen(point: Point, frame: Box, degrees: number): Point {
  const about = middle(frame);
  const { x, y } = rotated({ x: point.x - about.x, y: point.y - about.y }, degrees);
  return { x: about.x + x, y: about.y + y };
}

/** A rectangle around a frame that is rotated about its middle. */
export function around(frame: Box, degrees: number): Box {
  const corners = [
    { x: frame.x, y: frame.y },
    { x: frame.x + frame.width, y: frame.y },
    { x: frame.x, y: frame.y + frame.height },
    { x: frame.x + frame.width, y: frame.y + frame.height },
  ].map((corner) => seen(corner, frame, degrees));
  const x = Math.min(...corners.map((corner) => corner.x));
  const y = Math.min(...corners.map((corner) => corner.y));
  return {
    x,
    y,
    width: Math.max(...corners.map((corner) => corner.x)) - x,
    height: Math.max(...corners.map((corner) => corner.y)) - y,
  };
}

/**
 * A frame that was dragged and stands rotated: moved, what is around it is drawn to lines; sized,
 * the side that is not held stays where it is seen.
 */
export function draggedRotated(
  box: Box,
  degrees: number,
  grip: Grip,
  by: Point,
  lines: { across: number[]; down: number[] },
  near: number,
): Box {
  if (degrees === 0) {
    return dragged(box, grip, by, lines, near);
  }
  if (grip.across === "both" && grip.down === "both") {
    const whole = around(box, degrees);
    const to = dragged(whole, grip, by, lines, near);
    return { ...box, x: tidy(box.x + to.x - whole.x), y: tidy(box.y + to.y - whole.y) };
  }
  const sized = dragged(box, grip, rotated(by, -degrees), { across: [], down: [] }, 0);
  const to = seen(middle(sized), box, degrees);
  return { ...sized, x: tidy(to.x - sized.width / 2), y: tidy(to.y - sized.height / 2) };
}

const tidy = (value: number) => Math.round(value * 100) / 100;

/** Where a pointer rotates a frame to: whole degrees, or every fifteenth. */
export function pointedTo(box: Box, at: Point, steps: boolean): number {
  const about = middle(box);
  const degrees = (Math.atan2(at.x - about.x, about.y - at.y) * 180) / Math.PI;
  const step = steps ? 15 : 1;
  return within180(Math.round(degrees / step) * step);
}

/** The same rotation, above -180 and up to 180. */
export function within180(degrees: number): number {
  const turned = degrees % 360;
  return turned > 180 ? turned - 360 : turned <= -180 ? turned + 360 : turned + 0;
}

/** One that goes round more than once is the same as one that does not. */
export const within360 = (degrees: number) =>
  Math.abs(degrees) > 360 ? within180(degrees) : degrees;
