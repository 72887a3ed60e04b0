import type { EditorState } from "prosemirror-state";
import { mark, number } from "./plugins";
import { idOf, languageOf, languageType, linkOf, linkType, numberOf } from "./text";
import type { Given, Words } from "./WordsDialog";

/** What the chosen words, or those around the caret that share a link, have of their own. */
export function wordsIn(
  state: EditorState | undefined,
  marks: Record<string, string>,
): Words | undefined {
  if (!state) {
    return undefined;
  }
  const { from, to, $from } = state.selection;
  const own = $from.nodeAfter?.marks ?? $from.marks();
  const text = state.doc.textBetween(from, to, " ");
  return {
    chosen: text.length > 60 ? `${text.slice(0, 59)}…` : text,
    link: linkOf(own),
    language: languageOf(own),
    number: $from.depth === 0 ? undefined : numberOf($from.node(1)),
    mark: $from.depth === 0 ? undefined : marks[idOf($from.node(1))],
  };
}

/** What gives them that. */
export function commandsOf(given: Given) {
  return [
    ...("link" in given ? [mark(linkType, given.link && { to: given.link })] : []),
    ...("language" in given
      ? [mark(languageType, given.language && { language: given.language })]
      : []),
    ...("number" in given ? [number(given.number)] : []),
  ];
}
