import type { Node } from "prosemirror-model";
import type { Command, EditorState } from "prosemirror-state";
import {
  charactersOf,
  colorType,
  localOf,
  localType,
  lookOf,
  paragraphType,
  sameLocal,
  settingOf,
  type LocalSetting,
  type LocalType,
} from "./text";

/** Differences of paragraphs or of words; what is undefined becomes as the look says again. */
export type Changed<T> = { [K in keyof T]?: T[K] | undefined };

/** How chosen text differs from what it wears. */
export interface Local {
  /** What all of the paragraphs have alike; a key in `differing` is not the same in all. */
  setting: LocalSetting;
  type: LocalType;
  differing: string[];
  /** The one look of the paragraphs; nothing where they have several. */
  look: string | undefined;
  /** That of the words; nothing where they have none or several. */
  characters: string | undefined;
  /** Whether all paragraphs differ alike, and all words. */
  alike: { setting: boolean; type: boolean };
  paragraphs: number;
  /** Whether words are chosen. */
  words: boolean;
  any: boolean;
}

/** What several have alike, and in which keys they are not the same. */
function common<T extends object>(all: T[]): { shared: T; differing: string[] } {
  const keys = new Set(all.flatMap((each) => Object.keys(each) as (keyof T & string)[]));
  const [first] = all;
  const differing = [...keys].filter((key) => all.some((each) => each[key] !== first?.[key]));
  const shared = { ...first } as T;
  for (const key of differing) {
    // eslint-disable-next-line @typescript-eslint/no-dynamic-delete
    delete shared[key];
  }
  return { shared, differing };
}

/** The chosen paragraphs, and the stretches of words that share everything. */
function chosen(state: EditorState) {
  const { from, to } = state.selection;
  const paragraphs: { node: Node; at: number }[] = [];
  const words: { node: Node; from: number; to: number }[] = [];
  state.doc.nodesBetween(from, to, (node, at) => {
    if (node.type === paragraphType) {
      paragraphs.push({ node, at });
    } else if (node.isInline && from < to) {
      words.push({ node, from: Math.max(from, at), to: Math.min(to, at + node.nodeSize) });
    }
  });
  return { paragraphs, words };
}

const one = <T>(values: T[]) =>
  values.every((each) => each === values[0]) ? values[0] : undefined;

/** How the chosen text differs; without any chosen, the paragraph of the caret. */
export function localIn(state: EditorState): Local {
  const { paragraphs, words } = chosen(state);
  const settings = paragraphs.map(({ node }) => settingOf(node) ?? {});
  const types = words.map(({ node }) => localOf(node.marks) ?? {});
  const setting = common(settings);
  const type = common(types);
  return {
    setting: setting.shared,
    type: type.shared,
    differing: [
      ...setting.differing.map((key) => `setting.${key}`),
      ...type.differing.map((key) => `type.${key}`),
    ],
    look: one(paragraphs.map(({ node }) => lookOf(node))),
    characters: one(words.map(({ node }) => charactersOf(node.marks))),
    alike: {
      setting: settings.every((each) => sameLocal(each, settings[0])),
      type: types.every((each) => sameLocal(each, types[0])),
    },
    paragraphs: paragraphs.length,
    words: words.length > 0,
    any:
      [...settings, ...types].some((each) => Object.keys(each).length > 0) ||
      words.some(({ node }) => colorType.isInSet(node.marks) !== undefined),
  };
}

/** With some of it changed; nothing where nothing is left. */
function changed<T extends object>(local: T | undefined, by: Changed<T>): T | undefined {
  const kept = Object.entries({ ...local, ...by }).filter(([, value]) => value !== undefined);
  return kept.length > 0 ? (Object.fromEntries(kept) as T) : undefined;
}

/** Lets the chosen paragraphs differ from their looks. */
export const setParagraphs =
  (by: Changed<LocalSetting>): Command =>
  (state, dispatch) => {
    const change = state.tr;
    for (const { node, at } of chosen(state).paragraphs) {
      const local = changed(settingOf(node), by) ?? null;
      change.setNodeMarkup(at, null, { ...node.attrs, local });
    }
    dispatch?.(change);
    return true;
  };

/** Lets the chosen words differ from their looks. */
export const setWords =
  (by: Changed<LocalType>): Command =>
  (state, dispatch) => {
    const change = state.tr;
    for (const { node, from, to } of chosen(state).words) {
      const local = changed(localOf(node.marks), by);
      change.removeMark(from, to, localType);
      if (local) {
        change.addMark(from, to, localType.create({ local }));
      }
    }
    dispatch?.(change);
    return true;
  };

/** Takes from the chosen paragraphs what differs from their looks. */
export const clearParagraphs: Command = (state, dispatch) => {
  const change = state.tr;
  for (const { node, at } of chosen(state).paragraphs) {
    change.setNodeMarkup(at, null, { ...node.attrs, local: null });
  }
  dispatch?.(change);
  return true;
};

/** Takes from the chosen words what differs from their looks. */
export const clearWords: Command = (state, dispatch) => {
  const { from, to } = state.selection;
  dispatch?.(state.tr.removeMark(from, to, localType).removeMark(from, to, colorType));
  return true;
};

/** All of the chosen text is as its looks say; without any chosen, the paragraph of the caret. */
export const clear: Command = (state, dispatch) => {
  const change = state.tr;
  const { empty, from, to } = state.selection;
  for (const { node, at } of chosen(state).paragraphs) {
    change.setNodeMarkup(at, null, { ...node.attrs, local: null });
    if (empty) {
      const [begin, end] = [at + 1, at + 1 + node.content.size];
      change.removeMark(begin, end, localType).removeMark(begin, end, colorType);
    }
  }
  if (!empty) {
    change.removeMark(from, to, localType).removeMark(from, to, colorType);
  }
  dispatch?.(change);
  return true;
};
