import { answered, client } from "./client";
import type { PageEntry, Publication, Schemas } from "./types";

/** So many pages are read at once. */
const PART = 2000;

type Summary = Schemas["PublicationView"];
type BareEntry = Schemas["PageEntry"];

/** Number, side and spread of each page, which follow from its place. */
function placed(entries: BareEntry[], facing: boolean): PageEntry[] {
  return entries.map((entry, index) => ({
    ...entry,
    number: index + 1,
    side: facing && index % 2 === 1 ? "LEFT" : "RIGHT",
    spread: facing ? Math.floor((index + 1) / 2) : index,
  }));
}

function whole(summary: Summary, entries: BareEntry[]): Publication {
  const pages = placed(entries, summary.setup.facing);
  const spreads: string[][] = [];
  for (const page of pages) {
    (spreads[page.spread] ??= []).push(page.id);
  }
  return { ...summary, pages, spreads };
}

/** All of a publication, its pages part by part. */
async function read(id: string): Promise<Publication> {
  const path = { id };
  for (;;) {
    const summary = await answered(client.GET("/api/publications/{id}", { params: { path } }));
    const entries: BareEntry[] = [];
    let same = true;
    while (same && entries.length < summary.pages) {
      const from = entries.length;
      const part = await answered(
        client.GET("/api/publications/{id}/pages", {
          params: { path, query: { from, to: from + PART } },
        }),
      );
      same = part.revision === summary.revision;
      entries.push(...part.pages);
    }
    // somebody changed it between two parts: once more
    if (same) {
      return whole(summary, entries);
    }
  }
}

/** A publication, of which some state is known: only what changed since is read. */
export async function readPublication(
  id: string,
  known: Publication | undefined,
): Promise<Publication> {
  if (!known) {
    return read(id);
  }
  const changes = await answered(
    client.GET("/api/publications/{id}/changes", {
      params: { path: { id }, query: { since: known.revision } },
    }),
  );
  if (!changes.known) {
    return read(id);
  }
  const { publication, pages } = changes;
  if (!pages && publication.setup.facing === known.setup.facing) {
    return { ...publication, pages: known.pages, spreads: known.spreads };
  }
  const entries: BareEntry[] = [...known.pages];
  if (pages) {
    entries.splice(pages.from, pages.removed, ...pages.entries);
  }
  return whole(publication, entries);
}
