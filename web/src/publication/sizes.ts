import type { Owner, PageEntry, Publication, Schemas } from "../api/types";
import { inMillimetres } from "../ui/length";

interface Extent {
  width: number;
  height: number;
}

function extent(size: Schemas["PageSize"]): Extent {
  return { width: inMillimetres(size.width), height: inMillimetres(size.height) };
}

/**
 * How large the pages of a publication are drawn in an overview, in pixels, all to one scale: the
 * highest as high as there is room, and none wider than there is.
 */
export function overviewSizes(
  publication: Publication,
  height: number,
  widest = Number.POSITIVE_INFINITY,
): (page: PageEntry) => Extent {
  const usual = extent(publication.setup.trim);
  const own = publication.pages.flatMap((page) => (page.size ? [extent(page.size)] : []));
  const highest = Math.max(usual.height, ...own.map((each) => each.height));
  const scale = height / highest;
  return (page) => {
    const size = page.size ? extent(page.size) : usual;
    const fitted = Math.min(scale, widest / size.width);
    return {
      width: Math.max(8, Math.round(size.width * fitted)),
      height: Math.max(8, Math.round(size.height * fitted)),
    };
  };
}

/** The size that things on a page or parent are measured by. */
export function trimOf(publication: Publication, owner: Owner): Schemas["PageSize"] {
  const page =
    owner.type === "onPage" ? publication.pages.find((each) => each.id === owner.id) : undefined;
  return page?.size ?? publication.setup.trim;
}
