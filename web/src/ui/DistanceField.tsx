import type { Setup } from "../api/types";
import { Field } from "./Field";
import { isEm, shownLength, steppedEm, steppedLength, typedEm, typedLength } from "./length";

/** A distance that is a length or follows the type size, in em. */
export function DistanceField({
  label,
  value,
  unit,
  onCommit,
  onTry,
}: {
  label: string;
  value: string;
  unit: Setup["unit"];
  onCommit: (value: string) => unknown;
  onTry?: (value: string | undefined) => void;
}) {
  const read = (text: string) => (isEm(text) ? typedEm(text) : typedLength(text, unit));
  return (
    <Field
      label={label}
      value={isEm(value) ? value : shownLength(value, unit)}
      step={(typed, by) => (isEm(typed) ? steppedEm(typed, by) : steppedLength(typed, by))}
      onCommit={(text) => onCommit(read(text))}
      onTry={onTry && ((text) => onTry(text === undefined ? undefined : read(text)))}
    />
  );
}
