import { createContext, useContext } from "react";

/** In which properties several things that are changed together are not the same. */
export interface Differing {
  /** Each by its way, such as "fill.color.tint". */
  ways: string[];
  /** Told that all of them get a value that was chosen for a property. */
  settle: (way: string) => void;
}

const Context = createContext<Differing>({ ways: [], settle: () => undefined });

export const DifferingProvider = Context.Provider;

/** What a field shows instead of a value where there are several. */
export const DIFFERS = "differs";

export interface Differs {
  differs: boolean;
  settle: () => void;
}

/**
 * Whether what a field is for is not the same in all that it changes.
 *
 * @param way of the property; nothing where it is always one
 */
export function useDiffers(way: string | undefined): Differs {
  const { ways, settle } = useContext(Context);
  const differs =
    way !== undefined && ways.some((each) => each === way || each.startsWith(`${way}.`));
  return { differs, settle: () => differs && settle(way) };
}

export function useDiffering(): Differing {
  return useContext(Context);
}
