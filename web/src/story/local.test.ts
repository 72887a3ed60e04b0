import { EditorState, TextSelection, type Command } from "prosemirror-state";
import { expect, test } from "vitest";
import { clear, clearParagraphs, clearWords, localIn, setParagraphs, setWords } from "./local";
import { inWords } from "./differences";
import { allWritten, docOf, type Written } from "./text";

const color = { swatch: "lamp", tint: 80 };
const story: Written[] = [
  {
    paragraph: "a",
    look: "body",
    local: { alignment: "CENTER", left: "3 mm" },
    runs: [{ text: "Dark" }],
  },
  {
    paragraph: "b",
    look: "body",
    local: { alignment: "CENTER" },
    runs: [{ text: "Walk " }, { text: "slowly", look: "strong", local: { size: 150 }, color }],
  },
  { paragraph: "c", look: "head", runs: [{ text: "Go home" }] },
];

const begins = [1, 7, 20];

function chosen(from: number, to = from) {
  const doc = docOf(story);
  return EditorState.create({ doc, selection: TextSelection.create(doc, from, to) });
}

function after(state: EditorState, command: Command) {
  let made = state;
  command(state, (change) => (made = state.apply(change)));
  return allWritten(made.doc);
}

const [a, b, c] = begins as [number, number, number];

test("what all chosen paragraphs have alike is told, and in what they are not the same", () => {
  const local = localIn(chosen(a, b + 2));
  expect(local.setting).toEqual({ alignment: "CENTER" });
  expect(local.differing).toEqual(["setting.left"]);
  expect(local.paragraphs).toBe(2);
  expect(local).toMatchObject({ look: "body", alike: { setting: false, type: true }, words: true });
  expect(localIn(chosen(b + 6)).setting).toEqual({ alignment: "CENTER" });
  expect(localIn(chosen(b + 6, b + 8))).toMatchObject({
    type: { size: 150 },
    characters: "strong",
    alike: { type: true },
  });
  expect(localIn(chosen(b, b + 11)).differing).toEqual(["type.size"]);
  expect(localIn(chosen(b + 2, c + 1)).look).toBeUndefined();
  expect(localIn(chosen(c + 1)).any).toBe(false);
});

test("one difference is set, and the others stay", () => {
  const made = after(chosen(a, b + 2), setParagraphs({ before: "6 pt" }));
  expect(made.map(({ local }) => local)).toEqual([
    { alignment: "CENTER", left: "3 mm", before: "6 pt" },
    { alignment: "CENTER", before: "6 pt" },
    undefined,
  ]);
  expect(after(chosen(b + 3, b + 7), setWords({ italic: true }))[1]?.runs).toEqual([
    { text: "Wal" },
    { text: "k ", local: { italic: true } },
    { text: "sl", look: "strong", local: { size: 150, italic: true }, color },
    { text: "owly", look: "strong", local: { size: 150 }, color },
  ]);
});

test("the last difference that is taken back leaves none", () => {
  expect(after(chosen(b), setParagraphs({ alignment: undefined }))[1]).not.toHaveProperty("local");
  const [, second] = after(chosen(b + 5, b + 11), setWords({ size: undefined }));
  expect(second?.runs[1]).toEqual({ text: "slowly", look: "strong", color });
});

test("all differences of what is chosen are cleared, and of the paragraph where nothing is", () => {
  const plain = {
    paragraph: "b",
    look: "body",
    runs: [{ text: "Walk " }, { text: "slowly", look: "strong" }],
  };
  expect(after(chosen(b), clear)[1]).toEqual(plain);
  expect(after(chosen(b), clear)[0]).toEqual(story[0]);
  const [, part] = after(chosen(b + 5, b + 7), clear);
  expect(part?.runs.at(-1)).toEqual({ text: "owly", look: "strong", local: { size: 150 }, color });
  expect(after(chosen(b + 5, b + 11), clearParagraphs)[1]?.runs).toEqual(story[1]?.runs);
  expect(after(chosen(b + 5, b + 11), clearWords)[1]).toEqual({ ...plain, local: story[1]?.local });
});

test("differences are named", () => {
  expect(inWords({ alignment: "CENTER", before: "1 mm" })).toBe("alignment, space above");
  expect(inWords(undefined)).toBe("");
});
