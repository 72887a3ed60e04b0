import type { Definition, Publication, SwatchEntry } from "../api/types";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { SlideField } from "../color/SlideField";
import { stripOf, type Axis } from "../color/strips";
import { LegibleFields } from "./LegibleFields";

export type Kind =
  "cmyk" | "rgb" | "lab" | "gray" | "spot" | "tint" | "lighter" | "mix" | "legible";

export const kinds: { id: Kind; label: string }[] = [
  { id: "cmyk", label: "CMYK" },
  { id: "rgb", label: "sRGB" },
  { id: "lab", label: "CIELAB" },
  { id: "gray", label: "Grey" },
  { id: "spot", label: "Spot ink" },
  { id: "tint", label: "Tint of another" },
  { id: "lighter", label: "Lighter than another" },
  { id: "mix", label: "Mix of two" },
  { id: "legible", label: "Legible, for text" },
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
    case "legible": {
      const tried = others
        .filter((each) => each.definition.type !== "legible")
        .toSorted((one, other) => one.lab.lightness - other.lab.lightness);
      const [darkest] = tried;
      const lightest = tried.at(-1);
      return darkest && lightest
        ? {
            type: "legible",
            swatches: [...new Set([darkest.id, lightest.id])],
            viewings: [],
          }
        : undefined;
    }
  }
}

type Color = Extract<Definition, { type: "plain" }>["color"];

const components: Record<
  "cmyk" | "rgb" | "lab" | "gray",
  { key: string; label: string; name: string; axis: Axis; least: number; most: number }[]
> = {
  cmyk: [
    { key: "cyan", label: "C %", name: "Cyan", axis: "CYAN", least: 0, most: 100 },
    { key: "magenta", label: "M %", name: "Magenta", axis: "MAGENTA", least: 0, most: 100 },
    { key: "yellow", label: "Y %", name: "Yellow", axis: "YELLOW", least: 0, most: 100 },
    { key: "black", label: "K %", name: "Black", axis: "BLACK", least: 0, most: 100 },
  ],
  rgb: [
    { key: "red", label: "Red", name: "Red", axis: "RED", least: 0, most: 255 },
    { key: "green", label: "Green", name: "Green", axis: "GREEN", least: 0, most: 255 },
    { key: "blue", label: "Blue", name: "Blue", axis: "BLUE", least: 0, most: 255 },
  ],
  lab: [
    { key: "lightness", label: "L", name: "Lightness", axis: "LIGHTNESS", least: 0, most: 100 },
    { key: "a", label: "a", name: "Component a", axis: "A", least: -100, most: 100 },
    { key: "b", label: "b", name: "Component b", axis: "B", least: -100, most: 100 },
  ],
  gray: [{ key: "black", label: "Black %", name: "Black", axis: "BLACK", least: 0, most: 100 }],
};

function ValueFields({
  publication,
  swatch,
  color,
  onTry,
  onChange,
}: {
  publication: Publication;
  swatch: SwatchEntry;
  color: Color;
  onTry: (color: Color | undefined) => void;
  onChange: (color: Color) => unknown;
}) {
  if (color.type === "inks") {
    return null;
  }
  const values = new Map<string, unknown>(Object.entries(color));
  const moved = (key: string, value: number): Color => ({
    ...color,
    [key]: color.type === "rgb" ? Math.round(value) : value,
  });
  return (
    <>
      {components[color.type].map(({ key, label, name, axis, least, most }) => (
        <SlideField
          key={key}
          label={label}
          name={`${name} of ${swatch.name}`}
          value={Number(values.get(key))}
          least={least}
          most={most}
          step={1}
          picture={stripOf(publication.setup.press.condition, color, axis)}
          onTry={(value) => onTry(value === undefined ? undefined : moved(key, value))}
          onCommit={(value) => onChange(moved(key, value))}
        />
      ))}
    </>
  );
}

function ShareField({
  publication,
  swatch,
  label,
  percent,
  onTry,
  onCommit,
}: {
  publication: Publication;
  swatch: SwatchEntry;
  label: string;
  percent: number;
  onTry: (percent: number | undefined) => void;
  onCommit: (percent: number) => unknown;
}) {
  return (
    <SlideField
      label={label}
      name={`${label} of ${swatch.name}`}
      value={percent}
      least={0}
      most={100}
      step={1}
      picture={`/api/publications/${publication.id}/swatches/${swatch.id}/strip?r=${publication.revision}`}
      onTry={onTry}
      onCommit={onCommit}
    />
  );
}

/** The fields of a definition: its values, or what it derives from and how much. */
export function DefinitionFields({
  publication,
  swatch,
  definition,
  onTry,
  onChange,
}: {
  publication: Publication;
  swatch: SwatchEntry;
  /** As it is now, what was just changed included. */
  definition: Definition;
  onTry: (definition: Definition | undefined) => void;
  onChange: (definition: Definition) => unknown;
}) {
  const others = swatchOptions(publication).filter((option) => option.id !== swatch.id);
  const shared = { publication, swatch };
  switch (definition.type) {
    case "plain":
      return (
        <ValueFields
          {...shared}
          color={definition.color}
          onTry={(color) => onTry(color && { type: "plain", color })}
          onChange={(color) => onChange({ type: "plain", color })}
        />
      );
    case "spotInk":
      return (
        <ValueFields
          {...shared}
          color={definition.equivalent}
          onTry={(equivalent) => onTry(equivalent && { type: "spotInk", equivalent })}
          onChange={(equivalent) => onChange({ type: "spotInk", equivalent })}
        />
      );
    case "tint":
    case "lighter":
      return (
        <>
          <Choice
            label={definition.type === "tint" ? "Tint of" : "Lighter than"}
            value={definition.base}
            options={others}
            onChange={(base) => onChange({ ...definition, base })}
          />
          <ShareField
            {...shared}
            label={definition.type === "tint" ? "Tint %" : "By %"}
            percent={definition.percent}
            onTry={(percent) =>
              onTry(percent === undefined ? undefined : { ...definition, percent })
            }
            onCommit={(percent) => onChange({ ...definition, percent })}
          />
        </>
      );
    case "legible":
      return (
        <LegibleFields
          publication={publication}
          definition={definition}
          others={others}
          onChange={onChange}
        />
      );
    case "mix":
      return (
        <>
          <Choice
            label="Mix of"
            value={definition.one}
            options={others}
            onChange={(one) => onChange({ ...definition, one })}
          />
          <Choice
            label="With"
            value={definition.other}
            options={others}
            onChange={(other) => onChange({ ...definition, other })}
          />
          <ShareField
            {...shared}
            label="Share of the first %"
            percent={definition.percent}
            onTry={(percent) =>
              onTry(percent === undefined ? undefined : { ...definition, percent })
            }
            onCommit={(percent) => onChange({ ...definition, percent })}
          />
        </>
      );
  }
}
