import { Layout, LayoutInfo, Rect, Size, type Key } from "react-aria-components";
import type { PageEntry } from "../api/types";

/** Where a leaf stands in the strip, in pixels. */
export interface Place {
  id: string;
  x: number;
  width: number;
}

/**
 * Places leaves from left to right; those of one spread meet.
 *
 * @param widthOf a page, in pixels
 * @param margin before the first and after the last
 * @param gap between spreads
 */
export function placesOf(
  pages: PageEntry[],
  widthOf: (page: PageEntry) => number,
  margin: number,
  gap: number,
): Place[] {
  let x = margin;
  return pages.map((page, index) => {
    if (index > 0 && pages[index - 1]?.spread !== page.spread) {
      x += gap;
    }
    const width = widthOf(page);
    x += width;
    return { id: page.id, x: x - width, width };
  });
}

/** The first leaf that ends beyond a point, by halving; as many as there are where none does. */
export function firstBeyond(places: Place[], x: number): number {
  let from = 0;
  let to = places.length;
  while (from < to) {
    const middle = (from + to) >> 1;
    const place = places[middle];
    if (place && place.x + place.width <= x) {
      from = middle + 1;
    } else {
      to = middle;
    }
  }
  return from;
}

/** How far a strip is scrolled so that a leaf is seen whole, starting from how far it is. */
export function scrolledTo(place: Place, scrolled: number, room: number, margin: number): number {
  const least = place.x + place.width + margin - room;
  const most = place.x - margin;
  return Math.max(0, Math.min(Math.max(scrolled, least), most));
}

export interface LeafOptions {
  places: Place[];
  height: number;
  margin: number;
}

/** Leaves of different widths in one line, of which only those that are seen are drawn. */
export class LeafLayout<T extends object> extends Layout<T, LeafOptions> {
  private options: LeafOptions = { places: [], height: 0, margin: 0 };
  private byId = new Map<Key, Place>();

  override update({ layoutOptions }: { layoutOptions?: LeafOptions }) {
    if (layoutOptions && layoutOptions !== this.options) {
      this.options = layoutOptions;
      this.byId = new Map(layoutOptions.places.map((place) => [place.id, place]));
    }
  }

  private info(place: Place): LayoutInfo {
    const rect = new Rect(place.x, 0, place.width, this.options.height);
    const info = new LayoutInfo("item", place.id, rect);
    info.allowOverflow = true; // the name of a parent runs on over the pages that have it
    return info;
  }

  override getVisibleLayoutInfos(rect: Rect): LayoutInfo[] {
    const { places } = this.options;
    const from = firstBeyond(places, rect.x);
    const seen: LayoutInfo[] = [];
    for (const [index, place] of places.entries()) {
      const isSeen = index >= from && place.x < rect.maxX;
      if (isSeen || this.virtualizer?.isPersistedKey(place.id)) {
        seen.push(this.info(place));
      }
    }
    return seen;
  }

  override getLayoutInfo(key: Key): LayoutInfo | null {
    const place = this.byId.get(key);
    return place ? this.info(place) : null;
  }

  override getContentSize(): Size {
    const { places, height, margin } = this.options;
    const last = places.at(-1);
    return new Size(last ? last.x + last.width + margin : 0, height);
  }
}
