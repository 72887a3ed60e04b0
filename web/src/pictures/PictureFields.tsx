import { useState } from "react";
import type { Background, Fill, Owner, Placing, Publication } from "../api/types";
import { AnchorFields } from "../bench/AnchorFields";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { RunOutDialog } from "./RunOutDialog";

type Picture = Extract<Fill, { type: "picture" }>;
type PdfPage = Extract<Fill, { type: "pdfPage" }>;
type SeeThrough = NonNullable<Picture["seeThrough"]>;

const fits: { id: Placing["fit"]; label: string }[] = [
  { id: "COVER", label: "Cover all of it" },
  { id: "CONTAIN", label: "All of the picture" },
  { id: "STRETCH", label: "Stretched to it" },
  { id: "TILE", label: "Again and again" },
  { id: "SIZED", label: "By a size" },
];

const bases: { id: Placing["base"]; label: string }[] = [
  { id: "OWN", label: "of its own size" },
  { id: "PAGE", label: "of the page’s width" },
];

const runOutNames: Record<Picture["runOut"], string> = {
  NONE: "Nothing: it ends there",
  EDGE_COLOR: "The colour of each edge",
  MIRROR: "The picture, mirrored",
  ENLARGE: "The picture, made larger",
};

/** Which picture or page fills an area, and how it lies there. */
export function PictureFields({
  publication,
  owner,
  background,
  fill,
  onChange,
}: {
  publication: Publication;
  owner: Owner;
  background: Background;
  fill: Picture | PdfPage;
  onChange: (fill: Fill) => void;
}) {
  const { placing } = fill;
  const place = (changed: Partial<Placing>) =>
    onChange({ ...fill, placing: { ...placing, ...changed } });
  const choices = publication.assets
    .map((entry) => entry.asset)
    .filter((asset) => (asset.content.type === "document") === (fill.type === "pdfPage"));

  return (
    <>
      <Choice
        label={fill.type === "pdfPage" ? "PDF" : "Picture"}
        value={fill.asset}
        options={choices.map(({ id, name }) => ({ id, label: name }))}
        onChange={(asset) => onChange({ ...fill, asset })}
      />
      {fill.type === "pdfPage" && (
        <NumberField
          label="Page of the PDF"
          value={fill.number}
          onCommit={(number) => onChange({ ...fill, number })}
        />
      )}
      <Row $columns="minmax(0, 1fr) 84px">
        <Choice
          label="Fills the area"
          value={placing.fit}
          options={fits}
          onChange={(fit) => place({ fit: fit as Placing["fit"] })}
        />
        <NumberField
          label="Turned °"
          value={placing.rotation}
          onCommit={(rotation) => place({ rotation })}
        />
      </Row>
      {(placing.fit === "TILE" || placing.fit === "SIZED") && (
        <Row $columns="84px minmax(0, 1fr)">
          <NumberField
            label="Size %"
            value={placing.percent}
            onCommit={(percent) => place({ percent })}
          />
          <Choice
            label="of what"
            value={placing.base}
            options={bases}
            onChange={(base) => place({ base: base as Placing["base"] })}
          />
        </Row>
      )}
      {placing.fit === "COVER" && (
        <Row>
          <NumberField
            label="In view, across %"
            value={placing.focus.x}
            onCommit={(x) => place({ focus: { ...placing.focus, x } })}
          />
          <NumberField
            label="In view, down %"
            value={placing.focus.y}
            onCommit={(y) => place({ focus: { ...placing.focus, y } })}
          />
        </Row>
      )}
      {placing.fit !== "COVER" && placing.fit !== "STRETCH" && (
        <Row>
          <AnchorFields
            label="Placed from"
            unit={publication.setup.unit}
            value={placing}
            onChange={place}
          />
        </Row>
      )}
      {fill.type === "picture" && (
        <>
          <RunOutFields
            publication={publication}
            owner={owner}
            background={background}
            fill={fill}
            onChange={onChange}
          />
          <SeeThroughFields fill={fill} onChange={onChange} />
        </>
      )}
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
  onChange: (fill: Fill) => void;
}) {
  const [comparing, setComparing] = useState(false);
  if (fill.placing.fit !== "CONTAIN" && fill.placing.fit !== "SIZED") {
    return null;
  }
  return (
    <>
      <Row $columns="minmax(0, 1fr) auto">
        <Choice
          label="Beyond its edges"
          value={fill.runOut}
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

/** A colour as six digits. */
function hex(color: SeeThrough["color"]): string {
  return `#${[color.red, color.green, color.blue]
    .map((part) => part.toString(16).padStart(2, "0"))
    .join("")}`;
}

function SeeThroughFields({ fill, onChange }: { fill: Picture; onChange: (fill: Fill) => void }) {
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
        label="One colour of it is see-through"
        checked={seeThrough !== undefined}
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
            label="Only from the edges inwards"
            checked={seeThrough.fromEdges}
            onChange={(fromEdges) => set({ fromEdges })}
          />
        </>
      )}
    </>
  );
}
