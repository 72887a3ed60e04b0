import { answered, client, sendFile } from "../api/client";
import type { Brought, Publication } from "../api/types";

/** The recipes of all other publications. */
export function elsewhere(publication: Publication) {
  return answered(
    client.GET("/api/publications/{id}/recipes/elsewhere", {
      params: { path: { id: publication.id } },
    }),
  );
}

export function broughtFromThere(publication: Publication, from: string, recipe: string) {
  return answered(
    client.POST("/api/publications/{id}/recipes/copies", {
      params: { path: { id: publication.id }, query: { from, recipe } },
    }),
  );
}

export function broughtFromFile(
  publication: Publication,
  file: File | undefined,
): Promise<Brought> {
  return sendFile(`/api/publications/${publication.id}/recipes/imports`, file);
}
