import type { Edit, Look, Publication } from "../api/types";
import { SwatchChoice } from "../scope/SwatchChoice";
import { Choice } from "../ui/Choice";
import { firstColor } from "../ui/colors";
import { Row, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { Tick } from "../ui/Tick";
import { TintField } from "../ui/TintField";

export type Outline = NonNullable<Look["outline"]>;

const joins = [
  { id: "ROUND", label: "Round" },
  { id: "MITER", label: "Pointed" },
  { id: "BEVEL", label: "Bevelled" },
];

/** The line around letters. */
export function OutlineFields({
  publication,
  naming,
  outline,
  size,
  onChange,
  edit,
}: {
  publication: Publication;
  /** Whose letters they are, for people. */
  naming: string;
  outline: Outline | undefined;
  /** Of the type, which percentages are of. */
  size: string;
  onChange: (outline: Outline | undefined) => Promise<boolean>;
  edit: (outline: Outline) => Edit;
}) {
  return (
    <Stack>
      <Tick
        label="Letters have an outline"
        checked={outline !== undefined}
        onChange={(on) =>
          onChange(
            on
              ? {
                  color: firstColor(publication),
                  width: "1 pt",
                  join: "ROUND",
                  centered: false,
                }
              : undefined,
          )
        }
      />
      {outline && (
        <>
          <SwatchChoice
            publication={publication}
            label="Colour of the outline"
            naming={`outline of ${naming}`}
            value={outline.color.swatch}
            begin={outline.color.swatch}
            giving={(chosen, tint) =>
              edit({ ...outline, color: { swatch: chosen, tint: tint ?? outline.color.tint } })
            }
          />
          <Row>
            <LengthField
              label="Width"
              unit="PT"
              of={size}
              value={outline.width}
              onCommit={(width) => onChange({ ...outline, width })}
            />
            <TintField
              tint={outline.color.tint}
              onChange={(tint) => onChange({ ...outline, color: { ...outline.color, tint } })}
            />
            <Choice
              label="Corners"
              value={outline.join}
              options={joins}
              onChange={(id) => void onChange({ ...outline, join: id as Outline["join"] })}
            />
          </Row>
          <Tick
            label="Centred on the edge, over the letters"
            checked={outline.centered}
            onChange={(centered) => onChange({ ...outline, centered })}
          />
        </>
      )}
    </Stack>
  );
}
