import { useLayoutEffect, useState, type RefObject } from "react";

/** How wide an element is, in pixels; 0 until it is known. */
export function useWidth(of: RefObject<HTMLElement | null>): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    const element = of.current;
    if (!element) {
      return undefined;
    }
    const observer = new ResizeObserver(() => setWidth(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return width;
}
