import { Field } from "./Field";
import { steppedNumber, typedNumber } from "./number";
import { useStatus } from "./Status";

/** A plain number; the arrow keys go up and down by one, with Shift by ten. */
export function NumberField({
  label,
  value,
  onCommit,
  hiddenLabel,
  way,
  onTry,
}: {
  label: string;
  hiddenLabel?: boolean;
  value: number;
  way?: string;
  onCommit: (value: number) => unknown;
  /** Shows what a number would make while it is typed; nothing ends that. */
  onTry?: ((value: number | undefined) => void) | undefined;
}) {
  const status = useStatus();
  return (
    <Field
      label={label}
      {...(hiddenLabel ? { hiddenLabel } : {})}
      {...(way ? { way } : {})}
      value={String(Number(value.toFixed(2)))}
      step={steppedNumber}
      onTry={onTry && ((text) => onTry(text === undefined ? undefined : typedNumber(text)))}
      onCommit={(text) => {
        const typed = typedNumber(text);
        if (typed === undefined) {
          status.fail(`“${text}” is not a number.`);
          return false;
        }
        return onCommit(typed);
      }}
    />
  );
}
