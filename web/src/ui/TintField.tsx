import { NumberField } from "./NumberField";

/** How much of a swatch a use takes, in percent. */
export function TintField({
  tint,
  way,
  onChange,
  onTry,
}: {
  tint: number;
  way?: string;
  onChange: (tint: number) => unknown;
  onTry?: (tint: number | undefined) => void;
}) {
  return (
    <NumberField
      label="Tint %"
      value={tint}
      onCommit={onChange}
      onTry={onTry}
      {...(way ? { way } : {})}
    />
  );
}
