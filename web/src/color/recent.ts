import { useEffect, useState } from "react";
import type { Definition, SwatchEntry } from "../api/types";

/** A colour as it was when it was last worked on. */
export interface Recent {
  definition: Definition;
  screen: string;
  values: string;
}

const most = 10;
const changed = "yewberry-recent-colors";

const keyOf = (publication: string) => `yewberry-recent ${publication}`;

function read(publication: string): Recent[] {
  try {
    return JSON.parse(localStorage.getItem(keyOf(publication)) ?? "[]") as Recent[];
  } catch {
    return [];
  }
}

/** Notes a colour that is about to be given up, or was just chosen. */
export function remember(publication: string, swatch: SwatchEntry) {
  const { definition, screen, values } = swatch;
  if (definition.type === "plain" || definition.type === "spotInk") {
    const plain: Definition =
      definition.type === "plain" ? definition : { type: "plain", color: definition.equivalent };
    const now: Recent = { definition: plain, screen, values };
    const others = read(publication).filter((each) => each.values !== values);
    localStorage.setItem(keyOf(publication), JSON.stringify([now, ...others].slice(0, most)));
    window.dispatchEvent(new Event(changed));
  }
}

/** The colours that were worked on last, in this browser. */
export function useRecent(publication: string): Recent[] {
  const [recent, setRecent] = useState(() => read(publication));
  useEffect(() => {
    const again = () => setRecent(read(publication));
    window.addEventListener(changed, again);
    return () => window.removeEventListener(changed, again);
  }, [publication]);
  return recent;
}
