import styled from "styled-components";
import type { Border, Edit, Panel, Publication } from "../api/types";
import { useTrying } from "../api/trying";
import { GradientFields } from "../scope/GradientFields";
import { filledAs } from "../scope/newBackground";
import { SwatchChoice } from "../scope/SwatchChoice";
import { theme } from "../theme";
import { Choice } from "../ui/Choice";
import { firstColor } from "../ui/colors";
import { DistanceField } from "../ui/DistanceField";
import { Row, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { PaddingField } from "../ui/PaddingField";
import { Tick } from "../ui/Tick";
import { TintField } from "../ui/TintField";

const none = "NONE";

const shadings = [
  { id: none, label: "None" },
  { id: "solid", label: "One colour" },
  { id: "gradient", label: "Gradient" },
];

const reaches: { id: Panel["reach"]; label: string }[] = [
  { id: "MEASURE", label: "As wide as the column" },
  { id: "FRAME", label: "From edge to edge of the frame" },
  { id: "LINES", label: "Each line as far as it goes" },
];

const styles: { id: Border["style"] | typeof none; label: string }[] = [
  { id: none, label: "None" },
  { id: "SOLID", label: "Solid" },
  { id: "DASHED", label: "Dashed" },
  { id: "DOTTED", label: "Dotted" },
  { id: "DOUBLE", label: "Double" },
  { id: "TRIPLE", label: "Triple" },
];

const sides = [
  { id: "TOP", label: "Top" },
  { id: "RIGHT", label: "Right" },
  { id: "BOTTOM", label: "Bottom" },
  { id: "LEFT", label: "Left" },
] as const;

type Sided = (typeof sides)[number]["id"];

export const noPanel: Panel = {
  reach: "MEASURE",
  padding: { top: "0.4 em", right: "0.6 em", bottom: "0.4 em", left: "0.6 em" },
  radius: "0 mm",
  joined: true,
  closed: false,
  held: true,
};

/** Where the four sides are. */
const Around = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${theme.space.half} ${theme.space.one};
  align-items: end;
  & > :nth-child(1) {
    grid-column: 2;
  }
  & > :nth-child(2) {
    grid-column: 1;
    grid-row: 2;
  }
  & > :nth-child(3) {
    grid-column: 2;
    grid-row: 2;
    align-self: stretch;
  }
  & > :nth-child(4) {
    grid-column: 3;
    grid-row: 2;
  }
  & > :nth-child(5) {
    grid-column: 2;
    grid-row: 3;
  }
`;

/** The text in the middle of its padding, in lines of grey. */
const TextLines = styled.div`
  border: 1px solid ${theme.color.rule};
  background: repeating-linear-gradient(${theme.color.rule} 0 2px, ${theme.color.paper} 2px 7px);
`;

/** What lies behind paragraphs and around them. */
export function PanelFields({
  publication,
  naming,
  panel: given,
  size,
  onChange,
  edit,
}: {
  publication: Publication;
  /** Whose it is, for people. */
  naming: string;
  panel: Panel | undefined;
  /** Of the type, which percentages are of. */
  size: string;
  onChange: (panel: Panel | undefined) => unknown;
  edit: (panel: Panel) => Edit;
}) {
  const { tryOut } = useTrying();
  const { unit } = publication.setup;
  const panel = given ?? noPanel;
  const { shading, border, padding } = panel;
  const change = (changed: Partial<Panel>) => onChange({ ...panel, ...changed });
  const color = firstColor(publication);
  const tried = (changed: Partial<Panel> | undefined, pictureOnly = false) =>
    tryOut(changed && edit({ ...panel, ...changed }), pictureOnly);
  const bordered = (style: Border["style"]): Border => ({
    sides: ["TOP", "RIGHT", "BOTTOM", "LEFT"],
    width: "1 pt",
    color,
    carriesMeaning: false,
    ...border,
    style,
  });
  const side = (key: keyof Panel["padding"]) => ({
    onCommit: (value: string) => change({ padding: { ...padding, [key]: value } }),
    onTry: (value: string | undefined) =>
      tried(value === undefined ? undefined : { padding: { ...padding, [key]: value } }, true),
  });
  const without = (key: "shading" | "border") => {
    const others = { ...panel };
    // eslint-disable-next-line @typescript-eslint/no-dynamic-delete
    delete others[key];
    return onChange((others.shading ?? others.border) ? others : undefined);
  };
  const lined = (changed: Partial<Border>) =>
    border && change({ border: { ...border, ...changed } });

  return (
    <Stack>
      <Choice
        label="Shading"
        value={shading?.type ?? none}
        options={shadings}
        onChange={(kind) =>
          kind === none
            ? void without("shading")
            : void change({ shading: filledAs(kind, shading ?? { type: "none" }, publication) })
        }
      />
      {shading?.type === "solid" && (
        <>
          <SwatchChoice
            publication={publication}
            label="Colour of the shading"
            naming={`shading of ${naming}`}
            value={shading.color.swatch}
            begin={shading.color.swatch}
            giving={(swatch, tint) =>
              edit({
                ...panel,
                shading: { type: "solid", color: { swatch, tint: tint ?? shading.color.tint } },
              })
            }
          />
          <TintField
            tint={shading.color.tint}
            onChange={(tint) =>
              change({ shading: { type: "solid", color: { ...shading.color, tint } } })
            }
          />
        </>
      )}
      {shading?.type === "gradient" && (
        <GradientFields
          publication={publication}
          gradient={shading}
          giving={(gradient) => edit({ ...panel, shading: gradient })}
          onChange={(gradient) => change({ shading: gradient })}
        />
      )}
      <Choice
        label="Border"
        value={border?.style ?? none}
        options={styles}
        onTry={(id) =>
          tried(
            id === undefined || id === none
              ? undefined
              : { border: bordered(id as Border["style"]) },
          )
        }
        onChange={(id) => {
          if (id === none) {
            void without("border");
          } else {
            void change({ border: bordered(id as Border["style"]) });
          }
        }}
      />
      {border && (
        <>
          <SwatchChoice
            publication={publication}
            label="Colour of the border"
            naming={`border of ${naming}`}
            value={border.color.swatch}
            begin={border.color.swatch}
            giving={(swatch, tint) =>
              edit({
                ...panel,
                border: { ...border, color: { swatch, tint: tint ?? border.color.tint } },
              })
            }
          />
          <Row>
            <LengthField
              label="Width of the border"
              unit="PT"
              of={size}
              value={border.width}
              onCommit={(width) => lined({ width })}
            />
            <TintField
              tint={border.color.tint}
              onChange={(tint) => lined({ color: { ...border.color, tint } })}
            />
          </Row>
          <Tick
            label="Carries meaning: has to stand out 3 : 1"
            checked={border.carriesMeaning}
            onChange={(carriesMeaning) => lined({ carriesMeaning })}
          />
          <Row role="group" aria-label="Sides with a border">
            {sides.map(({ id, label }) => (
              <Tick
                key={id}
                label={label}
                checked={border.sides.includes(id)}
                onChange={(on) => {
                  const made: Sided[] = sides
                    .map((each) => each.id)
                    .filter((each) => (each === id ? on : border.sides.includes(each)));
                  return made.length === 0 ? without("border") : lined({ sides: made });
                }}
              />
            ))}
          </Row>
        </>
      )}
      {given && (
        <>
          <Choice
            label="Reach"
            value={panel.reach}
            options={reaches}
            onTry={(id) => tried(id === undefined ? undefined : { reach: id as Panel["reach"] })}
            onChange={(id) => change({ reach: id as Panel["reach"] })}
          />
          <PaddingField
            unit={unit}
            value={padding}
            onCommit={(typed) => change({ padding: typed })}
          />
          <Around role="group" aria-label="Padding by side">
            <DistanceField label="Top" unit={unit} value={padding.top} {...side("top")} />
            <DistanceField label="Left" unit={unit} value={padding.left} {...side("left")} />
            <TextLines aria-hidden />
            <DistanceField label="Right" unit={unit} value={padding.right} {...side("right")} />
            <DistanceField label="Bottom" unit={unit} value={padding.bottom} {...side("bottom")} />
          </Around>
          <DistanceField
            label="Corner radius"
            unit={unit}
            value={panel.radius}
            onCommit={(radius) => change({ radius })}
          />
          <Tick
            label="Stay inside the column, and move the text in"
            checked={panel.held}
            onChange={(held) => change({ held })}
          />
          <Tick
            label="One for neighbours of the same look"
            checked={panel.joined}
            onChange={(joined) => change({ joined })}
          />
          <Tick
            label="Closed where it goes on in another column"
            checked={panel.closed}
            onChange={(closed) => change({ closed })}
          />
        </>
      )}
    </Stack>
  );
}
