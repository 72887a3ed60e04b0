import { render, screen } from "@testing-library/react";
import { expect, test } from "vitest";
import { Drawn } from "./Drawn";

const picture = (color: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg"><linearGradient id="gradient-1"><stop stop-color="${color}"/></linearGradient></svg>`;

test("pictures whose parts have the same names know nothing of each other", () => {
  const { rerender } = render(
    <>
      <Drawn label="before" picture={picture("red")} height={200} />
      <Drawn label="after" picture={picture("blue")} height={200} />
    </>,
  );
  const color = (label: string) =>
    screen
      .getByRole("img", { name: label })
      .shadowRoot?.getElementById("gradient-1")
      ?.firstElementChild?.getAttribute("stop-color");
  expect([color("before"), color("after")]).toEqual(["red", "blue"]);
  expect(document.getElementById("gradient-1")).toBeNull();
  rerender(<Drawn label="before" picture={picture("green")} height={200} />);
  expect(color("before")).toBe("green");
});
