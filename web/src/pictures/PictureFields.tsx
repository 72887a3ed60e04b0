import { useState, type ReactNode } from "react";
import type { Background, Fill, Owner, Placing, Publication } from "../api/types";
import { trimOf } from "../publication/sizes";
import { hex } from "../color/spaces";
import { AnchorFields } from "../scope/AnchorFields";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { RunOutDialog } from "./RunOutDialog";

type Picture = Extract<Fill, { type: "picture" }>;
type PdfPage = Extract<Fill, { type: "pdfPage" }>;
type SeeThrough = NonNullable<Picture["seeThrough"]>;

/** Shows a fill while a value of it is typed, by its way; nothing ends that. */
export type TryFill = (fill: Fill | undefined, way: string) => void;

const fits: { id: Placing["fit"]; label: string }[] = [
  { id: "COVER", label: "Cover" },
  { id: "CONTAIN", label: "Contain" },
  { id: "STRETCH", label: "Stretch" },
  { id: "TILE", label: "Tile" },
  { id: "SIZED", label: "Own size" },
];

const bases: { id: Placing["base"]; label: string }[] = [
  { id: "OWN", label: "Its own size" },
  { id: "PAGE", label: "The page’s width" },
];

const runOutNames: Record<Picture["runOut"], string> = {
  NONE: "Nothing",
  EDGE_COLOR: "Colour of each edge",
  MIRROR: "Mirrored picture",
  ENLARGE: "Enlarged picture",
};

/** Which picture or page fills a background, and how it lies there. */
export function PictureFields({
  publication,
  owner,
  background,
  fill,
  onChange,
  onTry,
}: {
  publication: Publication;
  owner: Owner;
  background: Background;
  fill: Picture | PdfPage;
  onChange: (fill: Fill) => unknown;
  onTry: TryFill;
}) {
  return (
    <PlacedFields
      publication={publication}
      owner={owner}
      fill={fill}
      onChange={onChange}
      onTry={onTry}
    >
      {fill.type === "picture" && (
        <RunOutFields
          publication={publication}
          owner={owner}
          background={background}
          fill={fill}
          onChange={onChange}
        />
      )}
    </PlacedFields>
  );
}

/** Which picture or page fills an area, and how it lies there. */
export function PlacedFields({
  publication,
  owner,
  fill,
  onChange,
  onTry,
  children,
}: {
  publication: Publication;
  owner: Owner;
  fill: Picture | PdfPage;
  onChange: (fill: Fill) => unknown;
  onTry?: TryFill;
  /** What stands before the last field. */
  children?: ReactNode;
}) {
  const { placing } = fill;
  const given = (changed: Partial<Placing>) => ({
    ...fill,
    placing: { ...placing, ...changed },
  });
  const place = (changed: Partial<Placing>) => onChange(given(changed));
  const trying =
    (giving: (value: number) => Partial<Placing>, way: string) => (value: number | undefined) =>
      onTry?.(value === undefined ? undefined : given(giving(value)), way);
  /** A number of the placing, as it is stored and as it is tried out. */
  const placed = (key: keyof Placing & ("rotation" | "percent")) => ({
    value: placing[key],
    way: `fill.placing.${key}`,
    onCommit: (value: number) => place({ [key]: value }),
    onTry: trying((value) => ({ [key]: value }), `fill.placing.${key}`),
  });
  const focused = (axis: keyof Placing["focus"]) => {
    const focus = (value: number) => ({ focus: { ...placing.focus, [axis]: value } });
    const way = `fill.placing.focus.${axis}`;
    return {
      value: placing.focus[axis],
      way,
      onCommit: (value: number) => place(focus(value)),
      onTry: trying(focus, way),
    };
  };
  const choices = publication.assets
    .map((entry) => entry.asset)
    .filter((asset) => (asset.content.type === "document") === (fill.type === "pdfPage"));

  return (
    <>
      <Choice
        label={fill.type === "pdfPage" ? "PDF" : "Picture"}
        value={fill.asset}
        way="fill.asset"
        options={choices.map(({ id, name }) => ({ id, label: name }))}
        onChange={(asset) => onChange({ ...fill, asset })}
      />
      {fill.type === "pdfPage" && (
        <NumberField
          label="Page of the PDF"
          value={fill.number}
          way="fill.number"
          onCommit={(number) => onChange({ ...fill, number })}
        />
      )}
      <Row $columns="minmax(0, 1fr) 84px">
        <Choice
          label="Fit"
          value={placing.fit}
          way="fill.placing.fit"
          options={fits}
          onChange={(fit) => place({ fit: fit as Placing["fit"] })}
        />
        <NumberField label="Rotation °" {...placed("rotation")} />
      </Row>
      {(placing.fit === "TILE" || placing.fit === "SIZED") && (
        <Row $columns="84px minmax(0, 1fr)">
          <NumberField label="Size %" {...placed("percent")} />
          <Choice
            label="Relative to"
            value={placing.base}
            way="fill.placing.base"
            options={bases}
            onChange={(base) => place({ base: base as Placing["base"] })}
          />
        </Row>
      )}
      {placing.fit === "COVER" && (
        <Row>
          <NumberField label="Focal point, across %" {...focused("x")} />
          <NumberField label="Focal point, down %" {...focused("y")} />
        </Row>
      )}
      {placing.fit !== "COVER" && placing.fit !== "STRETCH" && (
        <Row>
          <AnchorFields
            label="Placed from"
            unit={publication.setup.unit}
            trim={trimOf(publication, owner)}
            value={placing}
            way="fill.placing"
            onChange={place}
          />
        </Row>
      )}
      {children}
      {fill.type === "picture" && <SeeThroughFields fill={fill} onChange={onChange} />}
    </>
  );
}

