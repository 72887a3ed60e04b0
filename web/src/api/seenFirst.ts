import type { QueryClient } from "@tanstack/react-query";

/** So long what is read beside it waits for the picture of the spread, in milliseconds. */
const MOST_WAITING = 1_000;

/** What the stage shows: kind, publication, revision, and which of it. */
const STAGE = ["spread", "picture"];

/**
 * Asks for what the stage shows as it is after an edit, before anything else is read of it.
 *
 * @param revision the one that the edit made
 */
export function readAhead(queries: QueryClient, publication: string, revision: number) {
  for (const kind of STAGE) {
    const shown = queries
      .getQueryCache()
      .findAll({ queryKey: [kind, publication], type: "active" });
    for (const { queryKey, options } of shown) {
      void queries.prefetchQuery({
        queryKey: [kind, publication, revision, ...queryKey.slice(3)],
        queryFn: options.queryFn,
        staleTime: Infinity,
      });
    }
  }
}

/** Waits until the spread is drawn: the server has few hands, and it is what people look at. */
export async function whenSeen(queries: QueryClient, publication: string) {
  const until = Date.now() + MOST_WAITING;
  const drawing = () => queries.isFetching({ queryKey: ["picture", publication] }) > 0;
  do {
    await new Promise((resolve) => setTimeout(resolve, 10));
  } while (drawing() && Date.now() < until);
}
