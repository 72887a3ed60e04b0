import type { Finding } from "../api/types";

/** Findings that one change would mend. */
export interface Cause {
  id: string;
  words: string;
  /** The worst first. */
  findings: Finding[];
}

/** How much is lacking: less is worse. */
export function margin(finding: Finding): number {
  if (finding.ratio !== undefined && finding.required !== undefined) {
    return finding.ratio / finding.required;
  }
  return finding.severity === "WRONG" ? 0.9 : 1;
}

/** By cause, in the order of pages or the worst first. */
export function byCause(findings: Finding[], worstFirst: boolean): Cause[] {
  const causes = new Map<string, Cause>();
  for (const finding of findings) {
    const id = `${finding.kind} ${finding.cause}`;
    const cause = causes.get(id);
    if (cause) {
      cause.findings.push(finding);
    } else {
      causes.set(id, { id, words: finding.causeInWords, findings: [finding] });
    }
  }
  const all = [...causes.values()];
  all.forEach((cause) => cause.findings.sort((a, b) => margin(a) - margin(b) || a.page - b.page));
  if (worstFirst) {
    const worst = ({ findings: [first] }: Cause) => (first ? margin(first) : 1);
    all.sort((a, b) => worst(a) - worst(b) || b.findings.length - a.findings.length);
  }
  return all;
}

/** Those that a search finds: in their words, their reason or their cause; every word of it. */
export function matching(findings: Finding[], search: string): Finding[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) {
    return findings;
  }
  return findings.filter((each) => {
    const all =
      `${each.text} ${each.message} ${each.causeInWords} ${each.origin} page ${each.page}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
}
