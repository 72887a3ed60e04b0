import { useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";

/** Has the field that one is in take its value. */
function leaveField(): HTMLElement | undefined {
  const field = document.activeElement;
  if (field instanceof HTMLElement) {
    field.blur();
    return field;
  }
  return undefined;
}

/**
 * Nothing typed is lost when the window closes: the field that one is in takes its value before.
 * Where steps wait until others are stored, the browser asks whether to leave them.
 */
export function useLeaving() {
  const queries = useQueryClient();
  useEffect(() => {
    const asked = (event: BeforeUnloadEvent) => {
      if (queries.isMutating() === 0) {
        return; // what is sent now is kept alive
      }
      const field = leaveField();
      const waits = queries
        .getMutationCache()
        .getAll()
        .some(({ state }) => state.status === "pending" && state.isPaused);
      if (waits) {
        event.preventDefault();
      }
      window.setTimeout(() => field?.focus()); // one may stay
    };
    window.addEventListener("beforeunload", asked);
    window.addEventListener("pagehide", leaveField);
    return () => {
      window.removeEventListener("beforeunload", asked);
      window.removeEventListener("pagehide", leaveField);
    };
  }, [queries]);
}
