import { act, renderHook } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { readKept, useKept } from "./kept";

const start = { left: true, right: true };

describe("what is kept", () => {
  afterEach(() => localStorage.clear());

  it("is there again", () => {
    const first = renderHook(() => useKept(localStorage, "panels", start));
    act(() => first.result.current[1]((last) => ({ ...last, left: false })));
    const again = renderHook(() => useKept(localStorage, "panels", start));
    expect(again.result.current[0]).toEqual({ left: false, right: true });
  });

  it("is what it starts as where it cannot be read, and as far as it was not there", () => {
    for (const broken of ["null", "{", "7", '"x"', "{}"]) {
      localStorage.setItem("panels", broken);
      expect(readKept(localStorage, "panels", start)).toEqual(start);
    }
    localStorage.setItem("panels", '{"left":false}');
    expect(readKept(localStorage, "panels", start)).toEqual({ left: false, right: true });
  });
});
