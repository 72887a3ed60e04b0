import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect } from "react";

/** Whether steps wait until those before them are stored. */
export function waits(queries: QueryClient): boolean {
  return queries
    .getMutationCache()
    .getAll()
    .some(({ state }) => state.status === "pending" && state.isPaused);
}

/**
 * Nothing typed is lost when the window closes: the field that one is in takes its value before,
 * and where steps wait until others are stored, the browser asks whether to leave them.
 */
export function useLeaving() {
  const queries = useQueryClient();
  useEffect(() => {
    const leaving = (event: BeforeUnloadEvent) => {
      if (document.activeElement instanceof HTMLElement) {
        document.activeElement.blur();
      }
      if (waits(queries)) {
        event.preventDefault();
      }
    };
    window.addEventListener("beforeunload", leaving);
    return () => window.removeEventListener("beforeunload", leaving);
  }, [queries]);
}
