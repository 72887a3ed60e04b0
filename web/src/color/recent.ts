import { useEffect, useRef, useState } from "react";
import type { Definition, SwatchEntry } from "../api/types";

/** A colour that was chosen: written, taken from the page, or what a swatch was left as. */
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

/** Notes a colour that was chosen. */
function remember(publication: string, swatch: SwatchEntry) {
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

/**
 * Notes what a swatch was before it is worked on, and what it is left as; not the values that it
 * goes through on the way there.
 *
 * @returns says that the next change is a colour chosen as a whole
 */
export function useRemembered(publication: string, swatch: SwatchEntry): () => void {
  const begun = useRef(swatch);
  const latest = useRef(swatch);
  const chosen = useRef(false);
  useEffect(() => {
    if (latest.current.values !== swatch.values) {
      if (latest.current === begun.current) {
        remember(publication, begun.current);
      }
      if (chosen.current) {
        remember(publication, swatch);
      }
      chosen.current = false;
    }
    latest.current = swatch;
  }, [publication, swatch]);
  useEffect(
    () => () => {
      if (latest.current.values !== begun.current.values) {
        remember(publication, latest.current);
      }
    },
    [publication],
  );
  return () => {
    chosen.current = true;
  };
}
