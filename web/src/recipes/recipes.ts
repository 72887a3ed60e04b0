import { answered, client } from "../api/client";
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

export async function broughtFromFile(
  publication: Publication,
  file: File | undefined,
): Promise<Brought> {
  const response = await fetch(`/api/publications/${publication.id}/recipes/imports`, {
    method: "POST",
    headers: { "Content-Type": "application/octet-stream" },
    body: file ?? "",
  });
  const body = (await response.json()) as Brought;
  return answered(
    Promise.resolve(response.ok ? { data: body, response } : { error: body, response }),
  );
}
