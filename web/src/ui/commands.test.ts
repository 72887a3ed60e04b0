import { expect, test } from "vitest";
import { found, type Command, type Offered } from "./commands";

const nothing = () => undefined;
const command = (label: string, more: Partial<Command> = {}): Command => ({
  label,
  run: nothing,
  ...more,
});

const offered: Offered = new Map([
  ["screen", [command("Undo", { isDisabled: true }), command("Go to Output")]],
  ["zoom", [command("Show the spread"), command("Go to the spread after")]],
]);

test("all that can be done stands by its name, wherever it is offered", () => {
  expect(found(offered, "").map((each) => each.label)).toEqual([
    "Go to Output",
    "Go to the spread after",
    "Show the spread",
  ]);
});

test("words are found in any order and case", () => {
  expect(found(offered, "SPREAD go ").map((each) => each.label)).toEqual([
    "Go to the spread after",
  ]);
  expect(found(offered, "zebra")).toEqual([]);
});
