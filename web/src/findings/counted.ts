import { useMemo, useState } from "react";
import type { Finding, Schemas } from "../api/types";

/** How many findings each page has, by its id. */
function countedByPage(findings: Finding[]): Map<string, number> {
  const counts = new Map<string, number>();
  findings.forEach((each) => counts.set(each.pageId, (counts.get(each.pageId) ?? 0) + 1));
  return counts;
}

/** The same counts as long as they are the same, whatever was found anew. */
export function useCountedByPage(findings: Finding[]): Map<string, number> {
  const counts = useMemo(() => countedByPage(findings), [findings]);
  const [kept, setKept] = useState(counts);
  const isSame =
    kept.size === counts.size && [...counts].every(([page, count]) => kept.get(page) === count);
  if (!isSame) {
    setKept(counts);
  }
  return isSame ? kept : counts;
}

/** How far the check of many pages has come. */
export function checkedInWords({
  checked,
  pages,
}: Pick<Schemas["FindingList"], "checked" | "pages">): string {
  return `Counting: ${checked} of ${pages} pages are checked so far.`;
}
