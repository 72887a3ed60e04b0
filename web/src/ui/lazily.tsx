import { lazy, type ComponentType } from "react";

/** So long after the first screen the others are read, in milliseconds. */
const SOON = 1_500;

const all: (() => Promise<unknown>)[] = [];

/**
 * A part whose script is read when it is shown, or soon after the first screen stands. It stands
 * within a Suspense.
 *
 * @param read reads it
 */
export function lazily<P extends object>(read: () => Promise<ComponentType<P>>) {
  all.push(read);
  return lazy(async () => ({ default: await read() }));
}

/** Reads what nobody has asked for yet, so that it is there at once when somebody does. */
export function readAll() {
  const timer = window.setTimeout(() => {
    // what cannot be read now is asked for again when it is shown
    all.forEach((read) => void read().catch(() => undefined));
  }, SOON);
  return () => window.clearTimeout(timer);
}
