import { expect, test } from "vitest";
import { typedPadding, writtenPadding } from "./padding";

test("one value, two or four are a padding", () => {
  expect(typedPadding("3", "MM")).toEqual({
    top: "3 mm",
    right: "3 mm",
    bottom: "3 mm",
    left: "3 mm",
  });
  expect(typedPadding("0,5 em 2mm", "PT")).toEqual({
    top: "0.5 em",
    right: "2 mm",
    bottom: "0.5 em",
    left: "2 mm",
  });
  expect(typedPadding("1 2 3 4", "PT")).toEqual({
    top: "1 pt",
    right: "2 pt",
    bottom: "3 pt",
    left: "4 pt",
  });
});

test("three values, five or none are not", () => {
  expect(typedPadding("1 2 3", "MM")).toBeUndefined();
  expect(typedPadding("1 2 3 4 5", "MM")).toBeUndefined();
  expect(typedPadding("wide", "MM")).toBeUndefined();
});

test("a padding is written as short as it can be, and read back", () => {
  for (const text of ["3 mm", "0.5 em  2 mm", "1 mm  2 mm  3 mm  4 mm", "1 mm  2 mm  3 mm  2 mm"]) {
    const padding = typedPadding(text, "MM");
    expect(padding && writtenPadding(padding, "MM")).toBe(text);
  }
});
