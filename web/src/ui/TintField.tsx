import { NumberField } from "./NumberField";

/** How much of a swatch a use takes, in percent. */
export function TintField({
  tint,
  onChange,
}: {
  tint: number;
  onChange: (tint: number) => unknown;
}) {
  return <NumberField label="Tint %" value={tint} onCommit={onChange} />;
}
