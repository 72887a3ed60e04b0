import { createContext, useContext } from "react";
import type { Point } from "../api/queries";
import type { Panel } from "./panels";
import { noScope, type Scope } from "../scope/scope";
import { noGiving, type Giving } from "../story/useGiving";
import type { Taken } from "../strata/sampler";

/** A colour that is to be taken from the page: for what, and what is done with it. */
export interface Sampling {
  /** What gets the colour, in words. */
  naming: string;
  take: (taken: Taken) => void;
  /** Why a stratum cannot be taken, if it cannot. */
  refuses: (taken: Taken) => string | undefined;
}

/** A place in a frame, in millimetres from its top left corner. */
export interface CaretPlace {
  frame: string;
  x: number;
  y: number;
  height: number;
}

/** A frame whose story is to go on in another one. */
export interface Joining {
  frame: string;
  story: string;
}

/** What the parts of the Bench share. */
export interface BenchState {
  /** Turns to a point of a page and shows what is painted there. */
  look: (point: Point) => void;
  /** Folds a panel out, where something is about to happen in it. */
  reveal: (panel: Panel) => void;
  /** What is being changed, and what else could be. */
  scope: Scope;
  scopes: Scope[];
  changeScope: (id: string) => void;
  /** What is changed instead while one is in its fields, wherever it is used; in words. */
  editing: string | undefined;
  edits: (what: string | undefined) => void;
  /** The story that is being written, beside the page. */
  writing: string | undefined;
  /** Opens a story to write in it; nothing closes it. */
  write: (story: string | undefined) => void;
  /** Turns to a page. */
  turnTo: (page: string) => void;
  /** Where the caret of what is being written stands on the page. */
  caret: CaretPlace | undefined;
  markCaret: (at: CaretPlace | undefined) => void;
  /** The frame that is chosen, to be moved and sized on the page. */
  frame: string | undefined;
  chooseFrame: (frame: string | undefined) => void;
  /** The frame whose story is to go on in another one, which is being chosen. */
  joining: Joining | undefined;
  /** Begins, or with nothing ends, choosing the frame that a story goes on in. */
  beginJoin: (from: Joining | undefined) => void;
  /** The frame was chosen. */
  join: (frame: string) => void;
  /** The look that was picked up, to be given to other text. */
  giving: Giving;
  sampling: Sampling | undefined;
  /** Begins or, with nothing, ends taking a colour from the page. */
  sample: (sampling: Sampling | undefined) => void;
  /** Whether there is a page to take a colour from. */
  canSample: boolean;
}

const Context = createContext<BenchState>({
  look: () => undefined,
  reveal: () => undefined,
  scope: noScope,
  scopes: [],
  changeScope: () => undefined,
  editing: undefined,
  edits: () => undefined,
  writing: undefined,
  write: () => undefined,
  turnTo: () => undefined,
  caret: undefined,
  markCaret: () => undefined,
  frame: undefined,
  chooseFrame: () => undefined,
  joining: undefined,
  beginJoin: () => undefined,
  join: () => undefined,
  giving: noGiving,
  sampling: undefined,
  sample: () => undefined,
  canSample: false,
});

export const BenchProvider = Context.Provider;

export function useBench(): BenchState {
  return useContext(Context);
}
