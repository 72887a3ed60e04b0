import { ArrowDown, ArrowUp, Crosshair, Trash2 } from "lucide-react";
import { useState } from "react";
import { readColor, useSteps } from "../api/queries";
import type { Definition, Publication, SwatchEntry } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Field, Row, Stack } from "../ui/Field";
import { Actions, Modal } from "../ui/Modal";
import { useStatus } from "../ui/Status";
import { LookOfColor } from "../color/LookOfColor";
import { RecentColors } from "../color/RecentColors";
import { remember } from "../color/recent";
import { inSpaceOf } from "../color/spaces";
import { Fold, Name, Quiet } from "../ui/Fold";
import { counted } from "../ui/words";
import { useBench } from "./BenchState";
import { definitionOf, refusedFor } from "./sampler";
import { DefinitionFields, kindOf, kinds, startOf, type Kind } from "./DefinitionFields";
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
  const [removing, setRemoving] = useState(false);
  const [replacement, setReplacement] = useState<string>();
  const { definition } = swatch;
  const index = publication.swatches.findIndex((each) => each.id === swatch.id);

  const change = (changed: Definition) => {
    remember(publication.id, swatch);
    steps.make(
      { type: "changeSwatch", swatch: swatch.id, definition: changed },
      `Swatch “${swatch.name}” changed`,
    );
  };
  const move = (after: number) => {
    const before = publication.swatches[after]?.id;
    steps.make({
      type: "moveSwatch",
      swatch: swatch.id,
      ...(before ? { after: before } : {}),
    });
  };
  /** A written colour is kept in the space the swatch is defined in, where it is defined by values. */
  const write = async (text: string) => {
    try {
      const read = await readColor(publication, text);
      const kind = kindOf(definition);
      if (kind === "spot" || (kind === "cmyk" && read.color.type === "rgb")) {
        change(inSpaceOf(definition, read));
      } else {
        change({ type: "plain", color: read.color });
      }
    } catch (error) {
      status.fail(error instanceof Error ? error.message : String(error));
    }
  };
  const tryOut = (tried: Definition | undefined) =>
    bench.tryOut(tried && { type: "changeSwatch", swatch: swatch.id, definition: tried });
  const naming = `swatch “${swatch.name}”`;
  const sample = () =>
    bench.sample({
      naming,
      take: (taken) => change(definitionOf(taken, publication)),
      refuses: (taken) => refusedFor(publication, taken, swatch.id),
    });
  const remove = (instead?: string) => {
    setRemoving(false);
    steps.make(
      {
        type: "removeSwatch",
        swatch: swatch.id,
        ...(instead ? { replacement: instead } : {}),
      },
      "Swatch removed",
    );
  };

  return (
    <Stack>
      <Quiet>
        Changes “{swatch.name}”,{" "}
        {swatch.uses === 0
          ? "which is not used yet"
          : `used in ${counted(swatch.uses, "place", "places")}`}
      </Quiet>
      <Field
        label="Name"
        value={swatch.name}
        onCommit={(name) => steps.make({ type: "renameSwatch", swatch: swatch.id, name })}
      />
      <Choice
        label="Made as"
        value={kindOf(definition)}
        options={kinds}
        onChange={(kind) => {
          const begun = startOf(kind as Kind, swatch, publication);
          if (begun) {
            change(begun);
          } else {
            status.fail("There is no other swatch to derive from; add one first.");
          }
        }}
      />
      <DefinitionFields
        publication={publication}
        swatch={swatch}
        onTry={tryOut}
        onChange={change}
      />
      {(definition.type === "plain" || definition.type === "spotInk") && (
        <Fold head={<Name>By lightness, chroma and hue</Name>}>
          <LookOfColor publication={publication} swatch={swatch} onTry={tryOut} onChange={change} />
        </Fold>
      )}
      {(definition.type === "plain" || definition.type === "spotInk") && (
        <Field
          label="Write a colour: hex, rgb(), hsl(), lab(), cmyk(), a name"
          value={swatch.screen}
          onCommit={(text) => void write(text)}
        />
      )}
      <Button onPress={sample}>
        <Crosshair size={15} aria-hidden />
        Take a colour from the page…
      </Button>
      <RecentColors publication={publication} naming={naming} onTake={change} />
      <SwatchValues
        swatch={swatch}
        inkLimit={publication.inkLimit}
        onUseNearest={() =>
          change({
            type: "plain",
            color: { ...swatch.nearestInk, type: "cmyk" },
          })
        }
      />
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
      <Modal
        title={`What takes the place of “${swatch.name}”?`}
        isOpen={removing}
        onClose={() => setRemoving(false)}
      >
        <p>
          It is used in {swatch.uses} {swatch.uses === 1 ? "place" : "places"}. Choose the swatch
          that these get instead.
        </p>
        <Choice
          label="Swatch instead"
          value={replacement}
          options={swatchOptions(publication).filter((option) => option.id !== swatch.id)}
          onChange={setReplacement}
        />
        <Actions>
          <Button onPress={() => setRemoving(false)}>Keep it</Button>
          <MainButton isDisabled={!replacement} onPress={() => remove(replacement)}>
            Replace and remove
          </MainButton>
        </Actions>
      </Modal>
    </Stack>
  );
}
