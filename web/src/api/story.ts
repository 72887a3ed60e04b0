import { readable } from "./fields";
import { useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { answered, client } from "./client";
import type { Paragraph, Publication, Schemas, Story } from "./types";

/** A story as it was read before, with what became of it since. */
export function storyWith(before: Story | undefined, read: Schemas["StoryView"]): Story {
  const known = new Map<string, Paragraph>();
  for (const paragraph of [...(before?.paragraphs ?? []), ...read.paragraphs]) {
    known.set(paragraph.id, paragraph);
  }
  const order = read.order ?? before?.paragraphs.map(({ id }) => id) ?? [];
  return {
    id: read.id,
    revision: read.revision,
    chain: read.chain,
    ...(read.language === undefined ? {} : { language: read.language }),
    paragraphs: order.flatMap((id) => known.get(id) ?? []),
  };
}

const lastKey = (publication: Publication, story: string) => ["story-last", publication.id, story];

/** The text of a story as it is now; of one that was read before, only what differs is read. */
export async function readStory(
  queries: QueryClient,
  publication: Publication,
  story: string,
): Promise<Story> {
  const last = lastKey(publication, story);
  const before = queries.getQueryData<Story>(last);
  const read = await answered(
    client.GET("/api/publications/{id}/stories/{story}", {
      params: {
        path: { id: publication.id, story },
        query: before ? { since: before.revision } : {},
      },
    }),
  );
  const now = storyWith(before, read);
  queries.setQueryData(last, now);
  return now;
}

/** The text of a story; what was read before stands meanwhile, and only what differs is read. */
export function useStory(publication: Publication, story: string) {
  const queries = useQueryClient();
  return useQuery({
    queryKey: ["story", publication.id, story, publication.revision],
    queryFn: () => readStory(queries, publication, story),
    staleTime: Infinity,
    placeholderData: () => queries.getQueryData<Story>(lastKey(publication, story)),
  });
}

export const textOf = (paragraph: Paragraph) =>
  readable(paragraph.runs.map((run) => run.text).join(""));

export type FlowPart = Schemas["Part"];

/** Through which frames a story runs, and what of it finds no room. */
export function useFlow(publication: Publication, story: string) {
  return useQuery({
    queryKey: ["flow", publication.id, story, publication.revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/stories/{story}/flow", {
          params: { path: { id: publication.id, story } },
        }),
      ),
    staleTime: Infinity,
    placeholderData: (before, query) => (query?.queryKey[2] === story ? before : undefined),
  });
}

/**
 * What adds as many pages as a text needs.
 *
 * @param on a page that it is placed on first, where it waits to be placed
 */
export function roomFor(publication: Publication, story: string, on?: string) {
  return answered(
    client.GET("/api/publications/{id}/stories/{story}/room", {
      params: { path: { id: publication.id, story }, query: on === undefined ? {} : { on } },
    }),
  );
}

/** Where a character stands, in millimetres within its frame. */
export function caretAt(publication: string, story: string, paragraph: string, character: number) {
  return answered(
    client.GET("/api/publications/{id}/stories/{story}/caret", {
      params: { path: { id: publication, story }, query: { paragraph, character } },
    }),
  );
}

/** The stories whose text holds something, those that wait to be placed first. */
export function useStories(publication: Publication, find: string, wanted: boolean) {
  return useQuery({
    queryKey: ["stories", publication.id, find, publication.revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/stories", {
          params: { path: { id: publication.id }, query: { find } },
        }),
      ),
    enabled: wanted,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
}

/** Paragraphs that links can lead to: headings, or all that hold something. */
export function useParagraphs(publication: Publication, find: string, wanted: boolean) {
  return useQuery({
    queryKey: ["paragraphs", publication.id, find, publication.revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/paragraphs", {
          params: { path: { id: publication.id }, query: { find } },
        }),
      ),
    enabled: wanted,
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
}
