/** What a pause is counted in. */
const PARTS = 6;

/** Longer than this many pauses nothing waits. */
const MOST = 6;

/**
 * Does something after a pause in which somebody could have gone on. Time in which the page had too
 * much to do to take a key does not count: what is done in one go stays one step on a slow machine,
 * too.
 *
 * @param pause in milliseconds
 * @returns what gives it up
 */
export function afterPause(pause: number, act: () => void): () => void {
  const part = pause / PARTS;
  const until = performance.now() + MOST * pause;
  let timer: number;
  const wait = (parts: number) => {
    const due = performance.now() + part;
    timer = window.setTimeout(() => {
      const now = performance.now();
      const left = now - due > part / 2 ? parts : parts - 1;
      if (left > 0 && now < until) {
        wait(left);
      } else {
        act();
      }
    }, part);
  };
  wait(PARTS);
  return () => window.clearTimeout(timer);
}
