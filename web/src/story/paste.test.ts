import { describe, expect, it } from "vitest";
import type { CharacterLook, Look } from "../api/types";
import { cleaned, pasteParser, pasteReport } from "./paste";
import { allWritten, textOfWritten } from "./text";

const look = (id: string, name: string, role?: Look["role"]) => ({ id, name, role }) as Look;
const looks = [look("h", "Heading", "HEADING_1"), look("b", "Body"), look("q", "Quote", "QUOTE")];

const characters = [
  { id: "s", name: "Strong", emphasis: "STRONG" },
  { id: "plain", name: "Plain" },
] as CharacterLook[];

function pasted(html: string) {
  const page = new window.DOMParser().parseFromString(html, "text/html");
  return allWritten(
    pasteParser(
      () => looks,
      () => characters,
    ).parse(page.body),
  ).map((each) => [each.look, textOfWritten(each)]);
}

describe("what is pasted from elsewhere", () => {
  it("keeps its paragraphs, and headings and quotes get the looks of their role", () => {
    expect(
      pasted(
        "<h1>Night</h1><p>One <b>bold</b> word.</p><h3>Later</h3><blockquote>Quiet.</blockquote><ul><li>First</li><li>Second</li></ul>",
      ),
    ).toEqual([
      ["h", "Night"],
      ["", "One bold word."],
      ["h", "Later"],
      ["q", "Quiet."],
      ["", "First"],
      ["", "Second"],
    ]);
  });

  it("is told what became of it", () => {
    expect(
      pasteReport("<h1>Night</h1><p>One <b>bold</b> <a href='#'>link</a></p>", "", looks, []),
    ).toBe("Pasted. Headings got the look “Heading”. Left out: bold, 1 link.");
    expect(pasteReport("<h2>Night</h2>", "", [look("b", "Body")], [])).toContain(
      "no look has the role",
    );
    expect(pasteReport("<p>Plain</p>", "Plain", looks, [])).toBeUndefined();
    expect(pasteReport("", "Bell\u0007, half \ud83c", looks, [])).toBe(
      "Pasted. Left out: 2 characters that cannot be set.",
    );
  });

  it("gives bold and slanted words the looks that stand for them, as far as there are some", () => {
    const html = "<p>One <b>bold</b>, one <em>slanted</em> and one <strong>strong</strong>.</p>";
    const page = new window.DOMParser().parseFromString(html, "text/html");
    const parser = pasteParser(
      () => looks,
      () => characters,
    );
    expect(allWritten(parser.parse(page.body))[0]?.runs).toEqual([
      { text: "One " },
      { text: "bold", look: "s" },
      { text: ", one slanted and one " },
      { text: "strong", look: "s" },
      { text: "." },
    ]);
    expect(pasteReport(html, "", looks, characters)).toBe("Pasted. Left out: italics.");
  });

  it("takes styles for what they say, and a wrapper that says it is not bold for none", () => {
    const parser = pasteParser(
      () => looks,
      () => characters,
    );
    const html =
      '<b style="font-weight:normal"><p>Plain <span style="font-weight:700">loud</span> <span style="font-style:italic">soft</span></p></b>';
    const page = new window.DOMParser().parseFromString(html, "text/html");
    expect(allWritten(parser.parse(page.body)).flatMap(({ runs }) => runs)).toEqual([
      { text: "Plain " },
      { text: "loud", look: "s" },
      { text: " soft" },
    ]);
    expect(pasteReport(html, "", looks, characters)).toBe("Pasted. Left out: italics.");
    const wrapped = '<b style="font-weight:normal">Plain</b>';
    expect(pasteReport(wrapped, "Plain", looks, [])).toBeUndefined();
  });

  it("keeps what is bold and italic at once, as a difference from the look of one of both", () => {
    const both = [
      { id: "s", name: "Strong", emphasis: "STRONG", weight: 650 },
      { id: "e", name: "Emphasis", emphasis: "EMPHASIS" },
    ] as CharacterLook[];
    const parser = pasteParser(
      () => looks,
      () => both,
    );
    const html =
      '<p><em>Soft <strong>loud</strong></em> <b style="font-style:italic">both</b> <i>x <b style="font-weight:400">y</b></i></p>';
    const page = new window.DOMParser().parseFromString(html, "text/html");
    const local = { weight: 650, italic: true };
    expect(allWritten(parser.parse(page.body))[0]?.runs).toEqual([
      { text: "Soft ", look: "e" },
      { text: "loud", look: "s", local },
      { text: " " },
      { text: "both", look: "s", local },
      { text: " " },
      { text: "x y", look: "e" },
    ]);
  });

  it("takes differences that stand in a page only as they can be", () => {
    const html = `<p data-look='x' data-local='{"left":"12 pt","before":"-3 pt","leading":"9000 %","size":"1e9 pt","alignment":"UP"}'><span data-local='{"size":150,"weight":"bold","tracking":9999,"x":1}'>a</span><span data-local='null'>b</span><span data-local='["size"]'>c</span></p>`;
    const page = new window.DOMParser().parseFromString(html, "text/html");
    const parser = pasteParser(
      () => looks,
      () => characters,
    );
    expect(allWritten(parser.parse(page.body))).toEqual([
      {
        paragraph: "",
        look: "",
        local: { left: "12 pt" },
        runs: [{ text: "a", local: { size: 150 } }, { text: "bc" }],
      },
    ]);
  });

  it("holds nothing that no text holds", () => {
    expect(cleaned("a\tb\u0000c\u200bd\ud83ce 🌌\n")).toBe("a\tbc\u200bde 🌌\n");
  });

  it("keeps links that lead somewhere, and gives the items of lists the looks of lists", () => {
    const lists = [
      ...looks,
      { id: "dots", name: "Dots", list: { mark: { type: "bullet", text: "•" }, level: 1 } },
    ] as Look[];
    const html =
      "<p>See <a href='https://observatory.example/'>the page</a> or <a href='javascript:x()'>this</a>.</p><ul><li>One</li></ul><ol><li>Two</li></ol>";
    const page = new window.DOMParser().parseFromString(html, "text/html");
    const parser = pasteParser(
      () => lists,
      () => characters,
    );
    const written = allWritten(parser.parse(page.body));
    expect(written[0]?.runs).toEqual([
      { text: "See " },
      { text: "the page", link: { type: "address", uri: "https://observatory.example/" } },
      { text: " or this." },
    ]);
    expect(written.map(({ look }) => look)).toEqual(["", "dots", ""]);
    expect(pasteReport(html, "", lists, characters)).toBe(
      "Pasted. Left out: 1 link, 1 list marker.",
    );
  });

  it("takes nothing that only looks as if it came from here", () => {
    const html =
      "<p data-look='x'><span data-link='{\"type\"'>a</span><span data-link='{\"type\":\"address\",\"uri\":\"javascript:x\"}'>b</span><span data-language='KLINGON'>c</span><span data-swatch='red'>d</span><span data-characters='bold'>e</span></p>";
    const page = new window.DOMParser().parseFromString(html, "text/html");
    const parser = pasteParser(
      () => looks,
      () => characters,
    );
    expect(allWritten(parser.parse(page.body))).toEqual([
      { paragraph: "", look: "", runs: [{ text: "abcde" }] },
    ]);
  });
});
