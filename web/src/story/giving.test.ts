import { expect, test } from "vitest";
import type { Story } from "../api/types";
import { giving, pickedOf } from "./giving";

const all = { look: true, characters: true, color: true, local: true };
const gold = { swatch: "gold", tint: 80 };
const story: Story = {
  id: "story",
  revision: 3,
  chain: [],
  paragraphs: [
    {
      id: "title",
      look: "heading",
      runs: [
        { id: "a", text: "Night " },
        { id: "b", text: "sky", look: "emphasis", color: gold },
      ],
    },
    { id: "text", look: "body", number: 4, runs: [{ id: "c", text: "Stars", color: gold }] },
  ],
};

test("what is picked up is that of the run that was pointed at", () => {
  expect(pickedOf(story, "title", "b")).toEqual({
    look: "heading",
    characters: "emphasis",
    color: gold,
  });
  expect(pickedOf(story, "title", "gone")).toEqual({
    look: "heading",
    characters: undefined,
    color: undefined,
  });
  expect(pickedOf(story, "gone", "a")).toBeUndefined();
});

test("a paragraph gets the look, and what is the look's own takes the place of what it had", () => {
  const picked = { look: "heading", characters: undefined, color: undefined };
  expect(giving(story, "text", picked, all)).toEqual({
    type: "writeText",
    story: "story",
    behind: "title",
    was: [{ paragraph: "text", look: "body", number: 4, runs: [{ text: "Stars", color: gold }] }],
    paragraphs: [{ paragraph: "text", look: "heading", number: 4, runs: [{ text: "Stars" }] }],
  });
});

test("only what is carried is given, and what is there already is no edit", () => {
  const picked = { look: "heading", characters: "emphasis", color: gold };
  expect(giving(story, "text", picked, { ...all, look: false, color: false })).toMatchObject({
    paragraphs: [{ look: "body", runs: [{ text: "Stars", look: "emphasis", color: gold }] }],
  });
  expect(
    giving(story, "text", picked, { look: false, characters: false, color: true, local: true }),
  ).toBeUndefined();
});
