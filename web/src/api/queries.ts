import { useEffect, useRef } from "react";
import { keepPreviousData, skipToken, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, author, client } from "./client";
import { readPublication } from "./publication";
import { whenSeen } from "./seenFirst";
import type {
  Edit,
  Extent,
  PaletteImport,
  Publication,
  Setup,
  Viewing,
  Reversal,
  Schemas,
} from "./types";
import { withSame } from "./withSame";

export function useShelf() {
  return useQuery({
    queryKey: ["shelf"],
    queryFn: () => answered(client.GET("/api/publications")),
  });
}

export function useOptions() {
  return useQuery({
    queryKey: ["options"],
    queryFn: () => answered(client.GET("/api/options")),
    staleTime: Infinity,
  });
}

export function usePressConditions() {
  return useQuery({
    queryKey: ["press-conditions"],
    queryFn: () => answered(client.GET("/api/press-conditions")),
  });
}

/** A colour as it was typed, in every space a swatch can be defined in. */
export function readColor(publication: Publication, text: string) {
  return answered(
    client.GET("/api/publications/{id}/colors", {
      params: { path: { id: publication.id }, query: { text } },
    }),
  );
}

/** What is typed as a new swatch: a colour, and a name in front of it. */
export function useNamedColor(publication: Publication, text: string) {
  return useQuery({
    queryKey: ["named-color", publication.id, publication.setup.press.condition, text.trim()],
    queryFn: text.trim()
      ? () =>
          answered(
            client.GET("/api/publications/{id}/colors/named", {
              params: { path: { id: publication.id }, query: { text } },
            }),
          )
      : skipToken,
    staleTime: Infinity,
  });
}

/**
 * A length as it was typed, which may be a calculation.
 *
 * @param of what percentages are of
 */
export function readLength(text: string, unit: Setup["unit"], of: string | undefined) {
  return answered(
    client.GET("/api/lengths", { params: { query: { text, unit, ...(of ? { of } : {}) } } }),
  );
}

export type PaletteFormat = "TOKENS" | "CSS" | "CSV";

/** What text would be on a ground; nothing is changed. */
export function readReversal(
  publication: Publication,
  wanted: Schemas["Wanted"],
): Promise<Reversal> {
  return answered(
    client.POST("/api/publications/{id}/reversals", {
      params: { path: { id: publication.id } },
      body: wanted,
    }),
  );
}

/** What a palette file would add; nothing is changed. */
export function readPalette(
  publication: Publication,
  format: PaletteFormat,
  text: string,
): Promise<PaletteImport> {
  return answered(
    client.POST("/api/publications/{id}/palette", {
      params: { path: { id: publication.id }, query: { format } },
      body: text,
      bodySerializer: (body) => body,
      headers: { "Content-Type": "text/plain" },
    }),
  );
}

export function usePublication(id: string) {
  const queries = useQueryClient();
  const queryKey = ["publication", id];
  return useQuery({
    queryKey,
    queryFn: () => readPublication(id, queries.getQueryData<Publication>(queryKey)),
  });
}

/** Of so many pages in a row the stamps are read at once. */
const STAMPS = 40;

/**
 * What stands for the pictures of the pages around one; it changes only when a picture does.
 *
 * @param index of the page, from 0
 */
export function useStamps(
  publication: Publication,
  index: number,
  viewing: Viewing,
  wanted: boolean,
) {
  const from = index - (index % STAMPS);
  const queries = useQueryClient();
  return useQuery({
    queryKey: ["stamps", publication.id, publication.revision, viewing, from],
    queryFn: wanted
      ? async () => {
          // small pictures that are there stay so long; where there are none, they come at once
          const all = queries.getQueriesData({ queryKey: ["stamps", publication.id] });
          if (all.some(([key, data]) => data !== undefined && key[4] === from)) {
            await whenSeen(queries, publication.id);
          }
          return answered(
            client.GET("/api/publications/{id}/stamps", {
              params: {
                path: { id: publication.id },
                query: { from, to: from + STAMPS, viewing },
              },
            }),
          );
        }
      : skipToken,
    staleTime: Infinity,
  });
}

