/** What is open for longer than this somebody is in, in milliseconds. */
const MOST = 10_000;

/**
 * Does something, such as moving the focus, when no list and no dialog is open any more and the one
 * that closed has given the focus back, however slowly that goes. Where one stays open, nothing is
 * taken from it.
 */
export function afterLists(act: () => void) {
  const until = performance.now() + MOST;
  const look = () =>
    requestAnimationFrame(() => {
      const isOpen = document.querySelector("[data-trigger], [role=dialog]") !== null;
      if (!isOpen) {
        requestAnimationFrame(() => requestAnimationFrame(act));
      } else if (performance.now() < until) {
        look();
      }
    });
  look();
}
