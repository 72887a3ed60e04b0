import { hashKey, type QueryClient, type QueryKey } from "@tanstack/react-query";
import type { Edit, Schemas } from "./types";

type Preview = Schemas["Preview"];

/** So long what is read beside it waits for the picture of the spread, in milliseconds. */
const MOST_WAITING = 1_000;

/** What the stage shows: kind, publication, revision, and which of it. */
const STAGE = ["spread", "picture"];

/** An edit, and the revision that it was made against. */
export interface Made {
  edit: Edit;
  against: number;
}

/**
 * Asks for what the stage shows as it is after an edit, before anything else is read of it. What
 * was drawn of the edit while it was being stored is not asked for again.
 *
 * @param revision the one that the edit made
 * @param made the edit, where it was one
 */
export function readAhead(
  queries: QueryClient,
  publication: string,
  revision: number,
  made?: Made,
) {
  for (const kind of STAGE) {
    const shown = queries
      .getQueryCache()
      .findAll({ queryKey: [kind, publication], type: "active" });
    for (const { queryKey, options } of shown) {
      const { queryFn } = options;
      if (typeof queryFn === "function") {
        void queries.prefetchQuery({
          queryKey: [kind, publication, revision, ...queryKey.slice(3)],
          queryFn: async (context) =>
            (kind === "picture" && made?.against === revision - 1
              ? await drawnOf(queries, queryKey, made)
              : undefined) ?? queryFn(context),
          staleTime: Infinity,
        });
      }
    }
  }
}

/** The picture that an edit was shown by while it was being stored, if it was. */
async function drawnOf(queries: QueryClient, shown: QueryKey, { edit, against }: Made) {
  const [, publication, , spread, viewing, ppi, asItCame] = shown;
  const tried = queries
    .getQueryCache()
    .findAll({ queryKey: ["preview", publication, against] })
    .find(({ queryKey }) => hashKey(queryKey.slice(4)) === hashKey([edit, viewing, ppi]));
  if (!tried || asItCame) {
    return undefined;
  }
  try {
    const drawn = (tried.state.data ?? (await tried.promise)) as Preview | undefined;
    return drawn?.spread === spread ? drawn?.picture : undefined;
  } catch {
    return undefined; // it came too late to be shown
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
