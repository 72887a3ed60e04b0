import type { Finding, Schemas } from "../api/types";

/** How many findings each page has, by its id. */
export function countedByPage(findings: Finding[]): Map<string, number> {
  const counts = new Map<string, number>();
  findings.forEach((each) => counts.set(each.pageId, (counts.get(each.pageId) ?? 0) + 1));
  return counts;
}

/** How far the check of many pages has come. */
export function checkedInWords({
  checked,
  pages,
}: Pick<Schemas["FindingList"], "checked" | "pages">): string {
  return `Counting: ${checked} of ${pages} pages are checked so far.`;
}
