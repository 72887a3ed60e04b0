import { Crosshair, Plus, Trash2 } from "lucide-react";
import { useOptions } from "../api/queries";
import { useSteps } from "../api/steps";
import { useChanges } from "../api/useChanges";
import type { Fill, Owner, PictureFrame, Publication } from "../api/types";
import { useBench } from "../bench/BenchState";
import { PlacedFields } from "../pictures/PictureFields";
import { trimOf } from "../publication/sizes";
import { within360 } from "../stage/rotating";
import { Button, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { TintField } from "../ui/TintField";
import { blends, sideOptions } from "./BackgroundEditor";
import { BoxFields } from "./BoxFields";
import { HoldFields } from "./HoldFields";
import { LockFrame } from "./LockFrame";
import { SwatchChoice } from "./SwatchChoice";

type Word = Extract<Fill, { type: "word" }>;

const levels: { id: PictureFrame["level"]; label: string }[] = [
  { id: "CONTENT", label: "With the content" },
  { id: "BEHIND", label: "Running item behind" },
  { id: "OVER", label: "Running item over" },
];

/** A picture or a word in front, for lists. */
export function frontInWords(frame: PictureFrame, publication: Publication): string {
  const { fill } = frame;
  const what =
    fill.type === "word"
      ? `“${fill.text}”`
      : (publication.assets.find(({ asset }) => "asset" in fill && asset.id === fill.asset)?.asset
          .name ?? "");
  const where = { CONTENT: "Picture", BEHIND: "Behind", OVER: "Over" }[frame.level];
  return `${where}: ${what}${frame.locked ? ", locked" : ""}`;
}

/** Where a picture or a word in front lies, and how it is seen and read. */
export function PictureFrameEditor({
  publication,
  owner,
  frame: stored,
}: {
  publication: Publication;
  owner: Owner;
  frame: PictureFrame;
}) {
  const steps = useSteps(publication);
  const { chooseFrame } = useBench();
  const [frame, become] = useChanges(
    publication,
    stored.id,
    stored,
    ({ was, made }) => ({ type: "changePicture", picture: made, was }),
    "Picture changed",
  );
  const change = (changes: Partial<PictureFrame>) => become({ ...frame, ...changes });
  const { box, fill, goesTo, meaning } = frame;
  const place = (changes: Partial<PictureFrame["box"]>) => change({ box: { ...box, ...changes } });
  return (
    <Stack>
      {fill.type === "word" && (
        <WordFields
          publication={publication}
          owner={owner}
          fill={fill}
          frame={frame}
          onChange={change}
        />
      )}
      {(fill.type === "picture" || fill.type === "pdfPage") && (
        <PlacedFields
          publication={publication}
          owner={owner}
          fill={fill}
          onChange={(made) => change({ fill: made })}
        />
      )}
      <Choice
        label="Level"
        value={frame.level}
        options={levels}
        onChange={(id) => change({ level: id as PictureFrame["level"] })}
      />
      <Row>
        <BoxFields
          publication={publication}
          owner={owner}
          sides={frame.sides}
          box={box}
          onChange={place}
        />
        <NumberField
          label="Rotation of the frame °"
          value={frame.rotation}
          onCommit={(rotation) => change({ rotation: within360(rotation) })}
        />
        <NumberField
          label="Opacity %"
          value={frame.opacity}
          onCommit={(opacity) => change({ opacity })}
        />
      </Row>
      <HoldFields publication={publication} owner={owner} frame={stored} />
      {owner.type === "onParent" && publication.setup.facing && (
        <Choice
          label="Shows on"
          value={frame.sides}
          options={sideOptions}
          onChange={(id) => change({ sides: id as PictureFrame["sides"] })}
        />
      )}
      <Choice
        label="Blending"
        value={frame.blend}
        options={blends}
        onChange={(id) => change({ blend: id as PictureFrame["blend"] })}
      />
      <Row $columns="auto auto 1fr" role="group" aria-label="Output">
        <Tick
          label="Screen"
          checked={goesTo.screen}
          onChange={(screen) => change({ goesTo: { ...goesTo, screen } })}
        />
        <Tick
          label="Paper"
          checked={goesTo.paper}
          onChange={(paper) => change({ goesTo: { ...goesTo, paper } })}
        />
      </Row>
      {frame.level === "CONTENT" && (
        <>
          <Tick
            label="Decoration, says nothing"
            checked={meaning.decoration}
            onChange={(decoration) => change({ meaning: { ...meaning, decoration } })}
          />
          {!meaning.decoration && (
            <Field
              label="Alternative text: what it shows"
              value={meaning.text}
              multiline
              rows={2}
              onCommit={(text) => change({ meaning: { ...meaning, text } })}
            />
          )}
        </>
      )}
      {frame.level === "CONTENT" && fill.type !== "word" && (
        <ClearFields frame={frame} onChange={(clear) => change({ clear })} />
      )}
      {owner.type === "onPage" && (
        <div>
          <Button onPress={() => chooseFrame(stored.id)}>
            <Crosshair size={15} aria-hidden />
            Hold it on the page
          </Button>
        </div>
      )}
      <Row $columns="auto auto 1fr">
        <LockFrame publication={publication} frame={stored} />
        <Button
          isDisabled={stored.locked}
          onPress={() => steps.make({ type: "removeFrame", frame: stored.id }, "Removed")}
        >
          <Trash2 size={15} aria-hidden />
          Remove
        </Button>
      </Row>
    </Stack>
  );
}

/** Between copies of a word at first. */
const APART = "15 mm";

function WordFields({
  publication,
  owner,
  fill,
  frame,
  onChange,
}: {
  publication: Publication;
  owner: Owner;
  fill: Word;
  frame: PictureFrame;
  onChange: (changes: Partial<PictureFrame>) => unknown;
}) {
  const families = useOptions().data?.families ?? [];
  const change = (changes: Partial<Word>) => onChange({ fill: { ...fill, ...changes } });
  const { size, ...sizeless } = fill;
  const { repeat, ...once } = fill;
  /** Over all of the page, each copy at the angle that the frame had. */
  const begin = () => {
    const { width, height } = trimOf(publication, owner);
    onChange({
      fill: {
        ...fill,
        size: size ?? "36 pt",
        repeat: { across: APART, down: APART, angle: frame.rotation },
      },
      rotation: 0,
      box: { x: "0 mm", y: "0 mm", width, height },
      hold: { across: "BOTH", down: "BOTH" },
    });
  };
  const weights = families.find(({ name }) => name === fill.family)?.weights ?? [fill.weight];
  return (
    <>
      <Field label="Word" value={fill.text} onCommit={(text) => change({ text })} />
      <Row $columns="minmax(0, 1fr) 84px">
        <Choice
          label="Typeface"
          value={fill.family}
          options={families.map(({ name }) => ({ id: name, label: name }))}
          onChange={(family) => change({ family })}
        />
        <Choice
          label="Weight"
          value={String(fill.weight)}
          options={weights.map((weight) => ({ id: String(weight), label: String(weight) }))}
          onChange={(weight) => change({ weight: Number(weight) })}
        />
      </Row>
      <SwatchChoice
        publication={publication}
        label="Colour"
        naming="this word"
        value={fill.color.swatch}
        begin={fill.color.swatch}
        giving={(swatch, tint) => ({
          type: "changePicture",
          picture: {
            ...frame,
            fill: { ...fill, color: { swatch, tint: tint ?? fill.color.tint } },
          },
          was: frame,
        })}
      />
      <TintField
        tint={fill.color.tint}
        onChange={(tint) => change({ color: { ...fill.color, tint } })}
      />
      <Tick
        label="As large as its frame lets it"
        checked={size === undefined}
        isDisabled={repeat !== undefined}
        onChange={(on) => onChange({ fill: on ? sizeless : { ...sizeless, size: "72 pt" } })}
      />
      {size !== undefined && (
        <LengthField
          label="Size"
          unit="PT"
          of="100 pt"
          value={size}
          onCommit={(to) => change({ size: to })}
        />
      )}
      <Tick
        label="Repeated, as often as its frame holds it"
        checked={repeat !== undefined}
        onChange={(on) =>
          on ? begin() : onChange({ fill: once, rotation: repeat?.angle ?? frame.rotation })
        }
      />
      {repeat && (
        <Row>
          <LengthField
            label="Gap across"
            unit={publication.setup.unit}
            of={APART}
            value={repeat.across}
            onCommit={(across) => change({ repeat: { ...repeat, across } })}
          />
          <LengthField
            label="Gap down"
            unit={publication.setup.unit}
            of={APART}
            value={repeat.down}
            onCommit={(down) => change({ repeat: { ...repeat, down } })}
          />
          <NumberField
            label="Angle of each °"
            value={repeat.angle}
            onCommit={(angle) => change({ repeat: { ...repeat, angle: within360(angle) } })}
          />
        </Row>
      )}
    </>
  );
}

/** Parts of the picture that text keeps off. */
function ClearFields({
  frame,
  onChange,
}: {
  frame: PictureFrame;
  onChange: (clear: PictureFrame["clear"]) => unknown;
}) {
  const { clear } = frame;
  const at = (index: number, changes: Partial<PictureFrame["clear"][number]>) =>
    onChange(clear.map((each, i) => (i === index ? { ...each, ...changes } : each)));
  return (
    <Stack role="group" aria-label="Keep clear of text">
      <Quiet>Keep clear of text, such as a face, in % of the picture</Quiet>
      {clear.map((each, i) => (
        <Row key={i} $columns="repeat(4, minmax(0, 1fr)) auto">
          <NumberField label="Left" value={each.left} onCommit={(left) => at(i, { left })} />
          <NumberField label="Top" value={each.top} onCommit={(top) => at(i, { top })} />
          <NumberField label="Width" value={each.width} onCommit={(width) => at(i, { width })} />
          <NumberField
            label="Height"
            value={each.height}
            onCommit={(height) => at(i, { height })}
          />
          <QuietButton
            aria-label={`Remove part ${i + 1} to keep clear`}
            onPress={() => onChange(clear.filter((_, other) => other !== i))}
          >
            <Trash2 size={15} aria-hidden />
          </QuietButton>
        </Row>
      ))}
      <div>
        <QuietButton
          onPress={() => onChange([...clear, { left: 30, top: 20, width: 40, height: 40 }])}
        >
          <Plus size={15} aria-hidden />
          Add a part to keep clear
        </QuietButton>
      </div>
    </Stack>
  );
}
