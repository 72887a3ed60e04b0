import { readLength } from "../api/queries";
import type { Setup } from "../api/types";
import { Field } from "./Field";
import {
  isCalculated,
  isPercent,
  shownLength,
  steppedLength,
  steppedPercent,
  typedLength,
} from "./length";
import { useStatus } from "./Status";
import { messageOf } from "./words";

/**
 * A length in the publication's unit; any other unit, decimal commas, fractions, percentages and
 * sums can be typed, and the arrow keys go up and down by one, with Shift by ten.
 */
export function LengthField({
  label,
  value,
  unit,
  of,
  way,
  multiple,
  empty,
  onClear,
  onCommit,
}: {
  label: string;
  value: string;
  unit: Setup["unit"];
  /** What percentages are of. */
  of?: string;
  way?: string;
  /** Whether a percentage stays one, so that it follows what it is of. */
  multiple?: boolean;
  /** Where it may be left empty: told when it is. */
  onClear?: () => unknown;
  /** What counts then. */
  empty?: string | undefined;
  onCommit: (value: string) => unknown;
}) {
  const status = useStatus();
  const calculated = async (text: string) => {
    try {
      const { length } = await readLength(text, unit, of);
      const taken = await onCommit(length);
      if (taken !== false) {
        status.say(`${text} is ${shownLength(length, unit)}`);
      }
      return taken;
    } catch (error) {
      status.fail(messageOf(error));
      return false;
    }
  };
  const shown = (length: string) =>
    length === "" || isPercent(length) ? length : shownLength(length, unit);
  return (
    <Field
      label={label}
      value={shown(value)}
      empty={empty === undefined ? undefined : shown(empty)}
      step={(typed, by) =>
        isPercent(typed) ? steppedPercent(typed, by) : steppedLength(typed, by)
      }
      {...(way ? { way } : {})}
      onCommit={(text) => {
        if (onClear && text.trim() === "") {
          return onClear();
        }
        if (multiple && isPercent(text)) {
          return onCommit(text.trim().replace(",", "."));
        }
        return isCalculated(text) ? calculated(text) : onCommit(typedLength(text, unit));
      }}
    />
  );
}
