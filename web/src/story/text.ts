import { Fragment, Mark, Schema, type Node } from "prosemirror-model";
import { fields } from "../api/fields";
import type { Paragraph, Schemas, Tinted } from "../api/types";

export type LinkTo = Schemas["LinkTo"];
export type LocalType = Schemas["LocalType"];
export type LocalSetting = Schemas["LocalSetting"];
export type Language = NonNullable<WrittenRun["language"]>;

export type Written = Schemas["WrittenParagraph"];
export type WrittenRun = Schemas["WrittenRun"];

/** Ends a line within its paragraph (Unicode, line separator). */
export const LINE_END = "\u2028";

const field = (id: unknown) => fields.find((each) => each.id === id);

/** Links that lead out, as text can have them. */
export const leadsOut = /^\s*(https?:\/\/[^\s/]+|mailto:\S|tel:\S)/i;

const languages: Record<Language, true> = {
  ENGLISH_BRITISH: true,
  ENGLISH_AMERICAN: true,
  GERMAN: true,
  FRENCH: true,
  SPANISH: true,
  ITALIAN: true,
  DUTCH: true,
  HEBREW: true,
  ARABIC: true,
};

// what is pasted may come from anywhere, and say anything

const isId = (text: unknown) =>
  typeof text === "string" && /^[\da-f]{8}(-[\da-f]{4}){3}-[\da-f]{12}$/i.test(text);

const isLanguage = (text: string | undefined) => text !== undefined && text in languages;

/** A link as it stands in a page; nothing where it is none. */
function linkIn(text: string): LinkTo | undefined {
  try {
    const link = JSON.parse(text) as Record<string, unknown>;
    const { type, uri, page, story, paragraph } = link;
    if (type === "address" && typeof uri === "string" && leadsOut.test(uri)) {
      return { type, uri };
    }
    if (type === "toPage" && isId(page)) {
      return { type, page: page as string };
    }
    return type === "toParagraph" && isId(story) && isId(paragraph)
      ? { type, story: story as string, paragraph: paragraph as string }
      : undefined;
  } catch {
    return undefined;
  }
}

const points = { mm: 72 / 25.4, in: 72, pt: 1 };

/** Whether it is a length from so many points to so many. */
const isLength =
  (from = -Infinity, to = Infinity) =>
  (value: unknown) => {
    const [, number, unit] = /^(-?\d+(?:\.\d+)?) (mm|in|pt)$/.exec(String(value)) ?? [];
    const length = Number(number) * (points[unit as keyof typeof points] ?? NaN);
    return length >= from && length <= to;
  };

const isPercent = (value: unknown) => {
  const [, number] = /^(\d+(?:\.\d+)?) %$/.exec(String(value)) ?? [];
  return Number(number) >= 50 && Number(number) <= 500;
};

const isOneOf =
  (...all: string[]) =>
  (value: unknown) =>
    typeof value === "string" && all.includes(value);

const isNumber = (from: number, to: number) => (value: unknown) =>
  typeof value === "number" && value >= from && value <= to;

const isTruth = (value: unknown) => typeof value === "boolean";

const ofType: Record<keyof LocalType, (value: unknown) => boolean> = {
  family: (value) => typeof value === "string",
  weight: isNumber(100, 900),
  italic: isTruth,
  size: isNumber(10, 400),
  tracking: isNumber(-200, 1000),
  capitals: isOneOf("AS_TYPED", "ALL", "SMALL"),
  figures: isOneOf("AS_FACE", "LINING", "LINING_TABLE", "OLD_STYLE", "OLD_STYLE_TABLE"),
};

const ofSetting: Record<keyof LocalSetting, (value: unknown) => boolean> = {
  size: isLength(2, 1000),
  leading: (value) => isPercent(value) || isLength(2, 2000)(value),
  alignment: isOneOf("LEFT", "CENTER", "RIGHT", "JUSTIFIED", "TOWARD_SPINE", "AWAY_FROM_SPINE"),
  before: isLength(0),
  after: isLength(0),
  first: isLength(),
  left: isLength(0),
  right: isLength(0),
  hyphenated: isTruth,
};

