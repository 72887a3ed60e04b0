import { baseKeymap, splitBlockAs } from "prosemirror-commands";
import { keymap } from "prosemirror-keymap";
import type { Attrs, MarkType, Node } from "prosemirror-model";
import { Plugin, PluginKey, type Command, type EditorState } from "prosemirror-state";
import { Decoration, DecorationSet } from "prosemirror-view";
import type { CharacterLook } from "../api/types";
import { inWords } from "./differences";
import {
  charactersOf,
  charactersType,
  colorType,
  fieldType,
  idOf,
  lineEndType,
  localOf,
  lookOf,
  numberOf,
  paragraphType,
  settingOf,
} from "./text";

/** Each paragraph has an id of its own, after it was divided or pasted, too. */
export function uniqueIds(newId: () => string, fallback: () => string): Plugin {
  return new Plugin({
    appendTransaction: (transactions, _, state) => {
      if (!transactions.some((each) => each.docChanged)) {
        return null;
      }
      const seen = new Set<string>();
      const change = state.tr;
      let look = fallback();
      state.doc.forEach((node, at) => {
        const missing = idOf(node) === "" || seen.has(idOf(node));
        if (missing || lookOf(node) === "") {
          change.setNodeMarkup(at, null, {
            id: missing ? newId() : idOf(node),
            look: lookOf(node) || look,
            // what was divided off goes on with the next number
            number: missing ? null : (numberOf(node) ?? null),
            local: settingOf(node) ?? null,
          });
        }
        seen.add(idOf(node));
        look = lookOf(node) || look;
      });
      return change.docChanged ? change : null;
    },
  });
}

/** What a paragraph is called and how it stands out, so that looks are told apart as one writes. */
export interface LookStyle {
  name: string;
  size: number;
  weight: number;
  italic: boolean;
}

/** Shows at each paragraph the name of its look where another one begins. */
export function lookNames(styles: () => Map<string, LookStyle>): Plugin {
  return new Plugin({
    props: {
      decorations: (state) => {
        const all: Decoration[] = [];
        const known = styles();
        let last = "";
        state.doc.forEach((node, at) => {
          const style = known.get(lookOf(node));
          all.push(
            Decoration.node(at, at + node.nodeSize, {
              ...(lookOf(node) === last ? {} : { "data-name": style?.name ?? "" }),
              ...(settingOf(node) ? { class: "differs", title: inWords(settingOf(node)) } : {}),
              style: style
                ? `font-size: ${Math.min(22, Math.max(14, style.size * 1.1))}px; font-weight: ${style.weight >= 600 ? 600 : 400}; font-style: ${style.italic ? "italic" : "normal"}`
                : "",
            }),
          );
          last = lookOf(node);
        });
        return DecorationSet.create(state.doc, all);
      },
    },
  });
}

/** The words that have a look of their own, in what it sets, with its name. */
export function characterStyles(looks: () => CharacterLook[]): Plugin {
  return new Plugin({
    props: {
      decorations: (state) => {
        const all: Decoration[] = [];
        const known = new Map(looks().map((look) => [look.id, look]));
        state.doc.descendants((node, at) => {
          const look = known.get(charactersOf(node.marks) ?? "");
          if (look) {
            const { name, weight, italic } = look;
            all.push(
              Decoration.inline(at, at + node.nodeSize, {
                title: name,
                style: [
                  ...(weight === undefined ? [] : [`font-weight: ${weight}`]),
                  ...(italic === undefined ? [] : [`font-style: ${italic ? "italic" : "normal"}`]),
                  ...(weight === undefined && italic === undefined
                    ? ["border-bottom: 1px dotted"]
                    : []),
                ].join("; "),
              }),
            );
          }
        });
        return DecorationSet.create(state.doc, all);
      },
    },
  });
}

/** The words that differ from their looks, in what they differ in. */
export function localDifferences(): Plugin {
  return new Plugin({
    props: {
      decorations: (state) => {
        const all: Decoration[] = [];
        state.doc.descendants((node, at) => {
          const local = localOf(node.marks);
          if (local) {
            const { weight, italic } = local;
            all.push(
              Decoration.inline(at, at + node.nodeSize, {
                class: "differs",
                title: inWords(local),
                style: [
                  ...(weight === undefined ? [] : [`font-weight: ${weight}`]),
                  ...(italic === undefined ? [] : [`font-style: ${italic ? "italic" : "normal"}`]),
                ].join("; "),
              }),
            );
          }
        });
        return DecorationSet.create(state.doc, all);
      },
    },
  });
}

