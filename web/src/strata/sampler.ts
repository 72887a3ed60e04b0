import type {
  BehindTextStratum,
  Color,
  Definition,
  FileTextStratum,
  FillStratum,
  FrontStratum,
  StrokeStratum,
  Publication,
  TextStratum,
} from "../api/types";

/** What a stratum is painted in: a swatch, or a colour that several come to at that point. */
export interface Taken {
  swatch: string;
  tint: number;
  mixed?: Color;
}

export function takenFrom(
  stratum:
    BehindTextStratum | FileTextStratum | FillStratum | FrontStratum | StrokeStratum | TextStratum,
): Taken {
  if (stratum.type === "fileTextStratum") {
    return { swatch: "", tint: 100, mixed: stratum.mixed };
  }
  // a picture has no swatch, and always a colour that is mixed
  const { swatch = "", tint } = stratum;
  return "mixed" in stratum && stratum.mixed
    ? { swatch, tint, mixed: stratum.mixed }
    : { swatch, tint };
}

/** The exact colour of a stratum as a definition: the same values, or all of what it derives from. */
export function definitionOf(taken: Taken, publication: Publication): Definition {
  if (taken.mixed) {
    return { type: "plain", color: taken.mixed };
  }
  const from = publication.swatches.find((each) => each.id === taken.swatch);
  return from?.definition.type === "plain" && taken.tint === 100
    ? from.definition
    : { type: "tint", base: taken.swatch, percent: taken.tint };
}

/** Why a swatch cannot be given what was taken, if it cannot. */
export function refusedFor(
  publication: Publication,
  taken: Taken,
  swatch: string,
): string | undefined {
  if (taken.mixed) {
    return taken.mixed.type === "inks"
      ? "A spot ink is mixed in here; make a mix of it instead"
      : undefined;
  }
  return derivesFrom(publication, taken.swatch, swatch)
    ? "It is this swatch, or derives from it"
    : undefined;
}

/** Whether a swatch is another one or is made from it. */
function derivesFrom(publication: Publication, id: string, other: string): boolean {
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