/** What of differences that stand in a page can be; nothing where none can. */
function localIn<T extends object>(
  text: string | undefined,
  can: Record<keyof T & string, (value: unknown) => boolean>,
): T | null {
  try {
    const read: unknown = JSON.parse(text ?? "");
    const kept = Object.entries(read ?? {}).filter(
      ([key, value]) => key in can && can[key as keyof T & string](value),
    );
    return kept.length > 0 ? (Object.fromEntries(kept) as T) : null;
  } catch {
    return null;
  }
}

/** What an editor of a story holds: paragraphs that know their id and their look. */
export const schema = new Schema({
  nodes: {
    doc: { content: "paragraph+" },
    paragraph: {
      content: "inline*",
      attrs: {
        id: { default: "" },
        look: { default: "" },
        number: { default: null },
        local: { default: null },
      },
      parseDOM: [
        {
          tag: "p[data-look]",
          getAttrs: (dom: HTMLElement) => ({
            look: isId(dom.dataset["look"]) ? dom.dataset["look"] : "",
            local: localIn<LocalSetting>(dom.dataset["local"], ofSetting),
          }),
        },
        { tag: "p" },
      ],
      // each runs as its first letters do
      toDOM: (node) => [
        "p",
        {
          "data-look": node.attrs["look"] as string,
          ...(node.attrs["local"] ? { "data-local": JSON.stringify(node.attrs["local"]) } : {}),
          dir: "auto",
        },
        0,
      ],
    },
    lineEnd: {
      inline: true,
      group: "inline",
      selectable: false,
      parseDOM: [{ tag: "br" }],
      toDOM: () => ["br"],
      leafText: () => LINE_END,
    },
    field: {
      inline: true,
      group: "inline",
      attrs: { kind: {} },
      parseDOM: [
        {
          tag: "span[data-field]",
          getAttrs: (dom: HTMLElement) =>
            field(dom.dataset["field"]) !== undefined && { kind: dom.dataset["field"] },
        },
      ],
      toDOM: (node) => [
        "span",
        { "data-field": node.attrs["kind"] as string },
        field(node.attrs["kind"])?.label ?? "",
      ],
      leafText: (node) => field(node.attrs["kind"])?.character ?? "",
    },
    text: { group: "inline" },
  },
  marks: {
    characters: {
      attrs: { look: {} },
      parseDOM: [
        {
          tag: "span[data-characters]",
          getAttrs: (dom: HTMLElement) =>
            isId(dom.dataset["characters"]) && { look: dom.dataset["characters"] },
        },
      ],
      toDOM: (mark) => ["span", { "data-characters": mark.attrs["look"] as string }, 0],
    },
    local: {
      attrs: { local: {} },
      parseDOM: [
        {
          tag: "span[data-local]",
          getAttrs: (dom: HTMLElement) => {
            const local = localIn<LocalType>(dom.dataset["local"], ofType);
            return local !== null && { local };
          },
        },
      ],
      toDOM: (mark) => ["span", { "data-local": JSON.stringify(mark.attrs["local"]) }, 0],
    },
    color: {
      attrs: { swatch: {}, tint: {} },
      parseDOM: [
        {
          tag: "span[data-swatch]",
          getAttrs: (dom: HTMLElement) => {
            const tint = Number(dom.dataset["tint"] ?? 100);
            return (
              isId(dom.dataset["swatch"]) &&
              tint >= 0 &&
              tint <= 100 && { swatch: dom.dataset["swatch"], tint }
            );
          },
        },
      ],
      toDOM: (mark) => [
        "span",
        { "data-swatch": mark.attrs["swatch"] as string, "data-tint": String(mark.attrs["tint"]) },
        0,
      ],
    },
    language: {
      attrs: { language: {} },
      parseDOM: [
        {
          tag: "span[data-language]",
          getAttrs: (dom: HTMLElement) =>
            isLanguage(dom.dataset["language"]) && { language: dom.dataset["language"] },
        },
      ],
      toDOM: (mark) => ["span", { "data-language": mark.attrs["language"] as string }, 0],
    },
    link: {
      attrs: { to: {} },
      inclusive: false,
      parseDOM: [
        {
          tag: "span[data-link]",
          getAttrs: (dom: HTMLElement) => {
            const to = linkIn(dom.dataset["link"] ?? "");
            return to !== undefined && { to };
          },
        },
      ],
      toDOM: (mark) => ["span", { "data-link": JSON.stringify(mark.attrs["to"]) }, 0],
    },
  },
});

