import type { Placing, Setup } from "../api/types";
import { Choice } from "../ui/Choice";
import { LengthField } from "../ui/LengthField";

type Anchor = Placing["anchor"];

/** A point that something is measured from, and how far it lies from there. */
interface Anchored {
  anchor: Anchor;
  across: string;
  down: string;
}

const across: { id: Anchor["across"]; label: string }[] = [
  { id: "LEFT", label: "Left edge" },
  { id: "MIDDLE", label: "Middle" },
  { id: "RIGHT", label: "Right edge" },
  { id: "INSIDE", label: "Inside edge" },
  { id: "OUTSIDE", label: "Outside edge" },
];

const down: { id: Anchor["down"]; label: string }[] = [
  { id: "TOP", label: "Top" },
  { id: "MIDDLE", label: "Middle" },
  { id: "BOTTOM", label: "Bottom" },
];

/** Fields of these, to be put in a row of two columns. */
export function AnchorFields({
  label,
  unit,
  trim,
  value,
  way,
  onChange,
}: {
  label: string;
  unit: Setup["unit"];
  /** The page that percentages are of. */
  trim: Setup["trim"];
  value: Anchored;
  /** Of what holds these properties. */
  way: string;
  onChange: (changed: Partial<Anchored>) => unknown;
}) {
  const { anchor } = value;
  return (
    <>
      <Choice
        label={label}
        value={anchor.across}
        options={across}
        way={`${way}.anchor.across`}
        onChange={(id) => onChange({ anchor: { ...anchor, across: id as Anchor["across"] } })}
      />
      <Choice
        label="and"
        value={anchor.down}
        options={down}
        way={`${way}.anchor.down`}
        onChange={(id) => onChange({ anchor: { ...anchor, down: id as Anchor["down"] } })}
      />
      <LengthField
        label={anchor.across === "MIDDLE" ? "To the right" : "Inwards"}
        unit={unit}
        of={trim.width}
        value={value.across}
        way={`${way}.across`}
        onCommit={(length) => onChange({ across: length })}
      />
      <LengthField
        label={anchor.down === "BOTTOM" ? "Upwards" : "Downwards"}
        unit={unit}
        of={trim.height}
        value={value.down}
        way={`${way}.down`}
        onCommit={(length) => onChange({ down: length })}
      />
    </>
  );
}
