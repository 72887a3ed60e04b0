import { useCallback, useState } from "react";

/** What is kept by the browser under a key, as far as it can be read. */
export function readKept<T extends object>(storage: Storage, key: string, start: T): T {
  try {
    const known: unknown = JSON.parse(storage.getItem(key) ?? "{}");
    return typeof known === "object" ? { ...start, ...known } : start;
  } catch {
    return start; // written by another version, or storage is switched off
  }
}

export function keep(storage: Storage, key: string, value: object) {
  try {
    storage.setItem(key, JSON.stringify(value));
  } catch {
    // full or switched off: it holds for as long as the screen is open
  }
}

/**
 * State that is there again when one comes back.
 *
 * @param storage of the browser for good, or of this window
 */
export function useKept<T extends object>(
  storage: Storage,
  key: string,
  start: T,
): [T, (change: (last: T) => T) => void] {
  const [value, setValue] = useState(() => readKept(storage, key, start));
  const change = useCallback(
    (made: (last: T) => T) =>
      setValue((last) => {
        const next = made(last);
        keep(storage, key, next);
        return next;
      }),
    [storage, key],
  );
  return [value, change];
}
