import type { Edit, Highlight, Publication } from "../api/types";
import { SwatchChoice } from "../scope/SwatchChoice";
import { firstColor } from "../ui/colors";
import { Row, Stack } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { TintField } from "../ui/TintField";

/** Colour behind characters. */
export function HighlightFields({
  publication,
  naming,
  highlight,
  onChange,
  edit,
}: {
  publication: Publication;
  /** Whose characters they are, for people. */
  naming: string;
  highlight: Highlight | undefined;
  onChange: (highlight: Highlight | undefined) => unknown;
  edit: (highlight: Highlight) => Edit;
}) {
  const put = (changed: Partial<Highlight>) => highlight && onChange({ ...highlight, ...changed });
  return (
    <Stack>
      <Tick
        label="Characters have a highlight"
        checked={highlight !== undefined}
        onChange={(on) =>
          onChange(
            on
              ? {
                  color: firstColor(publication),
                  top: 0,
                  bottom: 0,
                  sides: 0.15,
                  radius: 0,
                  closed: false,
                }
              : undefined,
          )
        }
      />
      {highlight && (
        <>
          <SwatchChoice
            publication={publication}
            label="Colour of the highlight"
            naming={`highlight of ${naming}`}
            value={highlight.color.swatch}
            begin={highlight.color.swatch}
            giving={(chosen, tint) =>
              edit({ ...highlight, color: { swatch: chosen, tint: tint ?? highlight.color.tint } })
            }
          />
          <Row>
            <TintField
              tint={highlight.color.tint}
              onChange={(tint) => put({ color: { ...highlight.color, tint } })}
            />
            <NumberField
              label="At the sides, em"
              value={highlight.sides}
              onCommit={(sides) => put({ sides })}
            />
            <NumberField
              label="Above the face, em"
              value={highlight.top}
              onCommit={(top) => put({ top })}
            />
            <NumberField
              label="Below the face, em"
              value={highlight.bottom}
              onCommit={(bottom) => put({ bottom })}
            />
            <NumberField
              label="Corner radius, em"
              value={highlight.radius}
              onCommit={(radius) => put({ radius })}
            />
          </Row>
          <Tick
            label="Closed where a line ends"
            checked={highlight.closed}
            onChange={(closed) => put({ closed })}
          />
        </>
      )}
    </Stack>
  );
}
