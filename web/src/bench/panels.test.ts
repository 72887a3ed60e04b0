import { describe, expect, it } from "vitest";
import { allOpen, toggled, toggledAll } from "./panels";

describe("panels", () => {
  it("fold one by one", () => {
    expect(toggled(allOpen, "strata")).toEqual({ catalogue: true, strata: false, pages: true });
    expect(toggled(toggled(allOpen, "strata"), "strata")).toEqual(allOpen);
  });

  it("fold all at once, also where some are folded, and come back", () => {
    const none = { catalogue: false, strata: false, pages: false };
    expect(toggledAll(toggled(allOpen, "pages"))).toEqual(none);
    expect(toggledAll(none)).toEqual(allOpen);
  });
});
