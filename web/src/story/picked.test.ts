import { EditorState, TextSelection } from "prosemirror-state";
import { describe, expect, it } from "vitest";
import { give, pickedFrom } from "./picked";
import { allWritten, docOf, type Written } from "./text";

const color = { swatch: "lamp", tint: 80 };
const story: Written[] = [
  { paragraph: "a", look: "heading", runs: [{ text: "Dark hours" }] },
  {
    paragraph: "b",
    look: "body",
    runs: [{ text: "Walk " }, { text: "slowly", look: "strong", color }, { text: " here." }],
  },
  { paragraph: "c", look: "body", runs: [{ text: "Go home." }] },
];

function chosen(from: number, to = from) {
  const doc = docOf(story);
  return EditorState.create({ doc, selection: TextSelection.create(doc, from, to) });
}

/** Where a paragraph begins, as a place in the document. */
function begin(index: number) {
  let at = 1;
  for (let i = 0; i < index; i++) {
    at += docOf(story).child(i).nodeSize;
  }
  return at;
}

const nothing = { look: false, characters: false, color: false, local: false };
const all = { look: true, characters: true, color: true, local: true };

function after(state: EditorState, command: ReturnType<typeof give>) {
  let made = state;
  command(state, (change) => (made = state.apply(change)));
  return allWritten(made.doc);
}

describe("a look that is picked up", () => {
  it("is that of the paragraph and of the words at the caret or chosen", () => {
    expect(pickedFrom(chosen(begin(0) + 2))).toEqual({ look: "heading" });
    expect(pickedFrom(chosen(begin(1) + 8))).toEqual({
      look: "body",
      characters: "strong",
      color,
    });
    expect(pickedFrom(chosen(begin(1) + 5, begin(1) + 11))?.characters).toBe("strong");
  });

  it("is given to chosen words, and to the whole paragraph where none are chosen", () => {
    const strong = { look: "body", characters: "strong", color };
    expect(after(chosen(begin(2), begin(2) + 2), give(strong, all))[2]?.runs).toEqual([
      { text: "Go", look: "strong", color },
      { text: " home." },
    ]);
    expect(after(chosen(begin(2) + 3), give(strong, all))[2]?.runs).toEqual([
      { text: "Go home.", look: "strong", color },
    ]);
  });

  it("carries local differences over, as one thing", () => {
    const local = { italic: true, size: 120 };
    const setting = { alignment: "CENTER" as const };
    const differing = { look: "body", characters: undefined, color: undefined, setting, local };
    const [, , third] = after(chosen(begin(2) + 3), give(differing, { ...nothing, local: true }));
    expect(third).toEqual({
      paragraph: "c",
      look: "body",
      local: setting,
      runs: [{ text: "Go home.", local }],
    });
  });

  it("carries only what is chosen to be carried, and takes off what it does not have", () => {
    const plain = { look: "heading", characters: undefined, color: undefined };
    const onlyLook = { ...nothing, look: true };
    const [, second] = after(chosen(begin(1) + 1), give(plain, onlyLook));
    expect(second?.look).toBe("heading");
    expect(second?.runs).toHaveLength(3);
    const [, bare] = after(chosen(begin(1) + 1), give(plain, all));
    expect(bare?.runs).toEqual([{ text: "Walk slowly here." }]);
    expect(give(plain, nothing)(chosen(begin(1)))).toBe(false);
  });
});
