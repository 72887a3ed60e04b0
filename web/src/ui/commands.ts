import { createContext, useContext, useEffect, useId } from "react";

/** Something that can be done, as it stands in the list of all. */
export interface Command {
  label: string;
  /** The keys that do it at once, in words. */
  keys?: string;
  isDisabled?: boolean;
  run: () => void;
}

/** What each part of the screen offers, by an id of the part. */
export type Offered = Map<string, Command[]>;

export const OfferedContext = createContext<Offered>(new Map());

/** Offers what can be done here, for as long as this part is on the screen. */
export function useCommands(commands: Command[]) {
  const offered = useContext(OfferedContext);
  const id = useId();
  useEffect(() => {
    offered.set(id, commands);
  });
  useEffect(() => {
    return () => {
      offered.delete(id);
    };
  }, [offered, id]);
}

/** All that can be done, those whose label has every word typed, by their label. */
export function found(offered: Offered, typed: string): Command[] {
  const words = typed.toLocaleLowerCase().split(/\s+/);
  return [...offered.values()]
    .flat()
    .filter(({ label, isDisabled }) => {
      const plain = label.toLocaleLowerCase();
      return !isDisabled && words.every((word) => plain.includes(word));
    })
    .sort((one, other) => one.label.localeCompare(other.label));
}
