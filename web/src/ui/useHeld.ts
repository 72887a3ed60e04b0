import { useRef, useState } from "react";
import { merged } from "./merged";

/** A change as it is to be sent, when its turn has come. */
export interface Change<T> {
  was: T;
  made: T;
}

/**
 * A value of the server's, and what was made of it here that is not back from there yet: the next
 * change is made from that, so that nothing typed is lost, however slow the server is. A change
 * that is refused takes nothing with it that was typed behind it.
 *
 * @param id what the value belongs to; another one begins with its own
 */
export function useHeld<T>(id: string, value: T) {
  const [held, setHeld] = useState<{ id: string; value: T }>();
  const kept = useRef<{ id: string; value: T; open: number }>(undefined);
  const shown = held?.id === id ? held.value : value;

  const hold = (
    next: T,
    store: (change: () => Change<T>, onKept: () => void) => Promise<boolean>,
  ): Promise<boolean> => {
    if (kept.current?.id !== id || kept.current.open === 0) {
      kept.current = { id, value, open: 0 };
    }
    const base = kept.current;
    const mine = { id, value: next };
    base.open++;
    setHeld(mine);
    let made = next;
    return store(
      () => {
        made = merged(shown, next, base.value);
        return { was: base.value, made };
      },
      () => {
        base.value = made;
      },
    ).finally(() => {
      base.open--;
      setHeld((last) => (last === mine ? undefined : last));
    });
  };
  return { value: shown, hold };
}
