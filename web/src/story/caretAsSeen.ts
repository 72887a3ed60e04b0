import type { EditorView } from "prosemirror-view";

/**
 * Takes in where the caret is seen. The browser moves it at once but tells of it later, behind all
 * that waits already: what is done until then, by key or by the server's answer, would be done where
 * it was before.
 */
export function caretAsSeen(view: EditorView) {
  if (view.hasFocus() && !view.composing) {
    view.dom.ownerDocument.dispatchEvent(new Event("selectionchange"));
  }
}
