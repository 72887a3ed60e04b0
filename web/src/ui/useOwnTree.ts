import { useLayoutEffect, useRef, type RefObject } from "react";

/**
 * Puts a picture of pages into an element, in a tree of its own: all pictures name their parts
 * alike, so that each finds those that are its own; and what is styled around it does not have the
 * browser look at all of its shapes again.
 *
 * @param picture SVG that our own server has drawn from numbers and glyph outlines; nothing while
 *   it is being drawn
 * @param height of the picture, as an attribute of SVG
 */
export function useOwnTree<T extends HTMLElement>(
  picture: string | undefined,
  height: string,
): RefObject<T | null> {
  const host = useRef<T>(null);
  useLayoutEffect(() => {
    const element = host.current;
    if (!element) {
      return;
    }
    const tree = element.shadowRoot ?? element.attachShadow({ mode: "open" });
    tree.innerHTML = picture ?? "";
    const svg = tree.querySelector("svg");
    svg?.setAttribute("width", "100%");
    svg?.setAttribute("height", height);
    svg?.style.setProperty("display", "block");
  }, [picture, height]);
  return host;
}
