import type { Publication } from "../api/types";

/** The look of a paragraph that is begun after one of this look. */
export function nextLook(publication: Publication, look: string): string {
  return publication.looks.find((each) => each.look.id === look)?.look.next ?? look;
}
