import { useEffect, useRef, useState } from "react";

/** So near to what is seen something is read or drawn already. */
const NEAR = "400px";

/** Whether an element has come near to what is seen of the window. */
export function useNear<E extends HTMLElement>() {
  const element = useRef<E>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const observed = element.current;
    if (!observed) {
      return;
    }
    const observer = new IntersectionObserver(
      ([entry]) => setNear(entry?.isIntersecting ?? false),
      { rootMargin: NEAR },
    );
    observer.observe(observed);
    return () => observer.disconnect();
  }, []);
  return { element, near };
}
