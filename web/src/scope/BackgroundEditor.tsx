import { useMemo, useRef } from "react";
import { ArrowDown, ArrowUp, Trash2 } from "lucide-react";
import { useSteps } from "../api/steps";
import { useTrying } from "../api/trying";
import { useChanges } from "../api/useChanges";
import type { Background, CommonBackground, Edit, Fill, Owner, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { DifferingProvider } from "../ui/differing";
import { Choice } from "../ui/Choice";
import { Row, Stack } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { trimOf } from "../publication/sizes";
import { AreaFields, areaInWords } from "./AreaFields";
import { GradientFields } from "./GradientFields";
import { filledAs } from "./newBackground";
import { SwatchChoice } from "./SwatchChoice";
import { PictureFields } from "../pictures/PictureFields";
import { TintField } from "../ui/TintField";

export const sideOptions = [
  { id: "BOTH", label: "Left and right pages" },
  { id: "LEFT", label: "Left pages only" },
  { id: "RIGHT", label: "Right pages only" },
];

export const blends: { id: Background["blend"]; label: string }[] = [
  { id: "NORMAL", label: "Normal" },
  { id: "MULTIPLY", label: "Multiply" },
  { id: "SCREEN", label: "Screen" },
  { id: "OVERLAY", label: "Overlay" },
  { id: "DARKEN", label: "Darken" },
  { id: "LIGHTEN", label: "Lighten" },
  { id: "COLOR_DODGE", label: "Colour dodge" },
  { id: "COLOR_BURN", label: "Colour burn" },
  { id: "HARD_LIGHT", label: "Hard light" },
  { id: "SOFT_LIGHT", label: "Soft light" },
  { id: "DIFFERENCE", label: "Difference" },
  { id: "EXCLUSION", label: "Exclusion" },
  { id: "HUE", label: "Hue" },
  { id: "SATURATION", label: "Saturation" },
  { id: "COLOR", label: "Colour" },
  { id: "LUMINOSITY", label: "Luminosity" },
];

const kinds = [
  { id: "none", label: "No fill" },
  { id: "solid", label: "One colour" },
  { id: "gradient", label: "Gradient" },
  { id: "picture", label: "Picture" },
  { id: "pdfPage", label: "Page of a PDF" },
];

/** A background in words, for lists. */
export function inWords(
  background: Background,
  publication: Publication,
  differing: string[] = [],
): string {
  const { fill } = background;
  const name = (id: string) => publication.swatches.find((swatch) => swatch.id === id)?.name ?? "";
  const what = () => {
    switch (fill.type) {
      case "none":
        return "No fill";
      case "solid":
        return differing.includes("fill.color.swatch")
          ? "Several colours"
          : name(fill.color.swatch);
      case "gradient":
        return [...new Set(fill.stops.map((stop) => name(stop.color.swatch)))].join(" to ");
      case "word":
        return fill.text;
      case "picture":
      case "pdfPage":
        return (
          publication.assets.find((entry) => entry.asset.id === fill.asset)?.asset.name ?? "Picture"
        );
    }
  };
  return `${what()}, ${areaInWords(background.area)}`;
}

const places = [
  { id: "behind", label: "Behind what is on them" },
  { id: "over", label: "Over what is on them" },
];

/** Pictures are offered where there are any to choose from. */
function isPossible(kind: string, publication: Publication): boolean {
  const documents = publication.assets.filter((entry) => entry.asset.content.type === "document");
  switch (kind) {
    case "picture":
      return publication.assets.length > documents.length;
    case "pdfPage":
      return documents.length > 0;
    default:
      return true;
  }
}

export function BackgroundEditor({
  publication,
  owner,
  common,
}: {
  publication: Publication;
  /** Of the first. */
  owner: Owner;
  common: CommonBackground;
}) {
  const steps = useSteps(publication);
  const { tryOut } = useTrying();
  const { ids } = common;
  // what was chosen for all, although the first had it already
  const settled = useRef(new Set<string>());
  const differing = useMemo(
    () => ({
      ways: common.differing,
      settle: (way: string) => void settled.current.add(way),
    }),
    [common.differing],
  );
  const [background, become] = useChanges(
    publication,
    ids.join(" "),
    common.background,
    ({ was, made }, shownOnly) => {
      const also = [...settled.current];
      if (!shownOnly) {
        settled.current.clear();
      }
      return changing(publication, common, was, made, also);
    },
    "Background changed",
  );
  const change = (changes: Partial<Background>) => become({ ...background, ...changes });
  /** The same change as an edit that is tried out. */
  const changed = (changes: Partial<Background>, ways: string[]): Edit =>
    changing(
      publication,
      common,
      common.background,
      { ...background, ...changes },
      common.differing.filter((each) => ways.includes(each)),
    );
  /** Shows a value while it is typed; nothing ends that. */
  const trying =
    <V,>(giving: (value: V) => Partial<Background>, way: string) =>
    (value: V | undefined) =>
      tryOut(value === undefined ? undefined : changed(giving(value), [way]), true);
  const filled = (made: Fill | undefined, way: string) =>
    trying((fill: Fill) => ({ fill }), way)(made);
  const each = (edit: (id: string) => Edit): Edit => ({ type: "several", edits: ids.map(edit) });
  const { area, fill, goesTo } = background;

  return (
    <DifferingProvider value={differing}>
      <Stack>
        <Choice
          label="Fill type"
          value={fill.type}
          options={kinds.filter(
            (kind) => kind.id === fill.type || isPossible(kind.id, publication),
          )}
          onChange={(kind) => change({ fill: filledAs(kind, fill, publication) })}
        />
        {fill.type === "solid" && (
          <>
            <SwatchChoice
              publication={publication}
              label="Fill"
              naming={`the fill of this ${area.type === "band" ? "band" : "page background"}`}
              value={fill.color.swatch}
              begin={fill.color.swatch}
              way="fill.color.swatch"
              giving={(swatch, tint) =>
                changed(
                  { fill: { type: "solid", color: { swatch, tint: tint ?? fill.color.tint } } },
                  ["fill.color.swatch", ...(tint === undefined ? [] : ["fill.color.tint"])],
                )
              }
            />
            <TintField
              tint={fill.color.tint}
              way="fill.color.tint"
              onChange={(tint) => change(tinted(fill, tint))}
              onTry={trying((tint) => tinted(fill, tint), "fill.color.tint")}
            />
          </>
        )}
        {fill.type === "gradient" && (
          <GradientFields
            publication={publication}
            gradient={fill}
            giving={(gradient, ways) => changed({ fill: gradient }, ways)}
            onChange={(gradient) => change({ fill: gradient })}
            onTry={filled}
          />
        )}
        {(fill.type === "picture" || fill.type === "pdfPage") && (
          <PictureFields
            publication={publication}
            owner={owner}
            background={background}
            fill={fill}
            onChange={(made) => change({ fill: made })}
            onTry={filled}
          />
        )}
        <AreaFields
          unit={publication.setup.unit}
          trim={trimOf(publication, owner)}
          facing={publication.setup.facing}
          area={area}
          onChange={(made) => change({ area: made })}
        />
        {owner.type === "onParent" && publication.setup.facing && (
          <Choice
            label="Shows on"
            value={background.sides}
            way="sides"
            options={sideOptions}
            onChange={(id) => change({ sides: id as Background["sides"] })}
          />
        )}
        {publication.pages.some((page) => page.imported) && (
          <Choice
            label="On pages of files"
            value={background.over ? "over" : "behind"}
            way="over"
            options={places}
            onChange={(id) => change({ over: id === "over" })}
          />
        )}
        <Row $columns="84px minmax(0, 1fr)">
          <NumberField
            label="Opacity %"
            value={background.opacity}
            way="opacity"
            onCommit={(opacity) => change({ opacity })}
            onTry={trying((opacity) => ({ opacity }), "opacity")}
          />
          <Choice
            label="Blending"
            value={background.blend}
            way="blend"
            options={blends}
            onChange={(id) => change({ blend: id as Background["blend"] })}
          />
        </Row>
        <Row $columns="auto auto 1fr" role="group" aria-label="Output">
          <Tick
            label="Screen"
            checked={goesTo.screen}
            way="goesTo.screen"
            onChange={(screen) => change({ goesTo: { ...goesTo, screen } })}
          />
          <Tick
            label="Paper"
            checked={goesTo.paper}
            way="goesTo.paper"
            onChange={(paper) => change({ goesTo: { ...goesTo, paper } })}
          />
        </Row>
        <Row $columns="repeat(3, auto) 1fr">
          <Button
            aria-label="Raise above the next one"
            onPress={() =>
              steps.make(each((id) => ({ type: "restackBackground", background: id, steps: 1 })))
            }
          >
            <ArrowUp size={15} aria-hidden />
          </Button>
          <Button
            aria-label="Lower below the next one"
            onPress={() =>
              steps.make(each((id) => ({ type: "restackBackground", background: id, steps: -1 })))
            }
          >
            <ArrowDown size={15} aria-hidden />
          </Button>
          <Button
            onPress={() =>
              steps.make(
                each((id) => ({ type: "removeBackground", background: id })),
                ids.length === 1 ? "Background removed" : "Backgrounds removed",
              )
            }
          >
            <Trash2 size={15} aria-hidden />
            Remove
          </Button>
        </Row>
      </Stack>
    </DifferingProvider>
  );
}

function tinted(fill: Extract<Fill, { type: "solid" }>, tint: number): Partial<Background> {
  return { fill: { ...fill, color: { ...fill.color, tint } } };
}

/**
 * The edit that changes backgrounds alike. One of a page that goes across the spread comes to the
 * page beside it as well.
 *
 * @param also what all get although the first of them had it already
 */
function changing(
  publication: Publication,
  { ids, pages }: CommonBackground,
  was: Background,
  made: Background,
  also: string[],
): Edit {
  const [only] = ids;
  const change: Edit =
    ids.length === 1 && only !== undefined
      ? { type: "changeBackground", background: made, was }
      : { type: "changeBackgrounds", backgrounds: ids, background: made, was, also };
  if (made.area.type !== "wholeSpread" || was.area.type === "wholeSpread") {
    return change;
  }
  const beside = pages
    .map((number) => publication.pages[number - 1])
    .flatMap((page) =>
      publication.pages.filter(
        (other) => page && other.spread === page.spread && !pages.includes(other.number),
      ),
    );
  const { madeBy, ...rest } = made;
  void madeBy; // a copy is no use of a recipe
  return {
    type: "several",
    edits: [
      change,
      ...beside.map(({ id }): Edit => ({
        type: "addBackground",
        owner: { type: "onPage", id },
        background: { ...rest, id: crypto.randomUUID() },
      })),
    ],
  };
}

/** One background by itself, as something that is changed. */
export function alone(background: Background): CommonBackground {
  return { ids: [background.id], pages: [], background, differing: [] };
}
