import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { expect, test } from "vitest";
import { readAhead, whenSeen } from "./seenFirst";

test("what is shown is asked for as it is after an edit, and what is not is left", async () => {
  const queries = new QueryClient();
  let asked = 0;
  const queryFn = () => Promise.resolve(`picture ${++asked}`);
  const shown = new QueryObserver(queries, {
    queryKey: ["picture", "guide", 4, 2, "AS_DESIGNED"],
    queryFn,
    staleTime: Infinity,
  });
  const end = shown.subscribe(() => undefined);
  await queries.fetchQuery({ queryKey: ["picture", "leaflet", 1, 0], queryFn });
  expect(asked).toBe(2);
  readAhead(queries, "guide", 5);
  await whenSeen(queries, "guide");
  expect(asked).toBe(3);
  expect(queries.getQueryData(["picture", "guide", 5, 2, "AS_DESIGNED"])).toBe("picture 3");
  end();
});

test("what stands beside the picture waits for it, and for no other publication's", async () => {
  const queries = new QueryClient();
  let drawn: (picture: string) => void = () => undefined;
  const picture = queries.fetchQuery({
    queryKey: ["picture", "guide", 1],
    queryFn: () => new Promise<string>((resolve) => (drawn = resolve)),
  });
  await whenSeen(queries, "leaflet");
  let isOver = false;
  const waiting = whenSeen(queries, "guide").then(() => (isOver = true));
  await new Promise((resolve) => setTimeout(resolve, 60));
  expect(isOver).toBe(false);
  drawn("picture");
  await picture;
  await waiting;
  expect(isOver).toBe(true);
});

const edit = { type: "removeBackground", background: "sky" } as const;

/** Reads ahead of an edit; gives what stands for the picture, and how often it was asked for. */
async function ahead(
  previewed: unknown,
  preview: () => Promise<unknown>,
  revision: number,
): Promise<[unknown, number]> {
  const queries = new QueryClient();
  let asked = 0;
  const shown = new QueryObserver(queries, {
    queryKey: ["picture", "guide", 4, 2, "AS_DESIGNED", 72, false],
    queryFn: () => Promise.resolve(`picture ${++asked}`),
    staleTime: Infinity,
  });
  const end = shown.subscribe(() => undefined);
  await whenSeen(queries, "guide");
  void queries.prefetchQuery({
    queryKey: ["preview", "guide", 4, "page", previewed, "AS_DESIGNED", 72],
    queryFn: preview,
    retry: false,
  });
  readAhead(queries, "guide", revision, { edit, against: 4 });
  await whenSeen(queries, "guide");
  end();
  return [queries.getQueryData(["picture", "guide", revision, 2, "AS_DESIGNED", 72, false]), asked];
}

const drawing = (spread: number) => () =>
  new Promise((resolve) => setTimeout(() => resolve({ spread, picture: "as tried" }), 50));

test("what was drawn while it was being stored is not drawn again", async () => {
  expect(await ahead({ ...edit }, drawing(2), 5)).toEqual(["as tried", 1]);
});

test.each([
  ["of another edit", { ...edit, background: "moor" }, drawing(2), 5],
  ["of another spread", edit, drawing(3), 5],
  ["of an edit that others came before", edit, drawing(2), 6],
  ["that came to nothing", edit, () => Promise.reject(new Error("too late")), 5],
])("a picture %s is no help", async (_, previewed, preview, revision) => {
  expect(await ahead(previewed, preview, revision)).toEqual(["picture 2", 2]);
});