export const paragraphType = schema.nodes.paragraph;
export const lineEndType = schema.nodes.lineEnd;
export const fieldType = schema.nodes.field;
export const colorType = schema.marks.color;
export const charactersType = schema.marks.characters;
export const localType = schema.marks.local;
export const languageType = schema.marks.language;
export const linkType = schema.marks.link;

export const idOf = (node: Node) => node.attrs["id"] as string;
export const lookOf = (node: Node) => node.attrs["look"] as string;

/** The number that a paragraph is given in its list. */
export const numberOf = (node: Node) => (node.attrs["number"] as number | null) ?? undefined;

/** How a paragraph differs from its look. */
export const settingOf = (node: Node) => (node.attrs["local"] as LocalSetting | null) ?? undefined;

/** How characters differ from their looks. */
export function localOf(marks: readonly Mark[]): LocalType | undefined {
  return marks.find((each) => each.type === localType)?.attrs["local"] as LocalType | undefined;
}

/** The colour that characters have of their own. */
export function colorOf(marks: readonly Mark[]): Tinted | undefined {
  const mark = marks.find((each) => each.type === colorType);
  return mark && { swatch: mark.attrs["swatch"] as string, tint: mark.attrs["tint"] as number };
}

/** The look of characters. */
export function charactersOf(marks: readonly Mark[]): string | undefined {
  return marks.find((each) => each.type === charactersType)?.attrs["look"] as string | undefined;
}

/** The language that characters are in, where it is not that around them. */
export function languageOf(marks: readonly Mark[]): Language | undefined {
  return marks.find((each) => each.type === languageType)?.attrs["language"] as
    Language | undefined;
}

/** Where characters lead. */
export function linkOf(marks: readonly Mark[]): LinkTo | undefined {
  return marks.find((each) => each.type === linkType)?.attrs["to"] as LinkTo | undefined;
}

/** What characters have of their own. */
type Own = Omit<WrittenRun, "text">;

const marksOf = ({ color, look, language, link, local }: Own): Mark[] => [
  ...(look === undefined ? [] : [charactersType.create({ look })]),
  ...(color ? [colorType.create(color)] : []),
  ...(language === undefined ? [] : [languageType.create({ language })]),
  ...(link === undefined ? [] : [linkType.create({ to: link })]),
  ...(local === undefined ? [] : [localType.create({ local })]),
];

const ownOfMarks = (marks: readonly Mark[]): Own => {
  const [color, look] = [colorOf(marks), charactersOf(marks)];
  const [language, link, local] = [languageOf(marks), linkOf(marks), localOf(marks)];
  return {
    ...(color ? { color } : {}),
    ...(look === undefined ? {} : { look }),
    ...(language === undefined ? {} : { language }),
    ...(link === undefined ? {} : { link }),
    ...(local === undefined ? {} : { local }),
  };
};

const ofParagraph = (number: number | undefined, local: LocalSetting | undefined) => ({
  ...(number === undefined ? {} : { number }),
  ...(local === undefined ? {} : { local }),
});

export function asWritten(paragraph: Paragraph): Written {
  return {
    paragraph: paragraph.id,
    look: paragraph.look,
    runs: paragraph.runs.map(({ text, ...own }) => ({ text, ...ownOfMarks(marksOf(own)) })),
    ...ofParagraph(paragraph.number, paragraph.local),
  };
}

export const textOfWritten = (written: Written) => written.runs.map(({ text }) => text).join("");

/** Whether both stretches share everything but their text. */
const alike = (a: WrittenRun, b: WrittenRun | undefined) =>
  b !== undefined && Mark.sameSet(marksOf(a), marksOf(b));

/** With neighbours that share everything put together, and none that is empty. */
function tidy(runs: WrittenRun[]): WrittenRun[] {
  const tidied: WrittenRun[] = [];
  for (const run of runs) {
    const last = tidied.at(-1);
    if (run.text === "") {
      continue;
    }
    if (last && alike(last, run)) {
      tidied[tidied.length - 1] = { ...last, text: last.text + run.text };
    } else {
      tidied.push(run);
    }
  }
  return tidied.length > 0 ? tidied : [{ text: "" }];
}

