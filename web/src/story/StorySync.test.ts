import { EditorState } from "prosemirror-state";
import type { EditorView } from "prosemirror-view";
import { describe, expect, it } from "vitest";
import type { Edit } from "../api/types";
import { StorySync } from "./StorySync";
import { docOf, textOfWritten, type Written } from "./text";

const written = (text: string): Written[] => [{ paragraph: "p", look: "body", runs: [{ text }] }];

/** An editor of one paragraph, and a server that answers when it is told to. */
function open() {
  let view: EditorView | null = null;
  const show = (text: string) => {
    const state = EditorState.create({ doc: docOf(written(text)) });
    view = { state, composing: false } as unknown as EditorView;
  };
  const sent: Edit[] = [];
  const waiting: ((stored: boolean) => void)[] = [];
  const sync = new StorySync({
    story: "story",
    read: () => view,
    store: (edit) => {
      sent.push(edit());
      return new Promise((resolve) => waiting.push(resolve));
    },
    tryOut: () => undefined,
    settle: () => undefined,
    onBusy: () => undefined,
  });
  show("One");
  sync.begin(written("One"));
  return {
    sync,
    show,
    close: () => {
      sync.end();
      view = null;
    },
    answer: async (stored: boolean) => {
      waiting.shift()?.(stored);
      await new Promise((resolve) => setTimeout(resolve));
    },
    texts: () =>
      sent.map((edit) => (edit.type === "writeText" ? edit.paragraphs.map(textOfWritten) : [])),
  };
}

describe("what is typed while the server is slow", () => {
  it("is stored though the editor is closed before the step ahead of it is answered", async () => {
    const editor = open();
    editor.show("One two");
    void editor.sync.commit();
    editor.show("One two three");
    editor.close();
    expect(editor.texts()).toEqual([["One two"]]);
    await editor.answer(true);
    expect(editor.texts()).toEqual([["One two"], ["One two three"]]);
  });

  it("is stored again with what comes later where a step was refused", async () => {
    const editor = open();
    editor.show("One two");
    void editor.sync.commit();
    await editor.answer(false);
    editor.show("One two three");
    void editor.sync.commit();
    expect(editor.texts()).toEqual([["One two"], ["One two three"]]);
  });

  it("is stored before a step back is made", async () => {
    const editor = open();
    editor.show("One two");
    void editor.sync.commit();
    editor.show("One two three");
    let wentBack = false;
    void editor.sync.commit().then(() => {
      wentBack = true;
    });
    await editor.answer(true);
    expect(wentBack).toBe(false);
    await editor.answer(true);
    expect(wentBack).toBe(true);
    expect(editor.texts()).toHaveLength(2);
  });

  it("is not sent where nothing was typed", async () => {
    const editor = open();
    await editor.sync.commit();
    editor.close();
    expect(editor.texts()).toEqual([]);
  });
});
