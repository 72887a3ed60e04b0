import { createContext, useContext } from "react";
import type { Point } from "../api/queries";
import type { Edit } from "../api/types";

/** What the parts of the Bench share. */
export interface BenchState {
  /** Tries an edit out on the picture without storing it; nothing ends the trial. */
  tryOut: (edit: Edit | undefined) => void;
  /** Turns to a point of a page and shows what is painted there. */
  look: (point: Point) => void;
}

const Context = createContext<BenchState>({ tryOut: () => undefined, look: () => undefined });

export const BenchProvider = Context.Provider;

export function useBench(): BenchState {
  return useContext(Context);
}
