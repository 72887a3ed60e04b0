import { Edits } from "../scope/Edits";
import { ArrowDown, ArrowUp, Crosshair, Trash2 } from "lucide-react";
import { useState } from "react";
import { readColor } from "../api/queries";
import { useSteps } from "../api/steps";
import { useChanges } from "../api/useChanges";
import type { Color, Definition, Publication, SwatchEntry } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Field, Row, Stack } from "../ui/Field";
import { RemoveDialog } from "../ui/RemoveDialog";
import { useStatus } from "../ui/Status";
import { LookOfColor } from "../color/LookOfColor";
import { RecentColors } from "../color/RecentColors";
import { useRemembered } from "../color/recent";
import { written } from "../color/spaces";
import { Fold, Name } from "../ui/Fold";
import { counted, messageOf } from "../ui/words";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { definitionOf, refusedFor } from "../strata/sampler";
import { DefinitionFields, kindOf, kinds, startOf, type Kind } from "./DefinitionFields";
import { UsedIn } from "./UsedIn";
import { SwatchValues } from "./SwatchValues";

export function SwatchEditor({
  publication,
  swatch,
}: {
  publication: Publication;
  swatch: SwatchEntry;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const bench = useBench();
  const { tryOut } = useTrying();
  const [removing, setRemoving] = useState(false);
  const remembered = useRemembered(publication.id, swatch);
  const [definition, change] = useChanges(
    publication,
    swatch.id,
    swatch.definition,
    ({ was, made }) => ({ type: "changeSwatch", swatch: swatch.id, definition: made, was }),
    `Swatch “${swatch.name}” changed`,
  );
  const index = publication.swatches.findIndex((each) => each.id === swatch.id);

  /** A colour that was chosen as a whole, not one of its values. */
  const choose = (chosen: Definition) => {
    remembered();
    return change(chosen);
  };
  const move = (after: number) => {
    const before = publication.swatches[after]?.id;
    steps.make({
      type: "moveSwatch",
      swatch: swatch.id,
      ...(before ? { after: before } : {}),
    });
  };
  /** A written colour stays what was written. */
  const write = async (text: string) => {
    const isInk = definition.type === "spotInk";
    const of = (color: Color): Definition =>
      isInk ? { type: "spotInk", equivalent: color } : { type: "plain", color };
    try {
      const { color } = await readColor(publication, text);
      await choose(of(color));
    } catch (error) {
      status.fail(messageOf(error));
    }
  };
  const tryDefinition = (tried: Definition | undefined) =>
    tryOut(tried && { type: "changeSwatch", swatch: swatch.id, definition: tried });
  const naming = `swatch “${swatch.name}”`;
  const sample = () =>
    bench.sample({
      naming,
      take: (taken) => void choose(definitionOf(taken, publication)),
      refuses: (taken) => refusedFor(publication, taken, swatch.id),
    });
  const remove = (instead?: string) =>
    steps.make(
      {
        type: "removeSwatch",
        swatch: swatch.id,
        ...(instead ? { replacement: instead } : {}),
      },
      "Swatch removed",
    );

  return (
    <Edits what={`Swatch “${swatch.name}”: ${counted(swatch.uses, "use", "uses")}`}>
      <Stack>
        <UsedIn publication={publication} id={swatch.id} />
        <Field
          label="Name"
          value={swatch.name}
          onCommit={(name) => steps.stored({ type: "renameSwatch", swatch: swatch.id, name })}
        />
        <Choice
          label="Colour type"
          value={kindOf(definition)}
          options={kinds}
          onChange={(kind) => {
            const begun = startOf(kind as Kind, swatch, publication);
            if (begun) {
              void change(begun);
            } else {
              status.fail("There is no other swatch to derive from; add one first.");
            }
          }}
        />
        <DefinitionFields
          publication={publication}
          swatch={swatch}
          definition={definition}
          onTry={tryDefinition}
          onChange={(changed) => void change(changed)}
        />
        {(definition.type === "plain" || definition.type === "spotInk") && (
          <Fold head={<Name>By lightness, chroma and hue</Name>}>
            <LookOfColor
              publication={publication}
              swatch={swatch}
              onTry={tryDefinition}
              onChange={change}
            />
          </Fold>
        )}
        {(definition.type === "plain" || definition.type === "spotInk") && (
          <Field
            label="Write a colour: hex, rgb(), hsl(), lab(), cmyk(), a name"
            value={written(
              definition.type === "plain" ? definition.color : definition.equivalent,
              swatch,
            )}
            onCommit={write}
          />
        )}
        {bench.canSample && definition.type !== "legible" && (
          <Button onPress={sample} style={{ whiteSpace: "normal" }}>
            <Crosshair size={15} aria-hidden />
            Take a colour from the page…
          </Button>
        )}
        {definition.type !== "legible" && (
          <>
            <RecentColors
              publication={publication}
              naming={naming}
              onTake={(taken) => void choose(taken)}
            />
            <SwatchValues
              swatch={swatch}
              inkLimit={publication.inkLimit}
              onUseNearest={() =>
                void choose({
                  type: "plain",
                  color: { ...swatch.nearestInk, type: "cmyk" },
                })
              }
            />
          </>
        )}
        <Row $columns="auto auto 1fr">
          <Button
            aria-label="Earlier in the list"
            isDisabled={index === 0}
            onPress={() => move(index - 2)}
          >
            <ArrowUp size={15} aria-hidden />
          </Button>
          <Button
            aria-label="Later in the list"
            isDisabled={index === publication.swatches.length - 1}
            onPress={() => move(index + 1)}
          >
            <ArrowDown size={15} aria-hidden />
          </Button>
          <Button onPress={() => (swatch.uses > 0 ? setRemoving(true) : remove())}>
            <Trash2 size={15} aria-hidden />
            Remove…
          </Button>
        </Row>
        {removing && (
          <RemoveDialog
            title={`Remove the swatch “${swatch.name}”?`}
            instead={
              swatch.uses > 0
                ? {
                    label: "Swatch instead",
                    options: swatchOptions(publication).filter(({ id }) => id !== swatch.id),
                  }
                : undefined
            }
            onRemove={remove}
            onClose={() => setRemoving(false)}
          >
            It is used in {counted(swatch.uses, "place", "places")}. Choose the swatch that these
            get instead.
          </RemoveDialog>
        )}
      </Stack>
    </Edits>
  );
}
