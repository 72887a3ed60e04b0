import type { Definition, Publication, SwatchEntry } from "../api/types";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Row } from "../ui/Field";
import { NumberField } from "../ui/NumberField";

export type Kind = "cmyk" | "rgb" | "lab" | "gray" | "spot" | "tint" | "lighter" | "mix";

export const kinds: { id: Kind; label: string }[] = [
  { id: "cmyk", label: "CMYK" },
  { id: "rgb", label: "sRGB" },
  { id: "lab", label: "CIELAB" },
  { id: "gray", label: "Grey" },
  { id: "spot", label: "Spot ink" },
  { id: "tint", label: "Tint of another" },
  { id: "lighter", label: "Lighter than another" },
  { id: "mix", label: "Mix of two" },
];

export function kindOf(definition: Definition): Kind {
  switch (definition.type) {
    case "plain":
      return definition.color.type === "inks" ? "spot" : definition.color.type;
    case "spotInk":
      return "spot";
    default:
      return definition.type;
  }
}

/** What a swatch becomes when it is made another way: as near to what it was as can be. */
export function startOf(
  kind: Kind,
  swatch: SwatchEntry,
  publication: Publication,
): Definition | undefined {
  const others = publication.swatches.filter((each) => each.id !== swatch.id);
  const base = others[0]?.id;
  const ink = {
    type: "cmyk",
    cyan: Math.round(swatch.ink.cyan),
    magenta: Math.round(swatch.ink.magenta),
    yellow: Math.round(swatch.ink.yellow),
    black: Math.round(swatch.ink.black),
  } as const;
  switch (kind) {
    case "cmyk":
      return { type: "plain", color: ink };
    case "rgb":
      return { type: "plain", color: { ...swatch.rgb, type: "rgb" } };
    case "lab":
      return { type: "plain", color: { ...swatch.lab, type: "lab" } };
    case "gray":
      return {
        type: "plain",
        color: { type: "gray", black: Math.round(100 - swatch.lab.lightness) },
      };
    case "spot":
      return { type: "spotInk", equivalent: ink };
    case "tint":
      return base ? { type: "tint", base, percent: 50 } : undefined;
    case "lighter":
      return base ? { type: "lighter", base, percent: 20 } : undefined;
    case "mix":
      return base
        ? { type: "mix", one: base, other: others[1]?.id ?? base, percent: 50 }
        : undefined;
  }
}

type Color = Extract<Definition, { type: "plain" }>["color"];

const components: Record<"cmyk" | "rgb" | "lab" | "gray", { key: string; label: string }[]> = {
  cmyk: [
    { key: "cyan", label: "C %" },
    { key: "magenta", label: "M %" },
    { key: "yellow", label: "Y %" },
    { key: "black", label: "K %" },
  ],
  rgb: [
    { key: "red", label: "Red" },
    { key: "green", label: "Green" },
    { key: "blue", label: "Blue" },
  ],
  lab: [
    { key: "lightness", label: "L" },
    { key: "a", label: "a" },
    { key: "b", label: "b" },
  ],
  gray: [{ key: "black", label: "Black %" }],
};

function ValueFields({ color, onChange }: { color: Color; onChange: (color: Color) => void }) {
  if (color.type === "inks") {
    return null;
  }
  const fields = components[color.type];
  const values = new Map<string, unknown>(Object.entries(color));
  return (
    <Row $columns={`repeat(${fields.length}, minmax(0, 1fr))`}>
      {fields.map(({ key, label }) => (
        <NumberField
          key={key}
          label={label}
          value={Number(values.get(key))}
          onCommit={(value) =>
            onChange({ ...color, [key]: color.type === "rgb" ? Math.round(value) : value })
          }
        />
      ))}
    </Row>
  );
}

/** The fields of a definition: its values, or what it derives from and how much. */
export function DefinitionFields({
  publication,
  swatch,
  onChange,
}: {
  publication: Publication;
  swatch: SwatchEntry;
  onChange: (definition: Definition) => void;
}) {
  const { definition } = swatch;
  const others = swatchOptions(publication).filter((option) => option.id !== swatch.id);
  switch (definition.type) {
    case "plain":
      return (
        <ValueFields
          color={definition.color}
          onChange={(color) => onChange({ type: "plain", color })}
        />
      );
    case "spotInk":
      return (
        <ValueFields
          color={definition.equivalent}
          onChange={(equivalent) => onChange({ type: "spotInk", equivalent })}
        />
      );
    case "tint":
    case "lighter":
      return (
        <Row $columns="minmax(0, 1fr) 84px">
          <Choice
            label={definition.type === "tint" ? "Tint of" : "Lighter than"}
            value={definition.base}
            options={others}
            onChange={(base) => onChange({ ...definition, base })}
          />
          <NumberField
            label={definition.type === "tint" ? "Tint %" : "By %"}
            value={definition.percent}
            onCommit={(percent) => onChange({ ...definition, percent })}
          />
        </Row>
      );
    case "mix":
      return (
        <>
          <Row $columns="minmax(0, 1fr) 84px">
            <Choice
              label="Mix of"
              value={definition.one}
              options={others}
              onChange={(one) => onChange({ ...definition, one })}
            />
            <NumberField
              label="Of it %"
              value={definition.percent}
              onCommit={(percent) => onChange({ ...definition, percent })}
            />
          </Row>
          <Choice
            label="The rest is"
            value={definition.other}
            options={others}
            onChange={(other) => onChange({ ...definition, other })}
          />
        </>
      );
  }
}
