import type { Area, Setup } from "../api/types";
import { Choice } from "../ui/Choice";
import { Row } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { Tick } from "../ui/Tick";
import { AnchorFields } from "./AnchorFields";

type Band = Extract<Area, { type: "band" }>;
type Rectangle = Extract<Area, { type: "rectangle" }>;
type Edge = Band["edge"];

export const edgeNames: Record<Edge, string> = {
  TOP: "top",
  BOTTOM: "bottom",
  INSIDE: "inside",
  OUTSIDE: "outside",
  LEFT: "left",
  RIGHT: "right",
};

/** An area in words, for lists. */
export function areaInWords(area: Area): string {
  switch (area.type) {
    case "wholePage":
      return "whole page";
    case "wholeSpread":
      return "whole spread";
    case "safeArea":
      return "safe area";
    case "band":
      return `band at the ${edgeNames[area.edge]}`;
    case "rectangle":
      return "rectangle";
  }
}

/** What an area becomes as another kind. */
function areaAs(id: string, area: Area): Area {
  switch (id) {
    case "wholePage":
    case "safeArea":
      return { type: id };
    case "wholeSpread":
      return { type: id, spineLoss: "0 mm" };
    case "rectangle":
      return {
        type: id,
        anchor: { across: "OUTSIDE", down: "TOP" },
        across: "10 mm",
        down: "10 mm",
        width: "50 mm",
        height: "30 mm",
        bleeds: [],
      };
    default:
      return {
        type: "band",
        edge: id as Edge,
        depth: area.type === "band" ? area.depth : "20 mm",
      };
  }
}

/** Where a background lies, and the measures of that. */
export function AreaFields({
  unit,
  trim,
  facing,
  area,
  onChange,
}: {
  unit: Setup["unit"];
  /** The page that percentages are of. */
  trim: Setup["trim"];
  facing: boolean;
  area: Area;
  onChange: (area: Area) => unknown;
}) {
  return (
    <>
      <Choice
        label="Area"
        value={area.type === "band" ? area.edge : area.type}
        options={[
          { id: "wholePage", label: "Whole page" },
          ...(facing ? [{ id: "wholeSpread", label: "Whole spread" }] : []),
          { id: "safeArea", label: "Safe area" },
          ...Object.entries(edgeNames).map(([id, name]) => ({
            id,
            label: `Band at the ${name}`,
          })),
          { id: "rectangle", label: "Rectangle" },
        ]}
        onChange={(id) => onChange(areaAs(id, area))}
      />
      {area.type === "band" && (
        <LengthField
          label="Depth, from the trim"
          unit={unit}
          of={area.edge === "TOP" || area.edge === "BOTTOM" ? trim.height : trim.width}
          value={area.depth}
          way="area.depth"
          onCommit={(depth) => onChange({ ...area, depth })}
        />
      )}
      {area.type === "wholeSpread" && (
        <LengthField
          label="Lost in the binding, each page"
          unit={unit}
          value={area.spineLoss}
          way="area.spineLoss"
          onCommit={(spineLoss) => onChange({ ...area, spineLoss })}
        />
      )}
      {area.type === "rectangle" && (
        <RectangleFields unit={unit} trim={trim} area={area} onChange={onChange} />
      )}
    </>
  );
}

function RectangleFields({
  unit,
  trim,
  area,
  onChange,
}: {
  unit: Setup["unit"];
  trim: Setup["trim"];
  area: Rectangle;
  onChange: (area: Area) => unknown;
}) {
  return (
    <>
      <Row>
        <AnchorFields
          label="Measured from"
          unit={unit}
          trim={trim}
          value={area}
          way="area"
          onChange={(changed) => onChange({ ...area, ...changed })}
        />
        <LengthField
          label="Width"
          unit={unit}
          of={trim.width}
          value={area.width}
          way="area.width"
          onCommit={(width) => onChange({ ...area, width })}
        />
        <LengthField
          label="Height"
          unit={unit}
          of={trim.height}
          value={area.height}
          way="area.height"
          onCommit={(height) => onChange({ ...area, height })}
        />
      </Row>
      <Row $columns="auto auto 1fr" role="group" aria-label="Bleeds off at">
        {Object.entries(edgeNames).map(([id, name]) => {
          const edge = id as Edge;
          return (
            <Tick
              key={edge}
              label={`Bleeds, ${name}`}
              checked={area.bleeds.includes(edge)}
              way="area.bleeds"
              onChange={(checked) =>
                onChange({
                  ...area,
                  bleeds: checked
                    ? [...area.bleeds, edge]
                    : area.bleeds.filter((each) => each !== edge),
                })
              }
            />
          );
        })}
      </Row>
    </>
  );
}
