import { expect, test, vi } from "vitest";
import { render } from "@testing-library/react";
import { found, type Offered } from "./commands";
import { standing } from "./standing";

Element.prototype.checkVisibility = () => true; // jsdom draws nothing

test("what stands on the screen is found by its name and its place, and pressed", () => {
  const press = vi.fn();
  render(
    <section aria-label="Swatches">
      <h2 id="midnight">Midnight</h2>
      <button aria-label="Remove" onClick={press} />
      <button aria-labelledby="midnight" />
      <button disabled>Rename</button>
      <div aria-hidden="true">
        <button>Hidden</button>
      </div>
      <label>
        Tint % <input />
      </label>
    </section>,
  );
  const all = standing(document);
  expect(all.map(({ label, place }) => [label, place])).toEqual([
    ["Remove", "Swatches"],
    ["Midnight", "Swatches"],
    ["Tint %", "Swatches"],
  ]);
  const offered: Offered = new Map();
  expect(found(offered, "", all)).toEqual([]);
  expect(found(offered, "swatches remove", all)).toHaveLength(1);
  Element.prototype.scrollIntoView = () => undefined;
  all[0]?.run();
  expect(press).toHaveBeenCalledOnce();
  all[2]?.run();
  expect(document.activeElement?.tagName).toBe("INPUT");
});
