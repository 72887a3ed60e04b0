import { createContext, useContext } from "react";
import type { Edit } from "./types";

/** Shows what an edit would make of what is seen, before it is stored. */
export interface Trying {
  /**
   * Shows an edit without storing it; nothing ends that.
   *
   * @param pictureOnly whether there is no time to check it too, as at each key
   */
  tryOut: (edit: Edit | undefined, pictureOnly?: boolean) => void;
  /**
   * What is tried out is being stored, or if nothing is, this edit: it stays in view until the page
   * is drawn again, or is taken back where it is refused.
   */
  settle: (stored: Promise<boolean>, edit?: Edit) => void;
}

const Context = createContext<Trying>({ tryOut: () => undefined, settle: () => undefined });

export const TryingProvider = Context.Provider;

/** Both stay the same as long as what shows it stands. */
export function useTrying(): Trying {
  return useContext(Context);
}
