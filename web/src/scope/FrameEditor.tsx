import { PenLine, Trash2 } from "lucide-react";
import { useSteps } from "../api/steps";
import { useChanges } from "../api/useChanges";
import type { Owner, Publication, TextFrame } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Row, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { useBench } from "../bench/BenchState";
import { within360 } from "../stage/rotating";
import { BandFields } from "./BandFields";
import { BoxFields } from "./BoxFields";
import { FrameChain } from "./FrameChain";
import { HoldFields } from "./HoldFields";
import { LockFrame } from "./LockFrame";
import { sideOptions } from "./BackgroundEditor";

const verticals = [
  { id: "TOP", label: "At the top" },
  { id: "MIDDLE", label: "In the middle" },
  { id: "BOTTOM", label: "At the bottom" },
];

/** Where a frame lies, and the way to its text. */
export function FrameEditor({
  publication,
  owner,
  frame,
}: {
  publication: Publication;
  owner: Owner;
  frame: TextFrame;
}) {
  const steps = useSteps(publication);
  const { unit } = publication.setup;
  const { write } = useBench();

  const [placed, become] = useChanges(
    publication,
    frame.id,
    { sides: frame.sides, box: frame.box },
    ({ was, made }) => ({ type: "placeFrame", frame: frame.id, ...made, was }),
    "Frame placed",
  );
  const [arranged, arrange] = useChanges(
    publication,
    `${frame.id} setting`,
    frame.setting,
    ({ was, made }) => ({ type: "arrangeFrame", frame: frame.id, setting: made, was }),
    "Frame arranged",
  );
  const { box } = placed;
  const place = (changes: Partial<TextFrame["box"]>, sides?: TextFrame["sides"]) =>
    become({ sides: sides ?? placed.sides, box: { ...box, ...changes } });
  return (
    <Stack>
      {frame.band ? (
        <BandFields publication={publication} owner={owner} frame={frame} band={frame.band} />
      ) : (
        <Row $columns="repeat(2, minmax(0, 1fr))">
          <BoxFields
            publication={publication}
            owner={owner}
            sides={placed.sides}
            box={box}
            onChange={place}
          />
        </Row>
      )}
      {!frame.band && <HoldFields publication={publication} owner={owner} frame={frame} />}
      {owner.type === "onParent" && publication.setup.facing && (
        <Choice
          label="Shows on"
          value={placed.sides}
          options={sideOptions}
          onChange={(id) => place({}, id as TextFrame["sides"])}
        />
      )}
      <Row $columns="repeat(2, minmax(0, 1fr))">
        <NumberField
          label="Columns"
          value={arranged.columns}
          onCommit={(columns) => arrange({ ...arranged, columns })}
        />
        <LengthField
          label="Gap between them"
          unit={unit}
          of={frame.band ? undefined : box.width}
          value={arranged.gap}
          onCommit={(gap) => arrange({ ...arranged, gap })}
        />
        <LengthField
          label="Inset"
          unit={unit}
          of={frame.band ? undefined : box.width}
          value={arranged.inset}
          onCommit={(inset) => arrange({ ...arranged, inset })}
        />
        <Choice
          label="Text stands"
          value={arranged.vertical}
          options={verticals}
          onChange={(id) => void arrange({ ...arranged, vertical: id as typeof arranged.vertical })}
        />
        {!frame.band && (
          <NumberField
            label="Rotation °"
            value={arranged.rotation}
            onCommit={(rotation) => arrange({ ...arranged, rotation: within360(rotation) })}
          />
        )}
      </Row>
      {!frame.band && <FrameChain publication={publication} owner={owner} frame={frame} />}
      <Row $columns="auto auto 1fr">
        <Button onPress={() => write(frame.story)}>
          <PenLine size={15} aria-hidden />
          Write
        </Button>
        <LockFrame publication={publication} frame={frame} />
      </Row>
      <div>
        <Button
          isDisabled={frame.locked}
          onPress={() => steps.make({ type: "removeFrame", frame: frame.id }, "Frame removed")}
        >
          <Trash2 size={15} aria-hidden />
          Remove frame
        </Button>
      </div>
    </Stack>
  );
}