/** Whether two differ alike from what they wear, however that is written down. */
export function sameLocal<T extends LocalType | LocalSetting>(a: T | undefined, b: T | undefined) {
  const [one, other] = [Object.entries(a ?? {}), new Map(Object.entries(b ?? {}))];
  return one.length === other.size && one.every(([key, value]) => other.get(key) === value);
}

/** Whether both read, and look, the same. */
export function sameWritten(a: Written | undefined, b: Written | undefined): boolean {
  if (!a || !b || a.paragraph !== b.paragraph || a.look !== b.look || a.number !== b.number) {
    return a === b;
  }
  if (!sameLocal(a.local, b.local)) {
    return false;
  }
  const some = tidy(a.runs);
  const others = tidy(b.runs);
  return (
    some.length === others.length &&
    some.every((run, i) => run.text === others[i]?.text && alike(run, others[i]))
  );
}

const leaves = new RegExp(`([${LINE_END}${fields.map(({ character }) => character).join("")}])`);

/** The node that one character stands for, if it stands for one. */
function leafOf(character: string, marks: Mark[]): Node | undefined {
  if (character === LINE_END) {
    return lineEndType.create(null, null, marks);
  }
  const found = fields.find((each) => each.character === character);
  return found && fieldType.create({ kind: found.id }, null, marks);
}

export function nodeOf(written: Written): Node {
  const parts = written.runs.flatMap(({ text, ...own }) => {
    const marks = marksOf(own);
    return text
      .split(leaves)
      .filter((part) => part !== "")
      .map((part) => leafOf(part, marks) ?? schema.text(part, marks));
  });
  return paragraphType.create(
    {
      id: written.paragraph,
      look: written.look,
      number: written.number ?? null,
      local: written.local ?? null,
    },
    Fragment.fromArray(parts),
  );
}

export const docOf = (story: Written[]) => schema.nodes.doc.create(null, story.map(nodeOf));

export function writtenOf(node: Node): Written {
  const runs: WrittenRun[] = [];
  node.forEach((inline) => {
    const text = inline.isText
      ? (inline.text ?? "")
      : (inline.type.spec.leafText?.(inline) ?? LINE_END);
    runs.push({ text, ...ownOfMarks(inline.marks) });
  });
  return {
    paragraph: idOf(node),
    look: lookOf(node),
    runs: tidy(runs),
    ...ofParagraph(numberOf(node), settingOf(node)),
  };
}

export function allWritten(doc: Node): Written[] {
  const all: Written[] = [];
  doc.forEach((node) => {
    all.push(writtenOf(node));
  });
  return all;
}

/** The paragraphs that differ, with those they stand in the place of. */
export function stretch(was: Written[], made: Written[]) {
  const shorter = Math.min(was.length, made.length);
  let from = 0;
  while (from < shorter && sameWritten(was[from], made[from])) {
    from++;
  }
  let end = 0;
  while (end < shorter - from && sameWritten(was.at(-1 - end), made.at(-1 - end))) {
    end++;
  }
  const before = was[from - 1];
  return {
    ...(before ? { behind: before.paragraph } : {}),
    paragraphs: made.slice(from, made.length - end),
    was: was.slice(from, was.length - end),
  };
}

/**
 * What was typed here and what came from elsewhere since, put together: of a paragraph that both
 * changed, what was typed here counts.
 *
 * @param was what both began with
 */
export function together(was: Written[], here: Written[], there: Written[]): Written[] {
  const before = new Map(was.map((each) => [each.paragraph, each]));
  const mine = new Map(here.map((each) => [each.paragraph, each]));
  const isIn = new Set(there.map((each) => each.paragraph));
  const result: Written[] = [];
  for (const each of there) {
    const own = mine.get(each.paragraph);
    const old = before.get(each.paragraph);
    if (own) {
      result.push(sameWritten(own, old) ? each : own);
    } else if (!old) {
      result.push(each);
    }
  }
  here.forEach((each, i) => {
    const isNew = !before.has(each.paragraph);
    const typedInto = !sameWritten(each, before.get(each.paragraph));
    if (!isIn.has(each.paragraph) && (isNew || typedInto)) {
      const behind = here[i - 1]?.paragraph;
      result.splice(result.findIndex(({ paragraph }) => paragraph === behind) + 1, 0, each);
    }
  });
  const [first] = here;
  return result.length > 0 || !first ? result : [first];
}
