import { useEffect, useRef } from "react";

/** Does the last of several things after a pause, or at once when there is no more to come. */
export function useLater(pause: number) {
  const timer = useRef<number>(undefined);
  const waiting = useRef<() => void>(undefined);
  const act = () => {
    window.clearTimeout(timer.current);
    const last = waiting.current;
    waiting.current = undefined;
    last?.();
  };
  useEffect(() => act, []);
  return (next: () => void) => {
    window.clearTimeout(timer.current);
    waiting.current = next;
    timer.current = window.setTimeout(act, pause);
  };
}
