import type { Schemas } from "./types";

type FindingList = Pick<Schemas["FindingList"], "findings" | "same">;

/** A list of findings with those of the list before where nothing differs from it. */
export function withSame<T extends FindingList>(list: T, before: FindingList | undefined): T {
  if (!before || list.same.length === 0) {
    return list;
  }
  const same = new Set(list.same);
  const findings = [...list.findings, ...before.findings.filter(({ pageId }) => same.has(pageId))];
  // those of one page stay in their order
  return { ...list, findings: findings.sort((one, next) => one.page - next.page), same: [] };
}