/** Lines above and below the chosen words, so that nothing covers their colour. */
export function aroundChosen(): Plugin {
  return new Plugin({
    props: {
      decorations: ({ selection, doc }) =>
        selection.empty
          ? DecorationSet.empty
          : DecorationSet.create(doc, [
              Decoration.inline(selection.from, selection.to, { class: "chosen" }),
            ]),
    },
  });
}

/** The words that have a colour of their own, in it. */
export function colors(screen: (swatch: string) => string | undefined): Plugin {
  return new Plugin({
    props: {
      decorations: (state) => {
        const all: Decoration[] = [];
        state.doc.descendants((node, at) => {
          const mark = node.marks.find((each) => each.type === colorType);
          const color = mark && screen(mark.attrs["swatch"] as string);
          if (color) {
            all.push(
              Decoration.inline(at, at + node.nodeSize, {
                style: `text-decoration: underline 3px ${color}; text-underline-offset: 3px`,
              }),
            );
          }
        });
        return DecorationSet.create(state.doc, all);
      },
    },
  });
}

/** A place in a story: a paragraph, and a character of it. */
export interface TextPlace {
  paragraph: string;
  character: number;
}

const endKey = new PluginKey<TextPlace | undefined>("end of room");

/** Where in a document a place is; nothing where that is not there. */
export function positionOf(doc: Node, place: TextPlace): number | undefined {
  let found: number | undefined;
  doc.forEach((node, at) => {
    if (idOf(node) === place.paragraph) {
      found = at + 1 + Math.min(place.character, node.content.size);
    }
  });
  return found;
}

export function placeAt(state: EditorState): TextPlace {
  const { $head } = state.selection;
  if ($head.depth === 0) {
    // all of it is chosen
    const last = state.doc.child(state.doc.childCount - 1);
    return { paragraph: idOf(last), character: last.content.size };
  }
  return { paragraph: idOf($head.node(1)), character: $head.pos - $head.start(1) };
}

/** Draws a rule where the room in the frames ends. */
export function endOfRoom(words: () => string): Plugin<TextPlace | undefined> {
  return new Plugin<TextPlace | undefined>({
    key: endKey,
    state: {
      init: () => undefined,
      apply: (change, last) => {
        const told = change.getMeta(endKey) as { place: TextPlace | undefined } | undefined;
        return told ? told.place : last;
      },
    },
    props: {
      decorations: (state) => {
        const place = endKey.getState(state);
        const at = place && positionOf(state.doc, place);
        return at === undefined
          ? null
          : DecorationSet.create(state.doc, [
              Decoration.widget(
                at,
                () => {
                  const rule = document.createElement("span");
                  rule.className = "endOfRoom";
                  rule.contentEditable = "false";
                  rule.textContent = words();
                  return rule;
                },
                { side: -1, key: words() },
              ),
            ]);
      },
    },
  });
}

/** Where the room ends, as it was told last. */
export const endIn = (state: EditorState) => endKey.getState(state);

export function tellEnd(state: EditorState, place: TextPlace | undefined) {
  return state.tr.setMeta(endKey, { place });
}

/** Begins a paragraph; after one of a look that another follows, in that. */
const divide = (next: (look: string) => string): Command =>
  splitBlockAs((node, atEnd) => {
    const look = atEnd ? next(lookOf(node)) : lookOf(node);
    const local = look === lookOf(node) ? (settingOf(node) ?? null) : null;
    return { type: paragraphType, attrs: { id: "", look, number: null, local } };
  });

const endLine: Command = (state, dispatch) => {
  dispatch?.(state.tr.replaceSelectionWith(lineEndType.create()).scrollIntoView());
  return true;
};

/** Puts in what the text says of its page. */
export const putIn =
  (kind: string): Command =>
  (state, dispatch) => {
    const marks = state.storedMarks ?? state.selection.$from.marks();
    dispatch?.(
      state.tr
        .replaceSelectionWith(fieldType.create({ kind }, null, marks), false)
        .scrollIntoView(),
    );
    return true;
  };

/** Puts in a tab; the key of that name goes on to the next field, as everywhere. */
export const tab: Command = (state, dispatch) => {
  dispatch?.(state.tr.insertText("\t").scrollIntoView());
  return true;
};

/** Shows what stands before the paragraphs of lists, as it is on the page. */
export function listMarks(marks: () => Record<string, string>): Plugin {
  return new Plugin({
    props: {
      decorations: (state) => {
        const all: Decoration[] = [];
        const known = marks();
        state.doc.forEach((node, at) => {
          const mark = known[idOf(node)];
          if (mark) {
            all.push(
              Decoration.widget(
                at + 1,
                () => {
                  const sign = document.createElement("span");
                  sign.className = "listMark";
                  sign.contentEditable = "false";
                  sign.textContent = `${mark}\u2002`;
                  return sign;
                },
                { side: -1, key: mark, ignoreSelection: true },
              ),
            );
          }
        });
        return DecorationSet.create(state.doc, all);
      },
    },
  });
}

