import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { answered, client } from "../api/client";
import type { Publication } from "../api/types";

/** What the files of a set say of themselves, with what the publication adds to them. */
export function useAboutFiles(publication: Publication) {
  return useQuery({
    queryKey: ["files", publication.id, publication.revision],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/files", { params: { path: { id: publication.id } } }),
      ),
    enabled: publication.pages.some((page) => page.imported),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
}
