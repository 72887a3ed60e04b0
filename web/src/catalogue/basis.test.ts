import { describe, expect, it } from "vitest";
import { basedOn, nameOfProperty } from "./basis";

const look = (id: string, on?: string) => ({
  id,
  name: id,
  ...(on === undefined ? {} : { basis: { look: on, own: [] } }),
});

describe("what is based on a look", () => {
  it("is found however many others stand between, whatever their order", () => {
    const looks = [look("aside", "note"), look("note", "body"), look("body"), look("title")];
    expect(basedOn(looks, "body")).toEqual(new Set(["body", "note", "aside"]));
    expect(basedOn(looks, "title")).toEqual(new Set(["title"]));
  });

  it("ends even where looks were based on each other", () => {
    expect(basedOn([look("a", "b"), look("b", "a")], "a")).toEqual(new Set(["a", "b"]));
  });

  it("is told by names that people know", () => {
    expect(nameOfProperty("setting.after")).toBe("Space below");
  });
});
