import type { Command, EditorState } from "prosemirror-state";
import {
  charactersOf,
  charactersType,
  colorOf,
  colorType,
  localOf,
  localType,
  lookOf,
  paragraphType,
  settingOf,
  type LocalSetting,
  type LocalType,
} from "./text";
import type { Tinted } from "../api/types";

/** What text looks like, as it was picked up. */
export interface Picked {
  /** Of the paragraph. */
  look: string;
  characters: string | undefined;
  color: Tinted | undefined;
  /** How the paragraph differs from its look. */
  setting?: LocalSetting | undefined;
  /** How the words differ from theirs. */
  local?: LocalType | undefined;
}

/** What of it is given to other text. */
export interface Carried {
  look: boolean;
  characters: boolean;
  color: boolean;
  local: boolean;
}

/** What the text at the caret, or where the chosen text begins, looks like. */
export function pickedFrom(state: EditorState): Picked | undefined {
  const { $from, empty } = state.selection;
  const paragraph = $from.node(1);
  if ($from.depth === 0 || paragraph.type !== paragraphType) {
    return undefined;
  }
  const marks = empty ? $from.marks() : ($from.nodeAfter?.marks ?? $from.marks());
  return {
    look: lookOf(paragraph),
    characters: charactersOf(marks),
    color: colorOf(marks),
    setting: settingOf(paragraph),
    local: localOf(marks),
  };
}

/** Gives the chosen text what was picked up; without any chosen, the paragraph of the caret. */
export const give =
  (picked: Picked, carried: Carried): Command =>
  (state, dispatch) => {
    const { $from, $to, empty } = state.selection;
    if ($from.depth === 0) {
      return false;
    }
    const from = empty ? $from.start(1) : $from.pos;
    const to = empty ? $from.end(1) : $to.pos;
    const change = state.tr;
    if (carried.look || carried.local) {
      state.doc.nodesBetween(from, to, (node, at) => {
        if (node.type === paragraphType) {
          change.setNodeMarkup(at, null, {
            ...node.attrs,
            ...(carried.look ? { look: picked.look } : {}),
            ...(carried.local ? { local: picked.setting ?? null } : {}),
          });
        }
        return false;
      });
    }
    if (carried.local) {
      change.removeMark(from, to, localType);
      if (picked.local) {
        change.addMark(from, to, localType.create({ local: picked.local }));
      }
    }
    if (carried.characters) {
      change.removeMark(from, to, charactersType);
      if (picked.characters !== undefined) {
        change.addMark(from, to, charactersType.create({ look: picked.characters }));
      }
    }
    if (carried.color) {
      change.removeMark(from, to, colorType);
      if (picked.color) {
        change.addMark(from, to, colorType.create(picked.color));
      }
    }
    if (!change.docChanged) {
      return false;
    }
    dispatch?.(change);
    return true;
  };
