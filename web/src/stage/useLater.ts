import { useEffect, useRef } from "react";
import { afterPause } from "../ui/afterPause";

/** Does the last of several things after a pause, or at once when there is no more to come. */
export function useLater(pause: number) {
  const giveUp = useRef<() => void>(undefined);
  const waiting = useRef<() => void>(undefined);
  const act = () => {
    giveUp.current?.();
    const last = waiting.current;
    waiting.current = undefined;
    last?.();
  };
  useEffect(() => act, []);
  return (next: () => void) => {
    giveUp.current?.();
    waiting.current = next;
    giveUp.current = afterPause(pause, act);
  };
}
