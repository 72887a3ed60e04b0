import { Field } from "./Field";
import { steppedNumber, typedNumber } from "./number";
import { useStatus } from "./Status";

/** A number that may be left open: then the field is empty. */
export function OptionalNumber({
  label,
  value,
  way,
  empty,
  onCommit,
}: {
  label: string;
  value: number | undefined;
  way?: string;
  /** What counts where it is left open. */
  empty?: number | undefined;
  onCommit: (value: number | undefined) => unknown;
}) {
  const status = useStatus();
  return (
    <Field
      label={label}
      value={value === undefined ? "" : String(Number(value.toFixed(2)))}
      step={steppedNumber}
      empty={empty === undefined ? undefined : String(Number(empty.toFixed(2)))}
      {...(way ? { way } : {})}
      onCommit={(text) => {
        if (text.trim() === "") {
          return onCommit(undefined);
        }
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
