import { describe, expect, it } from "vitest";
import {
  allWritten,
  docOf,
  sameWritten,
  stretch,
  textOfWritten,
  together,
  type Written,
} from "./text";

const written = (...texts: string[]): Written[] =>
  texts.map((text) => ({ paragraph: text[0] ?? "", look: "body", runs: [{ text }] }));

const texts = (story: Written[]) => story.map(textOfWritten);

describe("a text as a document", () => {
  it("comes back as it went in", () => {
    const color = { swatch: "lamp", tint: 80 };
    const story: Written[] = [
      { paragraph: "a", look: "head", runs: [{ text: "One" }] },
      { paragraph: "b", look: "body", runs: [{ text: "" }] },
      {
        paragraph: "c",
        look: "body",
        runs: [
          { text: "dim ", look: "strong" },
          { text: "red\u2028lamp", color },
          { text: ".", color, look: "strong" },
        ],
      },
      {
        paragraph: "d",
        look: "list",
        number: 7,
        runs: [
          { text: "Sterne", language: "GERMAN", link: { type: "toPage", page: "p" } },
          { text: "\tand", link: { type: "address", uri: "https://observatory.example/" } },
        ],
      },
      {
        paragraph: "e",
        look: "body",
        local: { alignment: "CENTER", left: "12 pt", leading: "130 %" },
        runs: [{ text: "wide", local: { size: 150, italic: true } }, { text: " sky" }],
      },
    ];
    expect(allWritten(docOf(story))).toEqual(story);
  });

  it("is the same where runs are divided otherwise", () => {
    const [one] = written("abc");
    const divided = { paragraph: "a", look: "body", runs: [{ text: "a" }, { text: "bc" }] };
    expect(sameWritten(one, divided)).toBe(true);
    expect(sameWritten(one, { ...divided, look: "head" })).toBe(false);
  });
});

describe("what was typed here and what came from elsewhere", () => {
  const was = written("a", "b", "c");

  it("both stand, where they are of different paragraphs", () => {
    expect(texts(together(was, written("a1", "b", "c"), written("a", "b", "c2")))).toEqual([
      "a1",
      "b",
      "c2",
    ]);
  });

  it("what came in on both sides stands where it belongs", () => {
    expect(texts(together(was, written("a", "x", "b", "c"), written("a", "b", "y", "c")))).toEqual([
      "a",
      "x",
      "b",
      "y",
      "c",
    ]);
  });

  it("what went on one side goes, unless the other typed into it", () => {
    expect(texts(together(was, written("a", "c"), written("a", "b", "c")))).toEqual(["a", "c"]);
    expect(texts(together(was, was, written("a", "c")))).toEqual(["a", "c"]);
    expect(texts(together(was, written("a", "b1", "c"), written("a", "c")))).toEqual([
      "a",
      "b1",
      "c",
    ]);
  });

  it("a text is never left without a paragraph", () => {
    expect(together(was, written("a"), [])).toHaveLength(1);
  });
});

describe("the stretch of a text that was written", () => {
  it("is one paragraph where one was typed into", () => {
    expect(stretch(written("a", "b", "c"), written("a", "bee", "c"))).toEqual({
      behind: "a",
      was: written("b"),
      paragraphs: written("bee"),
    });
  });

  it("is what came in, or what went", () => {
    expect(stretch(written("a"), written("a", "b"))).toEqual({
      behind: "a",
      was: [],
      paragraphs: written("b"),
    });
    expect(stretch(written("a", "a"), written("a"))).toEqual({
      behind: "a",
      was: written("a"),
      paragraphs: [],
    });
    expect(stretch(written("b"), written("a", "b"))).toEqual({
      was: [],
      paragraphs: written("a"),
    });
  });
});
