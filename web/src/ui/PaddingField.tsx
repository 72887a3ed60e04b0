import { typedPadding, writtenPadding, type Padding } from "../catalogue/padding";
import type { Setup } from "../api/types";
import { Field } from "./Field";
import { useStatus } from "./Status";

/** Padding in one line: one value, two or four. */
export function PaddingField({
  unit,
  value,
  onCommit,
}: {
  unit: Setup["unit"];
  value: Padding;
  onCommit: (padding: Padding) => unknown;
}) {
  const status = useStatus();
  return (
    <Field
      label="Padding: one value, two or four"
      value={writtenPadding(value, unit)}
      onCommit={(text) => {
        const typed = typedPadding(text, unit);
        if (!typed) {
          status.fail(`“${text}” is not one value, two or four, such as 0.5 em or 2 mm 4 mm.`);
          return false;
        }
        return onCommit(typed);
      }}
    />
  );
}
