import { NumberField } from "./NumberField";

/** How much of a swatch a use takes, in percent. */
export function TintField({
  tint,
  way,
  onChange,
}: {
  tint: number;
  way?: string;
  onChange: (tint: number) => unknown;
}) {
  return <NumberField label="Tint %" value={tint} onCommit={onChange} {...(way ? { way } : {})} />;
}