/** Gives the chosen words a mark of a kind, or takes theirs off. */
export const mark =
  (type: MarkType, attrs: Attrs | undefined): Command =>
  (state, dispatch) => {
    const { from, to, empty } = state.selection;
    if (empty) {
      return false;
    }
    const change = state.tr.removeMark(from, to, type);
    dispatch?.(attrs ? change.addMark(from, to, type.create(attrs)) : change);
    return true;
  };

/** Gives the paragraph of the caret a number in its list, or the next one. */
export const number =
  (value: number | undefined): Command =>
  (state, dispatch) => {
    const { $from } = state.selection;
    if ($from.depth === 0) {
      return false;
    }
    dispatch?.(
      state.tr.setNodeMarkup($from.before(1), null, {
        ...$from.node(1).attrs,
        number: value ?? null,
      }),
    );
    return true;
  };

/** Gives the chosen paragraphs a look. */
export const wear =
  (look: string): Command =>
  (state, dispatch) => {
    const { from, to } = state.selection;
    const change = state.tr;
    state.doc.nodesBetween(from, to, (node, at) => {
      if (node.type === paragraphType) {
        change.setNodeMarkup(at, null, { ...node.attrs, look });
      }
      return false;
    });
    dispatch?.(change);
    return true;
  };

/** Gives the chosen words a colour of their own, or that of their look. */
export const paint = (color: { swatch: string; tint: number } | undefined): Command =>
  mark(colorType, color);

/** Gives the chosen words, or those typed next, a look of their own, or that of their paragraph. */
export const dress =
  (look: string | undefined): Command =>
  (state, dispatch) => {
    const { from, to, empty } = state.selection;
    const mark = look === undefined ? undefined : charactersType.create({ look });
    const change = empty
      ? state.tr.removeStoredMark(charactersType)
      : state.tr.removeMark(from, to, charactersType);
    if (mark) {
      dispatch?.(empty ? change.addStoredMark(mark) : change.addMark(from, to, mark));
    } else {
      dispatch?.(change);
    }
    return true;
  };

/** Whether all of the chosen words, or those typed next, have a look. */
function wears(state: EditorState, look: string): boolean {
  const { from, to, empty, $head } = state.selection;
  if (empty) {
    return charactersOf(state.storedMarks ?? $head.marks()) === look;
  }
  let all = true;
  state.doc.nodesBetween(from, to, (node) => {
    all &&= !node.isInline || charactersOf(node.marks) === look;
  });
  return all;
}

/** Gives a look, and takes it off again. */
export const toggle =
  (look: string): Command =>
  (state, dispatch) =>
    dress(wears(state, look) ? undefined : look)(state, dispatch);

/**
 * @param looks in the order of their digits
 * @param standOut the look of characters that stand out in a way
 */
export function keys(
  looks: () => string[],
  standOut: (emphasis: CharacterLook["emphasis"]) => string | undefined,
  next: (look: string) => string,
  undo: () => void,
  redo: () => void,
  leave: () => void,
  pick: () => void,
  giveIt: () => void,
): Plugin[] {
  const digits: Record<string, Command> = {};
  for (let digit = 1; digit <= 9; digit++) {
    digits[`Shift-Alt-${digit}`] = (state, dispatch) => {
      const look = looks()[digit - 1];
      return look !== undefined && wear(look)(state, dispatch);
    };
  }
  const did = (act: () => void): Command => {
    return () => {
      act();
      return true;
    };
  };
  const stand =
    (emphasis: CharacterLook["emphasis"]): Command =>
    (state, dispatch) => {
      const look = standOut(emphasis);
      return look !== undefined && toggle(look)(state, dispatch);
    };
  return [
    keymap({
      ...digits,
      "Mod-b": stand("STRONG"),
      "Mod-i": stand("EMPHASIS"),
      "Mod-z": did(undo),
      "Mod-y": did(redo),
      "Shift-Mod-z": did(redo),
      Escape: did(leave),
      "Alt-Shift-p": did(pick),
      "Alt-Shift-g": did(giveIt),
      Enter: divide(next),
      "Shift-Enter": endLine,
      "Shift-Alt-t": tab,
    }),
    keymap(baseKeymap),
  ];
}
