import { describe, expect, it } from "vitest";
import { merged } from "./merged";

describe("what is merged", () => {
  const was = { type: "a", top: "1 mm", inner: { x: 1, y: 2 }, list: [1, 2] };

  it("is what was changed, on what is there", () => {
    expect(
      merged(
        was,
        { ...was, inner: { x: 9, y: 2 }, list: [1, 8] },
        { ...was, top: "7 mm", inner: { x: 1, y: 5 }, list: [6, 2] },
      ),
    ).toEqual({ type: "a", top: "7 mm", inner: { x: 9, y: 5 }, list: [6, 8] });
  });

  it("is what was changed where both were", () => {
    expect(merged(was, { ...was, top: "2 mm" }, { ...was, top: "3 mm" }).top).toBe("2 mm");
  });

  it("loses and gains what was taken away and added", () => {
    const start: Record<string, number> = { a: 1, b: 2 };
    expect(merged(start, { a: 1, c: 3 }, { a: 5, b: 2 })).toEqual({ a: 5, c: 3 });
  });

  it("is taken as a whole where it is of another kind or length", () => {
    const other = { type: "b", top: "4 mm", inner: { x: 0, y: 0 }, list: [] as number[] };
    expect(merged(was, other, { ...was, top: "3 mm" })).toBe(other);
    expect(merged([1, 2], [1], [5, 2])).toEqual([1]);
  });
});
