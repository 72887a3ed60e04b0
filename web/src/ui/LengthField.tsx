import type { Setup } from "../api/types";
import { Field } from "./Field";
import { shownLength, steppedLength, typedLength } from "./length";

/** A length in the publication's unit; any other unit and decimal commas can be typed,
 * and the arrow keys go up and down by one, with Shift by ten. */
export function LengthField({
  label,
  value,
  unit,
  onCommit,
}: {
  label: string;
  value: string;
  unit: Setup["unit"];
  onCommit: (value: string) => void;
}) {
  return (
    <Field
      label={label}
      value={shownLength(value, unit)}
      step={steppedLength}
      onCommit={(text) => onCommit(typedLength(text, unit))}
    />
  );
}
