import { useChanges } from "../api/useChanges";
import type { Edit, Fill, Owner, Publication, TextBand, TextFrame } from "../api/types";
import { trimOf } from "../publication/sizes";
import { Choice } from "../ui/Choice";
import { LengthField } from "../ui/LengthField";
import { PaddingField } from "../ui/PaddingField";
import { TintField } from "../ui/TintField";
import { edgeNames } from "./AreaFields";
import { GradientFields } from "./GradientFields";
import { filledAs } from "./newBackground";
import { SwatchChoice } from "./SwatchChoice";

const fills = [
  { id: "solid", label: "One colour" },
  { id: "gradient", label: "Gradient" },
];

/** The band that a frame's text stands in. */
export function BandFields({
  publication,
  owner,
  frame,
  band: stored,
}: {
  publication: Publication;
  owner: Owner;
  frame: TextFrame;
  band: TextBand;
}) {
  const { unit } = publication.setup;
  const trim = trimOf(publication, owner);
  const changing = (made: TextBand, was: TextBand): Edit => ({
    type: "changeBand",
    frame: frame.id,
    band: made,
    was,
  });
  const [band, become] = useChanges(
    publication,
    `${frame.id} band`,
    stored,
    ({ was, made }) => changing(made, was),
    "Band changed",
  );
  const change = (changes: Partial<TextBand>) => become({ ...band, ...changes });
  const filled = (fill: Fill) => changing({ ...band, fill }, band);
  const { fill } = band;
  return (
    <>
      <Choice
        label="Band along the"
        value={band.edge}
        options={Object.entries(edgeNames).map(([id, label]) => ({ id, label }))}
        onChange={(id) => change({ edge: id as TextBand["edge"] })}
      />
      <LengthField
        label="Depth, from the trim"
        unit={unit}
        of={band.edge === "TOP" || band.edge === "BOTTOM" ? trim.height : trim.width}
        value={band.depth}
        onCommit={(depth) => change({ depth })}
      />
      <PaddingField unit={unit} value={band.padding} onCommit={(padding) => change({ padding })} />
      <Choice
        label="Fill of the band"
        value={fill.type}
        options={fills}
        onChange={(kind) => change({ fill: filledAs(kind, fill, publication) })}
      />
      {fill.type === "solid" && (
        <>
          <SwatchChoice
            publication={publication}
            label="Colour of the band"
            naming="this band"
            value={fill.color.swatch}
            begin={fill.color.swatch}
            giving={(swatch, tint) =>
              filled({ type: "solid", color: { swatch, tint: tint ?? fill.color.tint } })
            }
          />
          <TintField
            tint={fill.color.tint}
            onChange={(tint) => change({ fill: { ...fill, color: { ...fill.color, tint } } })}
          />
        </>
      )}
      {fill.type === "gradient" && (
        <GradientFields
          publication={publication}
          gradient={fill}
          giving={(gradient) => filled(gradient)}
          onChange={(gradient) => change({ fill: gradient })}
        />
      )}
    </>
  );
}
