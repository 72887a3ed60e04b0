import { useLayoutEffect, useState, type RefObject } from "react";

/** How wide the room inside an element is, without its padding, in pixels; 0 until it is known. */
export function useWidth(of: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = of.current;
    if (!element) {
      return undefined;
    }
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return width;
}
