import type {
  AssetEntry,
  CharacterLookEntry,
  Fill,
  Layer,
  LookEntry,
  Publication,
  SwatchEntry,
} from "../api/types";

/** What of the catalogue fits what is searched for. */
export interface Found {
  swatches: SwatchEntry[];
  parents: Publication["parents"];
  looks: LookEntry[];
  characterLooks: CharacterLookEntry[];
  pictures: AssetEntry[];
  recipes: Publication["recipes"];
  /** Of what uses something that fits: what that is, by the id of what uses it. */
  because: Map<string, string>;
}

function swatchesOf(fill: Fill): string[] {
  switch (fill.type) {
    case "solid":
      return [fill.color.swatch];
    case "gradient":
      return fill.stops.map((stop) => stop.color.swatch);
    default:
      return [];
  }
}

/** The swatches and files that a layer is made of. */
function madeOf(layer: Layer): Set<string> {
  return new Set([
    ...layer.backgrounds.flatMap(({ fill }) => [
      ...swatchesOf(fill),
      ...(fill.type === "picture" || fill.type === "pdfPage" ? [fill.asset] : []),
    ]),
  ]);
}

/**
 * What has every typed word in its name or its values ("C82", "#0f4a38"), and what uses a swatch,
 * a picture or a look that has.
 */
export function searched(publication: Publication, typed: string): Found {
  const words = typed.trim().toLocaleLowerCase().split(/\s+/);
  const fits = (...texts: string[]) => {
    const all = texts.join(" ").toLocaleLowerCase();
    return words.every((word) => all.includes(word));
  };
  const swatches = publication.swatches.filter(({ name, values, screen }) =>
    fits(name, values, screen),
  );
  const pictures = publication.assets.filter(({ asset }) => fits(asset.name));
  const named = publication.looks.filter(({ look }) => fits(look.name, look.family));
  const names = new Map([
    ...swatches.map(({ id, name }) => [id, name] as const),
    ...pictures.map(({ asset }) => [asset.id, asset.name] as const),
    ...named.map(({ look }) => [look.id, look.name] as const),
  ]);
  const because = new Map<string, string>();
  const uses = (id: string, used: Iterable<string>) => {
    const first = [...used].find((each) => names.has(each));
    const name = first === undefined || typed.trim() === "" ? undefined : names.get(first);
    if (name === undefined) {
      return false;
    }
    because.set(id, name);
    return true;
  };
  return {
    swatches,
    pictures,
    looks: publication.looks.filter(
      (entry) => named.includes(entry) || uses(entry.look.id, [entry.look.color.swatch]),
    ),
    characterLooks: publication.characterLooks.filter(
      ({ look: { id, name, color, outline } }) =>
        fits(name) ||
        uses(
          id,
          [color?.swatch, outline?.color.swatch].flatMap((swatch) => swatch ?? []),
        ),
    ),
    parents: publication.parents.filter(
      ({ id, name, layer, looks }) => fits(name) || uses(id, [...madeOf(layer), ...looks]),
    ),
    recipes: publication.recipes.filter(
      ({ recipe }) => fits(recipe.name) || uses(recipe.id, madeOf(recipe.layer)),
    ),
    because,
  };
}
