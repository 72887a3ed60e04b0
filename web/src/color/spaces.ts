import type { Definition, EverySpace } from "../api/types";

/** A colour that was read, in the space that a definition is in. */
export function inSpaceOf(definition: Definition, read: EverySpace): Definition {
  const ink = { ...read.cmyk, type: "cmyk" } as const;
  if (definition.type === "spotInk") {
    return {
      type: "spotInk",
      equivalent: definition.equivalent.type === "lab" ? { ...read.lab, type: "lab" } : ink,
    };
  }
  const space = definition.type === "plain" ? definition.color.type : "lab";
  switch (space) {
    case "cmyk":
    case "inks":
      return { type: "plain", color: ink };
    case "rgb":
      return { type: "plain", color: { ...read.rgb, type: "rgb" } };
    case "gray":
      return { type: "plain", color: { ...read.gray, type: "gray" } };
    case "lab":
      return { type: "plain", color: { ...read.lab, type: "lab" } };
  }
}
