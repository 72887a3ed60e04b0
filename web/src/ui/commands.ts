import { createContext, useContext, useEffect, useId } from "react";

/** Something that can be done, as it stands in the list of all. */
export interface Command {
  label: string;
  /** The keys that do it at once, in words. */
  keys?: string;
  /** The part of the screen that it stands in. */
  place?: string;
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

/** So many of what stands on the screen are listed: more than anybody reads. */
const MOST = 40;

function hasWords({ label, place }: Command, typed: string): boolean {
  const plain = `${label} ${place ?? ""}`.toLocaleLowerCase();
  return typed
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => plain.includes(word));
}

/**
 * All that can be done, those whose label has every word typed, by their label; then what stands on
 * the screen, once something is typed.
 */
export function found(offered: Offered, typed: string, onScreen: Command[] = []): Command[] {
  const all = [...offered.values()].flat();
  const known = new Set(all.map(({ label }) => label));
  const byLabel = (one: Command, other: Command) => one.label.localeCompare(other.label);
  return [
    ...all.filter((each) => !each.isDisabled && hasWords(each, typed)).sort(byLabel),
    ...onScreen
      .filter((each) => typed.trim() !== "" && !known.has(each.label) && hasWords(each, typed))
      .sort(byLabel)
      .slice(0, MOST),
  ];
}
