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
  const open = panels.catalogue || panels.strata || panels.pages;
  return { catalogue: !open, strata: !open, pages: !open };
}
