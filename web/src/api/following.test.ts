import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { expect, test } from "vitest";
import { shownSince } from "./following";

const queries = new QueryClient();

/** What a screen shows of a page at a revision, and what answers it. */
function page(publication: string, revision: number) {
  let answer: (value: number) => void = () => undefined;
  const asked = new Promise<number>((resolve) => {
    answer = resolve;
  });
  const options = {
    queryKey: ["page", publication, revision, "page 1"],
    queryFn: () => asked,
    staleTime: Infinity,
  };
  return { options, answer };
}

const wait = (time: number) => new Promise((resolve) => setTimeout(resolve, time));

test("what is shown is waited for even before it is asked for", async () => {
  const before = page("guide", 4);
  const after = page("guide", 5);
  const seen: unknown[] = [];
  const screen = new QueryObserver(queries, before.options);
  const leave = screen.subscribe(({ data }) => seen.push(data));
  before.answer(4);
  await wait(50);
  let isDone = false;
  const done = shownSince(queries, "guide", 5).then(() => {
    isDone = true;
  });
  await wait(80);
  expect(isDone, "the screen is busy with something else").toBe(false);
  screen.setOptions(after.options);
  await wait(80);
  expect(isDone, "it is on its way").toBe(false);
  after.answer(5);
  await done;
  expect(seen.at(-1), "it is shown by then").toBe(5);
  leave();
});

test("what is shown of other publications, or not at all, is not waited for", async () => {
  const other = page("leaflet", 1);
  const leave = new QueryObserver(queries, other.options).subscribe(() => undefined);
  queries.setQueryData(["page", "guide", 2, "page 1"], "left behind");
  await shownSince(queries, "guide", 9);
  expect(queries.isFetching({ queryKey: ["page", "leaflet"] })).toBe(1);
  leave();
});
