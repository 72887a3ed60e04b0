import { DOMParser } from "prosemirror-model";
import type { CharacterLook, Look } from "../api/types";
import { counted } from "../ui/words";
import { charactersType, leadsOut, linkType, localType, paragraphType, schema } from "./text";

/** What no text holds: control characters, and halves of characters. */
const unfit =
  // eslint-disable-next-line no-control-regex
  /[\u0000-\u0008\u000b-\u001f\u007f-\u0084\u0086-\u009f]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** Without what no text holds. */
export function cleaned(text: string): string {
  return text.replaceAll(unfit, "");
}

const unfitIn = (text: string) => text.match(unfit)?.length ?? 0;

/** The look for a heading of a level: that of its role, or of the nearest higher one there is. */
function headingLook(looks: Look[], level: number): Look | undefined {
  for (let at = level; at >= 1; at--) {
    const look = looks.find(({ role }) => role === `HEADING_${at}`);
    if (look) {
      return look;
    }
  }
  return looks.find(({ role }) => role === "TITLE");
}

/** How words that stand out come from elsewhere. */
interface Standing {
  emphasis: CharacterLook["emphasis"];
  name: string;
  tags: string[];
  style: string;
  /** The values of the style that say so. */
  means: RegExp;
}

const emphases: Standing[] = [
  {
    emphasis: "STRONG",
    name: "bold",
    tags: ["strong", "b"],
    style: "font-weight",
    means: /^(bold|bolder|[6-9]\d\d)$/,
  },
  {
    emphasis: "EMPHASIS",
    name: "italics",
    tags: ["em", "i"],
    style: "font-style",
    means: /^(italic|oblique)/,
  },
];

/** Whether something stands out in a way, by itself or by what it is within. */
function standsWithin(dom: HTMLElement | null, standing: Standing): boolean {
  if (!dom) {
    return false;
  }
  const value = dom.style.getPropertyValue(standing.style);
  return value === ""
    ? standing.tags.includes(dom.localName) || standsWithin(dom.parentElement, standing)
    : standing.means.test(value);
}

function contradicts(dom: HTMLElement, style: string, means: RegExp): boolean {
  const value = dom.style.getPropertyValue(style);
  return value !== "" && !means.test(value);
}

const listLook = (looks: Look[], ordered: boolean) =>
  looks.find(({ list }) => list?.mark.type === (ordered ? "numbered" : "bullet"));

/** Whether anything in a page stands out in a way. */
function standsOut(page: Document, { tags, style, means }: Standing): boolean {
  const tagged = [...page.querySelectorAll<HTMLElement>(tags.join())];
  const styled = [...page.querySelectorAll<HTMLElement>("[style]")];
  return (
    tagged.some((each) => !contradicts(each, style, means)) ||
    styled.some((each) => means.test(each.style.getPropertyValue(style)))
  );
}

/** Reads what is pasted from elsewhere: headings, quotes and captions get the looks of that role. */
export function pasteParser(looks: () => Look[], characters: () => CharacterLook[]): DOMParser {
  const wearing = (tag: string, look: () => Look | undefined) => ({
    tag,
    node: paragraphType.name,
    getAttrs: () => ({ id: "", look: look()?.id ?? "" }),
  });
  const role = (wanted: Look["role"]) => () => looks().find((each) => each.role === wanted);
  const standing = ({ tags, style, means, emphasis }: Standing) => {
    const look = () => {
      const found = characters().find((each) => each.emphasis === emphasis);
      return found ? { look: found.id } : (false as const);
    };
    return [
      ...tags.map((tag) => ({
        tag,
        mark: charactersType.name,
        // some programs wrap all that is copied in one that says that it is none
        getAttrs: (dom: HTMLElement) => !contradicts(dom, style, means) && look(),
      })),
      {
        style,
        mark: charactersType.name,
        getAttrs: (value: string) => means.test(value) && look(),
      },
    ];
  };
  return new DOMParser(schema, [
    {
      // words wear one look; what stands out in both ways differs from that
      tag: "strong, b, em, i, [style]",
      mark: localType.name,
      consuming: false,
      getAttrs: (dom: HTMLElement) => {
        const weight = characters().find(({ emphasis }) => emphasis === "STRONG")?.weight ?? 700;
        return (
          emphases.every((each) => standsWithin(dom, each)) &&
          characters().some(({ emphasis }) => emphasis !== undefined) && {
            local: { weight, italic: true },
          }
        );
      },
    },
    ...emphases.flatMap(standing),
    ...[1, 2, 3, 4, 5, 6].map((level) => wearing(`h${level}`, () => headingLook(looks(), level))),
    {
      tag: "a[href]",
      mark: linkType.name,
      getAttrs: (dom: HTMLElement) => {
        const uri = dom.getAttribute("href") ?? "";
        return leadsOut.test(uri) && { to: { type: "address", uri: uri.trim() } };
      },
    },
    wearing("ul > li", () => listLook(looks(), false)),
    wearing("ol > li", () => listLook(looks(), true)),
    wearing("blockquote", role("QUOTE")),
    wearing("figcaption", role("CAPTION")),
    wearing("caption", role("CAPTION")),
    ...DOMParser.fromSchema(schema).rules,
  ]);
}

const dropped: [string, string, string][] = [
  ["u", "underlining", "underlining"],
  ["img, svg, picture, video", "picture", "pictures"],
  ["table", "table (its text is kept)", "tables (their text is kept)"],
];

/**
 * What became of something pasted, in words; nothing where all of it came through.
 *
 * @param html as it was on the clipboard; nothing where it was plain text
 */
export function pasteReport(
  html: string,
  text: string,
  looks: Look[],
  characters: CharacterLook[],
): string | undefined {
  if (html.includes("data-pm-slice")) {
    return undefined;
  }
  const page = new window.DOMParser().parseFromString(html, "text/html");
  const headings = [...page.querySelectorAll("h1, h2, h3, h4, h5, h6")];
  const names = new Set(
    headings.map((each) => headingLook(looks, Number(each.tagName[1]))?.name ?? ""),
  );
  const plain = emphases
    .filter(
      (each) =>
        standsOut(page, each) && !characters.some(({ emphasis }) => emphasis === each.emphasis),
    )
    .map(({ name }) => name);
  const left = dropped.flatMap(([selector, one, many]) => {
    const count = page.querySelectorAll(selector).length;
    return count === 0 ? [] : one === many ? [one] : [counted(count, one, many)];
  });
  const links = [...page.querySelectorAll("a[href]")].filter(
    (each) => !leadsOut.test(each.getAttribute("href") ?? ""),
  ).length;
  const items =
    (listLook(looks, false) ? 0 : page.querySelectorAll("ul > li").length) +
    (listLook(looks, true) ? 0 : page.querySelectorAll("ol > li").length);
  left.unshift(
    ...plain,
    ...(links === 0 ? [] : [counted(links, "link", "links")]),
    ...(items === 0 ? [] : [counted(items, "list marker", "list markers")]),
  );
  const unreadable = unfitIn(text);
  if (unreadable > 0) {
    left.push(counted(unreadable, "character that cannot be set", "characters that cannot be set"));
  }
  const known = [...names].filter((name) => name !== "").map((name) => `“${name}”`);
  const parts = [
    ...(known.length > 0 ? [`Headings got the look ${known.join(", ")}.`] : []),
    ...(headings.length > 0 && names.has("")
      ? ["Headings came as plain text: no look has the role of a heading."]
      : []),
    ...(left.length > 0 ? [`Left out: ${left.join(", ")}.`] : []),
  ];
  return parts.length > 0 ? `Pasted. ${parts.join(" ")}` : undefined;
}