function RunOutFields({
  publication,
  owner,
  background,
  fill,
  onChange,
}: {
  publication: Publication;
  owner: Owner;
  background: Background;
  fill: Picture;
  onChange: (fill: Fill) => unknown;
}) {
  const [comparing, setComparing] = useState(false);
  if (fill.placing.fit !== "CONTAIN" && fill.placing.fit !== "SIZED") {
    return null;
  }
  return (
    <>
      <Row $columns="minmax(0, 1fr) auto">
        <Choice
          label="Beyond the edges"
          value={fill.runOut}
          way="fill.runOut"
          options={Object.entries(runOutNames).map(([id, label]) => ({ id, label }))}
          onChange={(id) => onChange({ ...fill, runOut: id as Picture["runOut"] })}
        />
        <Button onPress={() => setComparing(true)}>Compare…</Button>
      </Row>
      {comparing && (
        <RunOutDialog
          publication={publication}
          owner={owner}
          background={background}
          onClose={() => setComparing(false)}
        />
      )}
    </>
  );
}

function SeeThroughFields({
  fill,
  onChange,
}: {
  fill: Picture;
  onChange: (fill: Fill) => unknown;
}) {
  const { seeThrough, ...rest } = fill;
  const set = (changed: Partial<SeeThrough>) =>
    seeThrough && onChange({ ...fill, seeThrough: { ...seeThrough, ...changed } });
  const read = (text: string) => {
    const digits = /^#?([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(text.trim());
    if (digits) {
      const [red, green, blue] = digits.slice(1).map((part) => parseInt(part, 16));
      set({ color: { type: "rgb", red: red ?? 0, green: green ?? 0, blue: blue ?? 0 } });
    }
  };

  return (
    <>
      <Tick
        label="One colour is transparent"
        checked={seeThrough !== undefined}
        way="fill.seeThrough"
        onChange={(on) =>
          onChange(
            on
              ? {
                  ...rest,
                  seeThrough: {
                    color: { type: "rgb", red: 255, green: 255, blue: 255 },
                    tolerance: 6,
                    fromEdges: true,
                  },
                }
              : rest,
          )
        }
      />
      {seeThrough && (
        <>
          <Row>
            <Field label="Colour" value={hex(seeThrough.color)} onCommit={read} />
            <NumberField
              label="Tolerance, 0–60"
              value={seeThrough.tolerance}
              onCommit={(tolerance) => set({ tolerance })}
            />
          </Row>
          <Tick
            label="Only where connected to the edges"
            checked={seeThrough.fromEdges}
            onChange={(fromEdges) => set({ fromEdges })}
          />
        </>
      )}
    </>
  );
}
