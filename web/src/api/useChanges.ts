import { useHeld, type Change } from "../ui/useHeld";
import { useSteps } from "./queries";
import type { Edit, Publication } from "./types";

/**
 * Something whose properties are changed in a form: as it is, what was just changed included, and
 * what changes it. The promise of a change is kept when it is stored, with false where it was
 * refused.
 *
 * @param toEdit the edit that makes a change
 * @param done what is said when it is stored
 */
export function useChanges<T>(
  publication: Publication,
  id: string,
  value: T,
  toEdit: (change: Change<T>) => Edit,
  done: string,
): [T, (next: T) => Promise<boolean>] {
  const steps = useSteps(publication);
  const held = useHeld(id, value);
  const change = (next: T) =>
    held.hold(next, (sent, onKept) => steps.stored(() => toEdit(sent()), done, onKept));
  return [held.value, change];
}
