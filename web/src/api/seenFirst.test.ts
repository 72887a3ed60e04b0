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
