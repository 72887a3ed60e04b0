import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { useSteps } from "../api/queries";
import type { Area, Background, Owner, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Row, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { TintField } from "../ui/TintField";
import { SwatchChoice } from "./SwatchChoice";

type Edge = Extract<Area, { type: "band" }>["edge"];

export const edgeNames: Record<Edge, string> = {
  TOP: "top",
  BOTTOM: "bottom",
  INSIDE: "inside",
  OUTSIDE: "outside",
  LEFT: "left",
  RIGHT: "right",
};

export const sideOptions = [
  { id: "BOTH", label: "Left and right pages" },
  { id: "LEFT", label: "Left pages only" },
  { id: "RIGHT", label: "Right pages only" },
];

/** A background in words, for lists. */
export function inWords(background: Background, publication: Publication): string {
  const { fill } = background;
  const color =
    fill.type === "none"
      ? "No fill"
      : (publication.swatches.find((swatch) => swatch.id === fill.color.swatch)?.name ?? "");
  const area =
    background.area.type === "wholePage"
      ? "whole page"
      : `band at the ${edgeNames[background.area.edge]}`;
  return `${color}, ${area}`;
}

export function BackgroundEditor({
  publication,
  owner,
  background,
}: {
  publication: Publication;
  owner: Owner;
  background: Background;
}) {
  const steps = useSteps(publication);
  const { unit } = publication.setup;
  const change = (changed: Partial<Background>) =>
    steps.make(
      { type: "changeBackground", background: { ...background, ...changed } },
      "Background changed",
    );
  const { area, fill } = background;

  return (
    <Stack>
      <SwatchChoice
        publication={publication}
        label="Fill"
        naming={`the fill of this ${area.type === "wholePage" ? "page background" : "band"}`}
        value={fill.type === "none" ? "none" : fill.color.swatch}
        others={[{ id: "none", label: "No fill" }]}
        begin={publication.swatches[0]?.id}
        giving={(swatch, tint) => ({
          type: "changeBackground",
          background: {
            ...background,
            fill: {
              type: "solid",
              color: { swatch, tint: tint ?? (fill.type === "solid" ? fill.color.tint : 100) },
            },
          },
        })}
        onOther={() => change({ fill: { type: "none" } })}
      />
      {fill.type === "solid" && (
        <TintField
          tint={fill.color.tint}
          onChange={(tint) => change({ fill: { ...fill, color: { ...fill.color, tint } } })}
        />
      )}
      <Choice
        label="Area"
        value={area.type === "wholePage" ? "wholePage" : area.edge}
        options={[
          { id: "wholePage", label: "Whole page" },
          ...Object.entries(edgeNames).map(([id, name]) => ({
            id,
            label: `Band at the ${name}`,
          })),
        ]}
        onChange={(id) =>
          change({
            area:
              id === "wholePage"
                ? { type: "wholePage" }
                : {
                    type: "band",
                    edge: id as Edge,
                    depth: area.type === "band" ? area.depth : "20 mm",
                  },
          })
        }
      />
      {area.type === "band" && (
        <LengthField
          label="Depth, from the trim"
          unit={unit}
          value={area.depth}
          onCommit={(depth) => change({ area: { ...area, depth } })}
        />
      )}
      {owner.type === "onParent" && publication.setup.facing && (
        <Choice
          label="Shows on"
          value={background.sides}
          options={sideOptions}
          onChange={(id) => change({ sides: id as Background["sides"] })}
        />
      )}
      <Row $columns="repeat(3, auto) 1fr">
        <Button
          aria-label="Raise above the next one"
          onPress={() =>
            steps.make({ type: "restackBackground", background: background.id, steps: 1 })
          }
        >
          <ArrowUp size={15} aria-hidden />
        </Button>
        <Button
          aria-label="Lower below the next one"
          onPress={() =>
            steps.make({ type: "restackBackground", background: background.id, steps: -1 })
          }
        >
          <ArrowDown size={15} aria-hidden />
        </Button>
        <Button
          onPress={() =>
            steps.make(
              { type: "removeBackground", background: background.id },
              "Background removed",
            )
          }
        >
          <Trash2 size={15} aria-hidden />
          Remove
        </Button>
      </Row>
    </Stack>
  );
}
