import type { Finding, Spread } from "../api/types";

/** What a mark says of a finding that is no ratio. */
const brief: Record<string, string> = {
  "text-overflow": "no room",
  "missing-characters": "no shape",
  "other-font": "other font",
  "dead-link": "dead link",
  "runs-into-text": "shading in text",
  "runs-into-picture": "shading in picture",
  "text-hidden": "text hidden",
  "text-on-clear-part": "keep clear",
  "no-alternative-text": "no alternative text",
  "loose-line": "loose line",
  "stock-not-printed": "not printed",
  "picture-too-coarse": "too coarse",
  "picture-boxed": "box",
  "pdf-not-for-press": "not for press",
  "spot-cannot-blend": "spot ink",
  "too-much-ink": "too much ink",
  "small-type-inks": "small type",
  "small-type-reversed": "small type",
  "plain-black-area": "plain black",
  "light-overprint": "overprint",
  "ends-at-trim": "short of bleed",
  "text-near-trim": "near trim",
  "background-not-printed": "not printed",
  "background-not-shown": "not shown",
  "picture-unreadable": "not drawn",
};

/** More of them on one page fold to dots. */
const MANY = 6;

const BAR = 3;
const LINE = 19;

/** Of a letter of a label, and of what is around it, in pixels. */
const LETTER = 6.4;
const AROUND = 12;

export const DOT = 11;

interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** How a finding is marked: a bar beside what it is about, and a label or a dot outside of that. */
export interface FindingMark {
  finding: Finding;
  /** Whether it stands to the right of what it marks. */
  right: boolean;
  bar: Box;
  /** Below the top of the bar, in pixels. */
  below: number;
  text: string;
  /** Where there is no room for the words, or where there are many. */
  dot: boolean;
  /** Whether a dot has room beside its bar. */
  outside: boolean;
}

function textOf(finding: Finding): string {
  const sign = finding.severity === "DOUBTFUL" ? "△" : "✕";
  return `${sign} ${finding.ratio?.toFixed(2) ?? brief[finding.kind] ?? ""}`;
}

interface Stretch {
  x: number;
  width: number;
}

/** What is marked, and across all words of its page where they are there. */
function widened(where: Stretch, words: Stretch | undefined): Stretch {
  if (!words) {
    return where;
  }
  const x = Math.min(where.x, words.x);
  return { x, width: Math.max(where.x + where.width, words.x + words.width) - x };
}

/**
 * The marks on a spread, all of them within its pages and beside what they mark.
 *
 * @param scale pixels to the millimetre
 */
export function marksOn(spread: Spread, findings: Finding[], scale: number): FindingMark[] {
  const counts = new Map<string, number>();
  for (const { pageId } of findings) {
    counts.set(pageId, (counts.get(pageId) ?? 0) + 1);
  }
  const stacked = new Map<string, number>();
  return findings.flatMap((finding) => {
    const on = spread.pages.find((each) => each.page === finding.pageId);
    if (!on) {
      return [];
    }
    const { where } = finding;
    const right = on.side === "RIGHT";
    const edge = (on.x + on.visible.x + (right ? on.visible.width : 0) - spread.view.x) * scale;
    // beside all words of the page, in one column
    const { x, width } = widened(where, on.words);
    const from = (on.x + x - spread.view.x) * scale;
    const top = Math.max(0, (where.y - spread.view.y) * scale);
    const bottom = Math.min(spread.view.height, where.y - spread.view.y + where.height) * scale;
    const left = right
      ? Math.min(from + width * scale + BAR, edge - BAR)
      : Math.max(from - 2 * BAR, edge);
    const room = right ? edge - left - BAR : left - edge;
    const text = textOf(finding);
    const dot = (counts.get(on.page) ?? 0) > MANY || room < text.length * LETTER + AROUND;
    const line = dot ? DOT + 1 : LINE;
    const place = `${on.page} ${Math.round(left)} ${Math.round(top / line)}`;
    const before = stacked.get(place) ?? 0;
    stacked.set(place, before + 1);
    const height = Math.max(BAR, bottom - top);
    const lowest = spread.view.height * scale - top - line;
    return [
      {
        finding,
        right,
        bar: { left, top, width: BAR, height },
        below: Math.min(before * line, lowest),
        text,
        dot,
        outside: room >= DOT,
      },
    ];
  });
}
