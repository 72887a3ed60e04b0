import { render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { lazily } from "./lazily";
import { Parts } from "./Parts";

beforeEach(() => void vi.spyOn(console, "error").mockImplementation(() => undefined));
afterEach(() => vi.restoreAllMocks());

test("a part is shown when its script has come", async () => {
  const Part = lazily(() => Promise.resolve(() => <p>Here</p>));
  render(
    <Parts>
      <Part />
    </Parts>,
  );
  expect(await screen.findByText("Here")).toBeInTheDocument();
});

test("one that does not come says so, and what to do", async () => {
  const Part = lazily<object>(() => Promise.reject(new Error("no answer")));
  render(
    <Parts>
      <Part />
    </Parts>,
  );
  expect(await screen.findByRole("alert")).toHaveTextContent("could not be shown");
  expect(screen.getByRole("button", { name: "Load again" })).toBeInTheDocument();
});
