import { describe, expect, it } from "vitest";
import type { Publication } from "../api/types";
import { searched } from "./search";

const layer = (swatch: string) => ({
  backgrounds: [{ fill: { type: "solid", color: { swatch } } }],
  frames: [],
});

const publication = {
  swatches: [
    { id: "dusk", name: "Dusk", values: "C82 M64 Y22 K12", screen: "#425684" },
    { id: "sea", name: "Sea", values: "#0f4a38", screen: "#0f4a38" },
  ],
  parents: [
    { id: "night", name: "Night", layer: layer("dusk"), looks: ["body"] },
    { id: "plain", name: "Plain", layer: { backgrounds: [], frames: [] }, looks: [] },
  ],
  characterLooks: [],
  looks: [
    { look: { id: "body", name: "Body", family: "Source Serif 4", color: { swatch: "sea" } } },
  ],
  assets: [{ asset: { id: "buoy", name: "Buoy" } }],
  recipes: [{ recipe: { id: "hours", name: "Dark hours", layer: layer("sea") } }],
} as unknown as Publication;

describe("searching the catalogue", () => {
  it("finds all where nothing is typed", () => {
    const found = searched(publication, " ");
    expect(found.swatches).toHaveLength(2);
    expect(found.parents).toHaveLength(2);
    expect(found.because.size).toBe(0);
  });

  it("finds by values, and what uses what was found", () => {
    const found = searched(publication, "c82 m64");
    expect(found.swatches.map(({ name }) => name)).toEqual(["Dusk"]);
    expect(found.parents.map(({ name }) => name)).toEqual(["Night"]);
    expect(found.because.get("night")).toBe("Dusk");
    expect(found.looks).toHaveLength(0);
  });

  it("finds what is set in a look", () => {
    const found = searched(publication, "source serif");
    expect(found.parents.map(({ name }) => name)).toEqual(["Night"]);
    expect(found.because.get("night")).toBe("Body");
  });

  it("finds by the colour as it is seen", () => {
    const found = searched(publication, "#0F4A38");
    expect(found.swatches.map(({ name }) => name)).toEqual(["Sea"]);
    expect(found.looks.map(({ look }) => look.name)).toEqual(["Body"]);
    expect(found.recipes.map(({ recipe }) => recipe.name)).toEqual(["Dark hours"]);
  });

  it("finds nothing of what is not there", () => {
    const { swatches, parents, looks, pictures, recipes } = searched(publication, "zebra");
    expect([swatches, parents, looks, pictures, recipes].flat()).toEqual([]);
  });
});