/** What lies on some pages, to be changed together; what was read before stands meanwhile. */
export function useCommonLayer(publication: Publication, pages: string[]) {
  return useQuery({
    queryKey: ["common-layer", publication.id, pages.join(" "), publication.revision],
    queryFn: () =>
      answered(
        client.POST("/api/publications/{id}/layers", {
          params: { path: { id: publication.id } },
          body: { pages },
        }),
      ),
    staleTime: Infinity,
    placeholderData: (before, query) =>
      query?.queryKey[2] === pages.join(" ") ? before : undefined,
  });
}

export function useHistory(id: string, revision: number) {
  return useQuery({
    queryKey: ["history", id, revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/history", {
          params: { path: { id }, query: { author: author() } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

function spreadQuery(publication: Publication, index: number) {
  return {
    queryKey: ["spread", publication.id, publication.revision, index],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/spreads/{index}", {
          params: { path: { id: publication.id, index } },
        }),
      ),
    // at one revision it stays what it is
    staleTime: Infinity,
  };
}

/**
 * @param ppi how fine what is mixed is wanted
 * @param before whether pages of files are shown as they came
 */
function pictureQuery(
  publication: Publication,
  index: number,
  viewing: Viewing,
  ppi: number,
  before: boolean,
) {
  return {
    queryKey: ["picture", publication.id, publication.revision, index, viewing, ppi, before],
    queryFn: () =>
      answered<string>(
        client.GET("/api/publications/{id}/spreads/{index}/picture", {
          params: {
            path: { id: publication.id, index },
            query: { guides: true, viewing, ppi, before },
          },
          parseAs: "text",
        }),
      ),
    // at one revision it stays what it is
    staleTime: Infinity,
  };
}

export function useSpread(publication: Publication, index: number) {
  return useQuery({ ...spreadQuery(publication, index), placeholderData: keepPreviousData });
}

/** The picture of a spread as SVG text. */
export function usePicture(
  publication: Publication,
  index: number,
  viewing: Viewing,
  ppi: number,
  before: boolean,
) {
  return useQuery({
    ...pictureQuery(publication, index, viewing, ppi, before),
    placeholderData: keepPreviousData,
  });
}

/** So long a spread is looked at before those beside it are read, in milliseconds. */
const SETTLED = 150;

/**
 * Reads the spreads before and after one, so that they are there when somebody turns to them; only
 * when the spread was turned to, not after every edit.
 */
export function useNeighbours(
  publication: Publication,
  index: number,
  viewing: Viewing,
  ppi: number,
  before: boolean,
) {
  const queries = useQueryClient();
  const latest = useRef(publication);
  useEffect(() => {
    latest.current = publication;
  });
  useEffect(() => {
    const timer = window.setTimeout(() => {
      const now = latest.current;
      for (const beside of [index + 1, index - 1]) {
        if (now.spreads[beside]) {
          void queries.prefetchQuery(spreadQuery(now, beside));
          void queries.prefetchQuery(pictureQuery(now, beside, viewing, ppi, before));
        }
      }
    }, SETTLED);
    return () => window.clearTimeout(timer);
  }, [queries, index, viewing, ppi, before]);
}

export function usePageDetail(publication: Publication, page: string) {
  return useQuery({
    queryKey: ["page", publication.id, publication.revision, page],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/pages/{page}", {
          params: { path: { id: publication.id, page } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

export interface Point {
  page: string;
  /** Millimetres from the top left corner of the trim. */
  x: number;
  y: number;
}

export function useStrata(publication: Publication, point: Point | undefined, viewing: Viewing) {
  return useQuery({
    queryKey: ["strata", publication.id, publication.revision, point, viewing],
    queryFn: point
      ? () =>
          answered(
            client.GET("/api/publications/{id}/pages/{page}/strata", {
              params: {
                path: { id: publication.id, page: point.page },
                query: { x: point.x, y: point.y, viewing },
              },
            }),
          )
      : skipToken,
    placeholderData: keepPreviousData,
  });
}

export function useItems(publication: Publication, page: string | undefined) {
  return useQuery({
    queryKey: ["items", publication.id, publication.revision, page],
    queryFn: page
      ? () =>
          answered(
            client.GET("/api/publications/{id}/pages/{page}/items", {
              params: { path: { id: publication.id, page } },
            }),
          )
      : skipToken,
  });
}

/** So soon the next part of the findings is asked for, in milliseconds. */
const NEXT_PART = 50;

/**
 * What is wrong; text as designed, which is the verdict, or as it is seen under a viewing. Of many
 * pages it comes in parts, until as many are checked as there are; of what was read before only the
 * pages that differ.
 */
export function useFindings(publication: Publication, viewing: Viewing = "AS_DESIGNED") {
  const queries = useQueryClient();
  return useQuery({
    queryKey: ["findings", publication.id, publication.revision, viewing],
    queryFn: async () => {
      await whenSeen(queries, publication.id);
      const latest = ["latest findings", publication.id, viewing];
      const before = queries.getQueryData<Schemas["FindingList"]>(latest);
      const list = await answered(
        client.GET("/api/publications/{id}/findings", {
          params: {
            path: { id: publication.id },
            query: {
              ...(viewing === "AS_DESIGNED" ? {} : { viewing }),
              ...(before ? { after: before.revision, mark: before.mark } : {}),
            },
          },
        }),
      );
      const whole = withSame(list, before);
      queries.setQueryData(latest, whole);
      return whole;
    },
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) =>
      state.data && state.data.checked < state.data.pages ? NEXT_PART : false,
  });
}

/** What may mend the findings of a page, by their keys. */
export function useOffers(publication: Publication, page: string) {
  return useQuery({
    queryKey: ["offers", publication.id, publication.revision, page],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/pages/{page}/offers", {
          params: { path: { id: publication.id, page } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

/** Text that fails under some viewing, with its ratio under every one. */
export function useLegibility(publication: Publication) {
  return useQuery({
    queryKey: ["legibility", publication.id, publication.revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/legibility", {
          params: { path: { id: publication.id }, query: {} },
        }),
      ),
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) =>
      state.data && state.data.checked < state.data.pages ? NEXT_PART : false,
  });
}

/**
 * What mends all text; the search ends when nobody waits for it.
 *
 * @param watch an id that one can ask by how far it has come
 */
/**
 * @param cause of findings, where only what fails for that is to be mended
 */
export function useWholeMend(publication: Publication, watch: string, cause?: string) {
  return useQuery({
    queryKey: ["whole mend", publication.id, publication.revision, cause],
    queryFn: ({ signal }) =>
      answered(
        client.GET("/api/publications/{id}/whole-mend", {
          params: { path: { id: publication.id }, query: cause ? { watch, cause } : { watch } },
          signal,
        }),
      ),
    staleTime: Infinity,
    retry: false,
  });
}

/** How far the search for that has come. */
export function useLooked(publication: Publication, watch: string) {
  return useQuery({
    queryKey: ["looked", watch],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/whole-mend/progress", {
          params: { path: { id: publication.id }, query: { watch } },
        }),
      ),
    refetchInterval: 700,
    gcTime: 0,
  });
}

/** Where things of the catalogue are used. */
export function useUses(publication: Publication, of: string[]) {
  return useQuery({
    queryKey: ["uses", publication.id, publication.revision, of],
    queryFn:
      of.length > 0
        ? () =>
            answered(
              client.GET("/api/publications/{id}/uses", {
                params: { path: { id: publication.id }, query: { of } },
              }),
            )
        : skipToken,
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
}

/** What mends are wanted for: text, or something found on a page, which may be text. */
export type Mended = { run: string } | { page: string; finding: string; run?: string | undefined };

export function useMends(publication: Publication, of: Mended) {
  return useQuery({
    queryKey: ["mends", publication.id, publication.revision, of],
    queryFn: () =>
      "finding" in of
        ? answered(
            client.GET("/api/publications/{id}/pages/{page}/findings/{finding}/mends", {
              params: {
                path: { id: publication.id, page: of.page, finding: of.finding },
                query: of.run === undefined ? {} : { run: of.run },
              },
            }),
          )
        : answered(
            client.GET("/api/publications/{id}/mends", {
              params: { path: { id: publication.id }, query: of },
            }),
          ),
    staleTime: Infinity,
    retry: false,
  });
}

/**
 * What an edit would lead to.
 *
 * @param unchecked whether only the picture is wanted
 */
export function usePreview(
  publication: Publication,
  page: string,
  edit: Edit | undefined,
  viewing: Viewing,
  ppi: number,
  unchecked = false,
) {
  return useQuery({
    queryKey: ["preview", publication.id, publication.revision, page, edit, viewing, ppi],
    queryFn: edit
      ? () =>
          answered(
            client.POST("/api/publications/{id}/previews", {
              params: { path: { id: publication.id } },
              body: { edit, page, viewing, ppi, ...(unchecked ? { unchecked } : {}) },
            }),
          )
      : skipToken,
    placeholderData: keepPreviousData,
    // what cannot be done now is not done a second later either
    retry: false,
  });
}

/** A part of a page as an edit would make it look, as SVG. */
export function usePart(publication: Publication, page: string, edit: Edit, part: Extent) {
  return useQuery({
    queryKey: ["part", publication.id, publication.revision, page, edit, part],
    queryFn: async () => {
      const { picture } = await answered(
        client.POST("/api/publications/{id}/previews", {
          params: { path: { id: publication.id } },
          body: { edit, page, viewing: "AS_DESIGNED", unchecked: true, part },
        }),
      );
      return picture;
    },
    staleTime: Infinity,
  });
}

export function useExports(publication: Publication) {
  return useQuery({
    queryKey: ["exports", publication.id],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/exports", {
          params: { path: { id: publication.id } },
        }),
      ),
  });
}

export function usePairings(
  publication: Publication,
  level: "AA" | "AAA",
  viewing: Viewing,
  unused: boolean,
) {
  return useQuery({
    queryKey: ["pairings", publication.id, publication.revision, level, viewing, unused],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/pairings", {
          params: { path: { id: publication.id }, query: { level, viewing, unused } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
}

export function usePairMends(
  publication: Publication,
  pair: {
    text: string;
    textTint: number;
    backdrop?: string;
    backdropTint?: number;
    required: number;
  },
) {
  return useQuery({
    queryKey: ["pair-mends", publication.id, publication.revision, pair],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/pairings/mends", {
          params: { path: { id: publication.id }, query: pair },
        }),
      ),
  });
}

/** The ratio of two colours as they are typed. */
export function useTypedPair(
  publication: Publication,
  text: string,
  backdrop: string,
  viewing: Viewing,
) {
  return useQuery({
    queryKey: ["typed-pair", publication.id, publication.setup, text, backdrop, viewing],
    queryFn:
      text.trim() && backdrop.trim()
        ? () =>
            answered(
              client.GET("/api/publications/{id}/pairings/typed", {
                params: { path: { id: publication.id }, query: { text, backdrop, viewing } },
              }),
            )
        : skipToken,
    retry: false,
  });
}

/** How a picture could go on to the edges of its area. */
export function useRunOuts(publication: Publication, page: string | undefined, background: string) {
  return useQuery({
    queryKey: ["run-outs", publication.id, publication.revision, page, background],
    queryFn: page
      ? () =>
          answered(
            client.GET("/api/publications/{id}/pages/{page}/run-outs", {
              params: { path: { id: publication.id, page }, query: { background } },
            }),
          )
      : skipToken,
  });
}

/** The pages that a range such as 3-7, 12 stands for. */
export function pagesIn(publication: Publication, text: string) {
  return answered(
    client.GET("/api/publications/{id}/ranges", {
      params: { path: { id: publication.id }, query: { text } },
    }),
  );
}
