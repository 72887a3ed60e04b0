import { act, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { Rows } from "./Rows";

type Seen = (entries: { isIntersecting: boolean }[]) => void;
let observers: Seen[] = [];

beforeEach(() => {
  observers = [];
  vi.stubGlobal(
    "IntersectionObserver",
    class {
      constructor(seen: Seen) {
        observers.push(seen);
      }
      observe() {}
      disconnect() {}
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

const numbers = (count: number) => Array.from({ length: count }, (_, at) => at);

function shown(count: number, wanted?: number) {
  return render(
    <Rows entries={numbers(count)} height={10} isWanted={(at) => at === wanted}>
      {(at) => <p key={at}>Row {at}</p>}
    </Rows>,
  );
}

test("a few rows are all drawn", () => {
  shown(40);
  expect(screen.getAllByText(/^Row/)).toHaveLength(40);
});

test("of many only those are drawn that come near, and stay", () => {
  const { container } = shown(1001);
  expect(screen.queryAllByText(/^Row/)).toHaveLength(0);
  expect(observers).toHaveLength(51);
  expect(container.lastElementChild).toHaveStyle({ height: "10px" });
  act(() => observers[1]?.([{ isIntersecting: true }]));
  expect(screen.getAllByText(/^Row/).map((each) => each.textContent)).toEqual(
    numbers(20).map((at) => `Row ${at + 20}`),
  );
  act(() => observers[1]?.([{ isIntersecting: false }]));
  expect(screen.getAllByText(/^Row/)).toHaveLength(20);
});

test("one that is open is drawn wherever it stands", () => {
  shown(1000, 999);
  expect(screen.getByText("Row 999")).toBeInTheDocument();
  expect(screen.getAllByText(/^Row/)).toHaveLength(20);
});

test("a row that is moved into another group stays as it is", () => {
  const list = numbers(41);
  const rows = (entries: number[]) => (
    <Rows entries={entries} height={10} isWanted={() => true}>
      {(at) => <input key={at} aria-label={`Row ${at}`} />}
    </Rows>
  );
  const { rerender } = render(rows(list));
  const moved = screen.getByLabelText("Row 19");
  (moved as HTMLInputElement).value = "typed";
  list.splice(19, 2, 20, 19);
  rerender(rows(list));
  expect(screen.getByLabelText("Row 19")).toBe(moved);
  expect(screen.getByLabelText("Row 19")).toHaveValue("typed");
  expect(screen.getAllByLabelText(/^Row/).map((each) => each.getAttribute("aria-label"))).toEqual(
    list.map((at) => `Row ${at}`),
  );
});
