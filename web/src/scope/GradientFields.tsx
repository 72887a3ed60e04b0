import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import type { Edit, Publication } from "../api/types";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Row } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { changedStops, type Gradient, type Stop } from "./stops";
import { SwatchChoice } from "./SwatchChoice";

const StopBox = styled.fieldset`
  margin: 0;
  padding: ${theme.space.half} 0 0;
  border: 0;
  border-top: 1px solid ${theme.color.rule};
  min-width: 0;
`;

/** A gradient: its kind, where it runs, and its stops in order. */
export function GradientFields({
  publication,
  gradient,
  giving,
  onChange,
  onTry,
}: {
  publication: Publication;
  gradient: Gradient;
  /** The edit that gives the background a gradient; what is at some ways was chosen for all. */
  giving: (gradient: Gradient, ways: string[]) => Edit;
  onChange: (gradient: Gradient) => unknown;
  /** Shows it while a value of it is typed, by its way; nothing ends that. */
  onTry?: (gradient: Gradient | undefined, way: string) => void;
}) {
  const { stops } = gradient;
  // a stop keeps its fields when it passes another, so that what is typed next is still its own
  const [known, setKeys] = useState(() => stops.map((_, index) => index));
  const keys = known.length === stops.length ? known : stops.map((_, index) => index);
  const changed = (index: number, part: Partial<Stop>): Gradient => ({
    ...gradient,
    stops: changedStops(stops, index, part).stops,
  });
  const set = (index: number, part: Partial<Stop>) => {
    const { stops: made, places } = changedStops(stops, index, part);
    setKeys(places.map((place) => keys[place] ?? place));
    return onChange({ ...gradient, stops: made });
  };
  /** A number of a stop, as it is stored and as it is tried out. */
  const number = (
    index: number,
    value: number,
    way: string,
    part: (to: number) => Partial<Stop>,
  ) => ({
    value,
    way: `fill.stops.${index}.${way}`,
    onCommit: (to: number) => set(index, part(to)),
    onTry: (to: number | undefined) =>
      onTry?.(
        to === undefined ? undefined : changed(index, part(to)),
        `fill.stops.${index}.${way}`,
      ),
  });
  const add = () => {
    const before = stops.at(-2);
    const last = stops.at(-1);
    if (before && last) {
      setKeys([...keys.slice(0, -1), Math.max(...keys) + 1, ...keys.slice(-1)]);
      onChange({
        ...gradient,
        stops: [
          ...stops.slice(0, -1),
          { ...before, position: (before.position + last.position) / 2 },
          last,
        ],
      });
    }
  };

  return (
    <>
      <Row $columns="minmax(0, 1fr) 84px">
        <Choice
          label="Type"
          value={gradient.kind}
          way="fill.kind"
          options={[
            { id: "LINEAR", label: "Linear" },
            { id: "RADIAL", label: "Radial" },
          ]}
          onChange={(kind) => onChange({ ...gradient, kind: kind as Gradient["kind"] })}
        />
        {gradient.kind === "LINEAR" && (
          <NumberField
            label="Angle °"
            value={gradient.angle}
            way="fill.angle"
            onCommit={(angle) => onChange({ ...gradient, angle })}
            onTry={(angle) =>
              onTry?.(angle === undefined ? undefined : { ...gradient, angle }, "fill.angle")
            }
          />
        )}
      </Row>
      <Tick
        label="Reverse"
        checked={gradient.reversed}
        way="fill.reversed"
        onChange={(reversed) => onChange({ ...gradient, reversed })}
      />
      {stops.map((stop, index) => (
        <StopBox key={keys[index]} aria-label={`Stop ${index + 1}`}>
          <Row $columns="minmax(0, 1fr) auto" style={{ alignItems: "start" }}>
            <div>
              <SwatchChoice
                publication={publication}
                label={`Stop ${index + 1}`}
                naming={`stop ${index + 1} of this gradient`}
                value={stop.color.swatch}
                way={`fill.stops.${index}.color.swatch`}
                begin={stop.color.swatch}
                giving={(swatch, tint) =>
                  giving(changed(index, { color: { swatch, tint: tint ?? stop.color.tint } }), [
                    `fill.stops.${index}.color.swatch`,
                  ])
                }
              />
            </div>
            <QuietButton
              aria-label={`Remove stop ${index + 1}`}
              style={{ marginTop: 20 }}
              isDisabled={stops.length === 2}
              onPress={() => {
                setKeys(keys.filter((_, each) => each !== index));
                onChange({ ...gradient, stops: stops.filter((_, each) => each !== index) });
              }}
            >
              <Trash2 size={15} aria-hidden />
            </QuietButton>
          </Row>
          <Row $columns="repeat(3, minmax(0, 1fr))">
            <NumberField
              label="Position %"
              {...number(index, stop.position, "position", (position) => ({ position }))}
            />
            <NumberField
              label="Tint %"
              {...number(index, stop.color.tint, "color.tint", (tint) => ({
                color: { ...stop.color, tint },
              }))}
            />
            <NumberField
              label="Opacity %"
              {...number(index, stop.opacity, "opacity", (opacity) => ({ opacity }))}
            />
          </Row>
        </StopBox>
      ))}
      <div>
        <Button onPress={add}>
          <Plus size={15} aria-hidden />
          Stop
        </Button>
      </div>
    </>
  );
}
