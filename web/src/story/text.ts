import { Fragment, Schema, type Mark, type Node } from "prosemirror-model";
import type { Paragraph, Schemas, Tinted } from "../api/types";

export type Written = Schemas["WrittenParagraph"];
export type WrittenRun = Schemas["WrittenRun"];

/** Ends a line within its paragraph (Unicode, line separator). */
export const LINE_END = "\u2028";

/** What an editor of a story holds: paragraphs that know their id and their look. */
export const schema = new Schema({
  nodes: {
    doc: { content: "paragraph+" },
    paragraph: {
      content: "inline*",
      attrs: { id: { default: "" }, look: { default: "" } },
      parseDOM: [
        {
          tag: "p[data-look]",
          getAttrs: (dom: HTMLElement) => ({ look: dom.dataset["look"] ?? "" }),
        },
        { tag: "p" },
      ],
      toDOM: (node) => ["p", { "data-look": node.attrs["look"] as string }, 0],
    },
    lineEnd: {
      inline: true,
      group: "inline",
      selectable: false,
      parseDOM: [{ tag: "br" }],
      toDOM: () => ["br"],
      leafText: () => LINE_END,
    },
    text: { group: "inline" },
  },
  marks: {
    characters: {
      attrs: { look: {} },
      parseDOM: [
        {
          tag: "span[data-characters]",
          getAttrs: (dom: HTMLElement) => ({ look: dom.dataset["characters"] ?? "" }),
        },
      ],
      toDOM: (mark) => ["span", { "data-characters": mark.attrs["look"] as string }, 0],
    },
    color: {
      attrs: { swatch: {}, tint: {} },
      parseDOM: [
        {
          tag: "span[data-swatch]",
          getAttrs: (dom: HTMLElement) => ({
            swatch: dom.dataset["swatch"] ?? "",
            tint: Number(dom.dataset["tint"] ?? 100),
          }),
        },
      ],
      toDOM: (mark) => [
        "span",
        { "data-swatch": mark.attrs["swatch"] as string, "data-tint": String(mark.attrs["tint"]) },
        0,
      ],
    },
  },
});

export const paragraphType = schema.nodes.paragraph;
export const lineEndType = schema.nodes.lineEnd;
export const colorType = schema.marks.color;
export const charactersType = schema.marks.characters;

export const idOf = (node: Node) => node.attrs["id"] as string;
export const lookOf = (node: Node) => node.attrs["look"] as string;

/** The colour that characters have of their own. */
export function colorOf(marks: readonly Mark[]): Tinted | undefined {
  const mark = marks.find((each) => each.type === colorType);
  return mark && { swatch: mark.attrs["swatch"] as string, tint: mark.attrs["tint"] as number };
}

/** The look of characters. */
export function charactersOf(marks: readonly Mark[]): string | undefined {
  return marks.find((each) => each.type === charactersType)?.attrs["look"] as string | undefined;
}

/** A stretch of text with what it has of its own. */
const runOf = (text: string, color: Tinted | undefined, look: string | undefined): WrittenRun => ({
  text,
  ...(color ? { color } : {}),
  ...(look === undefined ? {} : { look }),
});

export function asWritten(paragraph: Paragraph): Written {
  return {
    paragraph: paragraph.id,
    look: paragraph.look,
    runs: paragraph.runs.map(({ text, color, look }) => runOf(text, color, look)),
  };
}

export const textOfWritten = (written: Written) => written.runs.map(({ text }) => text).join("");

/** Whether both stretches share everything but their text. */
const alike = (a: WrittenRun, b: WrittenRun | undefined) =>
  a.color?.swatch === b?.color?.swatch && a.color?.tint === b?.color?.tint && a.look === b?.look;

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

/** Whether both read, and look, the same. */
export function sameWritten(a: Written | undefined, b: Written | undefined): boolean {
  if (!a || !b || a.paragraph !== b.paragraph || a.look !== b.look) {
    return a === b;
  }
  const some = tidy(a.runs);
  const others = tidy(b.runs);
  return (
    some.length === others.length &&
    some.every((run, i) => run.text === others[i]?.text && alike(run, others[i]))
  );
}

export function nodeOf(written: Written): Node {
  const parts = written.runs.flatMap(({ text, color, look }) => {
    const marks = [
      ...(look === undefined ? [] : [charactersType.create({ look })]),
      ...(color ? [colorType.create(color)] : []),
    ];
    return text
      .split(LINE_END)
      .flatMap((line, i) => [
        ...(i > 0 ? [lineEndType.create(null, null, marks)] : []),
        ...(line === "" ? [] : [schema.text(line, marks)]),
      ]);
  });
  return paragraphType.create(
    { id: written.paragraph, look: written.look },
    Fragment.fromArray(parts),
  );
}

export const docOf = (story: Written[]) => schema.nodes.doc.create(null, story.map(nodeOf));

export function writtenOf(node: Node): Written {
  const runs: WrittenRun[] = [];
  node.forEach((inline) => {
    const text = inline.isText ? (inline.text ?? "") : LINE_END;
    runs.push(runOf(text, colorOf(inline.marks), charactersOf(inline.marks)));
  });
  return { paragraph: idOf(node), look: lookOf(node), runs: tidy(runs) };
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
