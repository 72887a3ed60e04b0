import type { QueryClient } from "@tanstack/react-query";

/** As long as this a change waits for the pages that show it, in milliseconds. */
const MOST_WAITING = 10_000;

/** Between two looks, in milliseconds. */
const LOOK = 20;

/** What is shown of pages and text: each key names the publication, and the revision that it is of. */
const SHOWN = ["page", "common-layer", "story"];

const pause = (time: number) => new Promise((resolve) => setTimeout(resolve, time));

/**
 * Waits until all that is shown of pages and text is of a revision or later: on a busy machine it
 * may be a while until it is asked for at all.
 */
export async function shownSince(queries: QueryClient, publication: string, revision: number) {
  const until = Date.now() + MOST_WAITING;
  const isBehind = () =>
    queries
      .getQueryCache()
      .findAll({ type: "active" })
      .some(
        ({ queryKey: [what, of, ...rest], state }) =>
          of === publication &&
          SHOWN.includes(String(what)) &&
          (state.fetchStatus === "fetching" ||
            rest.some((part) => typeof part === "number" && part < revision)),
      );
  do {
    await pause(LOOK);
  } while (isBehind() && Date.now() < until);
  await pause(0); // what came is told behind all that waited already
}
