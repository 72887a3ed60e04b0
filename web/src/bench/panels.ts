/** What can be folded away around the spread. */
export type Panel = "catalogue" | "strata" | "pages";

export interface Panels {
  catalogue: boolean;
  strata: boolean;
  pages: boolean;
}

export const allOpen: Panels = { catalogue: true, strata: true, pages: true };

export function toggled(panels: Panels, panel: Panel): Panels {
  return { ...panels, [panel]: !panels[panel] };
}

/** Everything away, so that the spread is large; or, if it is, everything back. */
export function toggledAll(panels: Panels): Panels {
  const open = !isFolded(panels);
  return { catalogue: !open, strata: !open, pages: !open };
}

/** How wide the columns and how high the strip of pages are, in pixels. */
export type PanelSizes = Record<Panel, number>;

/** So that a spread of A5 has 70 % of the height of a window of 1280 by 800. */
export const usualSizes: PanelSizes = { catalogue: 220, strata: 256, pages: 114 };

export const leastSizes: PanelSizes = { catalogue: 180, strata: 220, pages: 114 };

export const mostSizes: PanelSizes = { catalogue: 420, strata: 520, pages: 260 };

export function isFolded(panels: Panels): boolean {
  return !panels.catalogue && !panels.strata && !panels.pages;
}
