import type { EditorState } from "prosemirror-state";
import { charactersOf, colorType, lookOf } from "./text";

/** Stands for what words have no look or colour of their own. */
export const ofLook = "look";

/** What the chosen text has, where all of it has the same. */
export function chosenIn(state: EditorState) {
  const { from, to, empty, $head } = state.selection;
  const looks = new Set<string>();
  const swatches = new Set<string>();
  const characters = new Set<string>();
  state.doc.nodesBetween(from, to, (node) => {
    if (node.isTextblock) {
      looks.add(lookOf(node));
    }
    if (node.isInline) {
      characters.add(charactersOf(node.marks) ?? ofLook);
      const mark = node.marks.find((each) => each.type === colorType);
      swatches.add(mark ? (mark.attrs["swatch"] as string) : ofLook);
    }
  });
  if (empty) {
    const mark = $head.marks().find((each) => each.type === colorType);
    characters.clear();
    characters.add(charactersOf(state.storedMarks ?? $head.marks()) ?? ofLook);
    swatches.clear();
    swatches.add(mark ? (mark.attrs["swatch"] as string) : ofLook);
  }
  const one = (set: Set<string>) => (set.size === 1 ? ([...set][0] ?? "") : "");
  return { look: one(looks), characters: one(characters), swatch: one(swatches), empty };
}

export type Chosen = ReturnType<typeof chosenIn>;
