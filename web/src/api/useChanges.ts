import { useHeld, type Change } from "../ui/useHeld";
import { useSteps } from "./steps";
import { useTrying } from "./trying";
import type { Edit, Publication } from "./types";

/**
 * Something whose properties are changed in a form: as it is, what was just changed included, and
 * what changes it. It is shown while it is being stored; the promise of a change is kept when it is,
 * with false where it was refused.
 *
 * @param toEdit the edit that makes a change, to be stored or to be shown only
 * @param done what is said when it is stored
 */
export function useChanges<T>(
  publication: Publication,
  id: string,
  value: T,
  toEdit: (change: Change<T>, shownOnly: boolean) => Edit,
  done: string,
): [T, (next: T) => Promise<boolean>] {
  const steps = useSteps(publication);
  const { settle } = useTrying();
  const held = useHeld(id, value);
  const change = (next: T) => {
    const shown = toEdit({ was: value, made: next }, true);
    const stored = held.hold(next, (sent, onKept) =>
      steps.stored(() => toEdit(sent(), false), done, onKept),
    );
    settle(stored, shown);
    return stored;
  };
  return [held.value, change];
}
