const names: Record<string, string> = {
  size: "size",
  leading: "leading",
  alignment: "alignment",
  before: "space above",
  after: "space below",
  first: "first line",
  left: "indent left",
  right: "indent right",
  hyphenated: "hyphenation",
  family: "font",
  weight: "weight",
  italic: "slope",
  tracking: "tracking",
  capitals: "capitals",
  figures: "figures",
};

/** What differs, in a few words. */
export function inWords(local: object | undefined): string {
  return Object.keys(local ?? {})
    .map((key) => names[key] ?? key)
    .join(", ");
}
