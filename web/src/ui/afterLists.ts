/** Longer than this nothing waits for a list to close, in milliseconds. */
const MOST = 2_000;

/**
 * Does something, such as moving the focus, when no list and no dialog is open any more and the one
 * that closed has given the focus back, however slowly that goes.
 */
export function afterLists(act: () => void) {
  const until = performance.now() + MOST;
  const look = () =>
    requestAnimationFrame(() => {
      const isOpen = document.querySelector("[data-trigger], [role=dialog]") !== null;
      if (isOpen && performance.now() < until) {
        look();
      } else {
        requestAnimationFrame(() => requestAnimationFrame(act));
      }
    });
  look();
}
