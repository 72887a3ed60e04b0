import { describe, expect, it } from "vitest";
import { storyWith, textOf } from "./story";
import type { Paragraph } from "./types";

const paragraph = (id: string, text: string): Paragraph => ({
  id,
  look: "body",
  runs: [{ id: `run ${id}`, text }],
});

const read = (revision: number, order: string[] | undefined, ...paragraphs: Paragraph[]) => ({
  id: "story",
  revision,
  chain: [],
  ...(order ? { order } : {}),
  paragraphs,
});

const texts = (story: { paragraphs: Paragraph[] }) => story.paragraphs.map(textOf);

describe("a story that is read in parts", () => {
  const first = storyWith(
    undefined,
    read(1, ["a", "b"], paragraph("a", "One"), paragraph("b", "Two")),
  );

  it("is whole the first time", () => {
    expect(texts(first)).toEqual(["One", "Two"]);
  });

  it("keeps what did not change", () => {
    const next = storyWith(first, read(2, undefined, paragraph("b", "Second")));
    expect(texts(next)).toEqual(["One", "Second"]);
    expect(next.paragraphs[0]).toBe(first.paragraphs[0]);
    expect(next.revision).toBe(2);
  });

  it("follows a new order, with what came in and without what went", () => {
    expect(texts(storyWith(first, read(2, ["c", "a"], paragraph("c", "New"))))).toEqual([
      "New",
      "One",
    ]);
  });
});
