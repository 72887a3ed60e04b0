import type { Definition, FillStratum, Publication, TextStratum } from "../api/types";

/** What a stratum is painted in. */
export type Taken = Pick<FillStratum | TextStratum, "swatch" | "tint">;

/** The exact colour of a stratum as a definition: the same values, or all of what it derives from. */
export function definitionOf(taken: Taken, publication: Publication): Definition {
  const from = publication.swatches.find((each) => each.id === taken.swatch);
  return from?.definition.type === "plain" && taken.tint === 100
    ? from.definition
    : { type: "tint", base: taken.swatch, percent: taken.tint };
}

/** Whether a swatch is another one or is made from it. */
export function derivesFrom(publication: Publication, id: string, other: string): boolean {
  if (id === other) {
    return true;
  }
  const definition = publication.swatches.find((each) => each.id === id)?.definition;
  switch (definition?.type) {
    case "tint":
    case "lighter":
      return derivesFrom(publication, definition.base, other);
    case "mix":
      return (
        derivesFrom(publication, definition.one, other) ||
        derivesFrom(publication, definition.other, other)
      );
    default:
      return false;
  }
}
