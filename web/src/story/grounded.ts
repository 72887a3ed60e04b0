import type { EditorState } from "prosemirror-state";
import { charactersOf, idOf, lookOf, paragraphType } from "./text";

/** Text that a ground is for: whole paragraphs, or some words of one. */
export interface Grounded {
  paragraphs: string[];
  look: string;
  words: boolean;
  characters?: string;
}

/** What is chosen; without anything chosen, the paragraph of the caret. */
export function groundedIn(state: EditorState): Grounded | undefined {
  const { from, to, empty, $from, $to } = state.selection;
  const paragraphs: string[] = [];
  let look: string | undefined;
  state.doc.nodesBetween(from, to, (node) => {
    if (node.type === paragraphType) {
      paragraphs.push(idOf(node));
      look ??= lookOf(node);
    }
  });
  if (look === undefined) {
    return undefined;
  }
  const one = paragraphs.length === 1 && $from.depth > 0;
  const words = !empty && one && (from > $from.start(1) || to < $to.end(1));
  const characters = words ? charactersOf($from.nodeAfter?.marks ?? $from.marks()) : undefined;
  return { paragraphs, look, words, ...(characters === undefined ? {} : { characters }) };
}
