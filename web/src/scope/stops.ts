import type { Fill } from "../api/types";

export type Gradient = Extract<Fill, { type: "gradient" }>;
export type Stop = Gradient["stops"][number];

/**
 * A change of a stop, after which they stand in the order of their positions.
 *
 * @returns the stops, and for each the place that it had before
 */
export function changedStops(
  stops: Stop[],
  index: number,
  part: Partial<Stop>,
): { stops: Stop[]; places: number[] } {
  const changed = stops.map((stop, i) => (i === index ? { ...stop, ...part } : stop));
  const places = changed
    .map((_, i) => i)
    .sort((one, other) => (changed[one]?.position ?? 0) - (changed[other]?.position ?? 0));
  return { stops: places.flatMap((place) => changed[place] ?? []), places };
}
