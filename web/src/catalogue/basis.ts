/** A look as far as others may be based on it. */
export interface Based {
  id: string;
  name: string;
  basis?: { look: string; own: string[] };
}

const names: Record<string, string> = {
  family: "Font",
  weight: "Weight",
  italic: "Slope",
  size: "Size",
  leading: "Leading",
  before: "Space above",
  alignment: "Alignment",
  color: "Colour",
  overprint: "Overprints",
  tracking: "Tracking",
  outline: "Outline",
  "setting.after": "Space below",
  "setting.first": "Indent first line",
  "setting.left": "Indent left",
  "setting.right": "Indent right",
  "setting.tracking": "Tracking",
  "setting.hyphenated": "Hyphenation",
  "setting.language": "Language",
  "setting.spaces": "Word spaces",
  "setting.keeps": "Kept together",
  "setting.letters.capitals": "Capitals",
  "setting.letters.figures": "Figures",
  "setting.tabs": "Tab stops",
  capitals: "Capitals",
  figures: "Figures",
  list: "List",
};

/** A property of a look by its way, for people. */
export const nameOfProperty = (way: string) => names[way] ?? way;

/** A look, and those that are based on it, however many others stand between. */
export function basedOn(looks: Based[], look: string): Set<string> {
  const found = new Set([look]);
  for (let before = 0; before < found.size;) {
    before = found.size;
    for (const { id, basis } of looks) {
      if (basis && found.has(basis.look)) {
        found.add(id);
      }
    }
  }
  return found;
}
