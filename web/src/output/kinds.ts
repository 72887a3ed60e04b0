import type { Job, Schemas } from "../api/types";

export type OutputKind = Schemas["OutputSettings"]["kind"];

interface About {
  name: string;
  /** As what a button exports. */
  object: string;
  words: string;
  /** The standards that it can say it follows. */
  claims?: string;
}

export const about: Record<OutputKind, About> = {
  PRESS_PDF: {
    name: "Press PDF",
    object: "press PDF",
    words:
      "For a printer: CMYK and spot inks for the press condition, each page out to its bleed, with embedded fonts.",
    claims: "PDF/X-4",
  },
  READING_PDF: {
    name: "Reading PDF",
    object: "reading PDF",
    words:
      "For the screen and for keeping: sRGB, cropped to the trim, with headings, lists, links, bookmarks and alternative texts for whoever listens to it.",
    claims: "PDF/A-2a and PDF/UA-1",
  },
  ALL_PDF: {
    name: "One PDF for all",
    object: "one PDF for all",
    words: "A single file that a printer takes, that can be kept, and that can be listened to.",
    claims: "PDF/X-4, PDF/A-2a and PDF/UA-1",
  },
  SCREEN_AND_PAPER_PDF: {
    name: "Screen and paper PDF",
    object: "screen and paper PDF",
    words:
      "One file that shows what goes to the screen and prints what goes to paper, each text in a colour that can be read there. PDF/A and PDF/UA forbid what switches it, so it follows neither.",
  },
  OFFICE_PDF: {
    name: "Office printout",
    object: "office printout",
    words:
      "For a printer without bleed: sRGB, cut at the trim. Without backgrounds, text that needs them is in other colours.",
  },
  PNG: {
    name: "PNG pictures",
    object: "PNG pictures",
    words: "Each page as a picture without loss, with the sRGB profile, in a zip file.",
  },
  JPEG: {
    name: "JPEG pictures",
    object: "JPEG pictures",
    words: "Each page as a smaller picture, with the sRGB profile, in a zip file.",
  },
  SVG: {
    name: "SVG pages",
    object: "SVG pages",
    words: "Each page as shapes that stay sharp at any size, in a zip file.",
  },
  WEB: {
    name: "Web page",
    object: "web page",
    words:
      "The stories as HTML and CSS, with shadings, highlights, borders and colours, each stretch of text on the colour that it is judged on, in a zip file.",
  },
};

export const outputs = Object.keys(about) as OutputKind[];

/** What is made of the pages; nothing for the files of a set. */
export function isOutput(kind: Job["kind"]): kind is OutputKind {
  return kind in about;
}
