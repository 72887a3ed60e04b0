import { Trash2 } from "lucide-react";
import { useState } from "react";
import { answered, client } from "../api/client";
import { useSteps } from "../api/queries";
import type { Color, Publication, SwatchEntry } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Field, Row, Stack } from "../ui/Field";
import { Actions, Modal } from "../ui/Modal";
import { useStatus } from "../ui/Status";

type Cmyk = Extract<Color, { type: "cmyk" }>;
type Rgb = Extract<Color, { type: "rgb" }>;

const inks: { key: "cyan" | "magenta" | "yellow" | "black"; label: string }[] = [
  { key: "cyan", label: "Cyan %" },
  { key: "magenta", label: "Magenta %" },
  { key: "yellow", label: "Yellow %" },
  { key: "black", label: "Black %" },
];
const lights: { key: "red" | "green" | "blue"; label: string }[] = [
  { key: "red", label: "Red" },
  { key: "green", label: "Green" },
  { key: "blue", label: "Blue" },
];

const number = (text: string) => Number(text.replace(",", "."));

export function SwatchEditor({
  publication,
  swatch,
}: {
  publication: Publication;
  swatch: SwatchEntry;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [removing, setRemoving] = useState(false);
  const [replacement, setReplacement] = useState<string>();
  const { color } = swatch;

  const change = (changed: Color) =>
    steps.make({ type: "changeSwatch", swatch: swatch.id, color: changed }, "Swatch changed");
  const checked = (text: string, take: (value: number) => void) => {
    const value = number(text);
    if (text.trim() === "" || Number.isNaN(value)) {
      status.fail(`“${text}” is not a number.`);
    } else {
      take(value);
    }
  };
  const hex = async (text: string) => {
    try {
      const converted = await answered(
        client.GET("/api/colors/{hex}", { params: { path: { hex: text.trim() } } }),
      );
      change(
        color.type === "cmyk"
          ? { ...converted.ink, type: "cmyk" }
          : { ...converted.rgb, type: "rgb" },
      );
    } catch (error) {
      status.fail(error instanceof Error ? error.message : String(error));
    }
  };
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
      <Field
        label="Name"
        value={swatch.name}
        onCommit={(name) => steps.make({ type: "renameSwatch", swatch: swatch.id, name })}
      />
      <Row>
        <Choice
          label="Defined in"
          value={color.type}
          options={[
            { id: "cmyk", label: "CMYK" },
            { id: "rgb", label: "sRGB" },
          ]}
          onChange={(id) =>
            change(
              id === "cmyk"
                ? { ...rounded(swatch.ink as Cmyk), type: "cmyk" }
                : { ...(swatch.rgb as Rgb), type: "rgb" },
            )
          }
        />
        <Field label="Hex" value={swatch.screen} onCommit={(text) => void hex(text)} />
      </Row>
      {color.type === "cmyk" ? (
        <Row $columns="repeat(4, minmax(0, 1fr))">
          {inks.map(({ key, label }) => (
            <Field
              key={key}
              label={label.replace(/(\w)\w*/, "$1")}
              value={String(color[key])}
              onCommit={(text) => checked(text, (value) => change({ ...color, [key]: value }))}
            />
          ))}
        </Row>
      ) : (
        <Row $columns="repeat(3, minmax(0, 1fr))">
          {lights.map(({ key, label }) => (
            <Field
              key={key}
              label={label}
              value={String(color[key])}
              onCommit={(text) =>
                checked(text, (value) => change({ ...color, [key]: Math.round(value) }))
              }
            />
          ))}
        </Row>
      )}
      <div>
        <Button onPress={() => (swatch.uses > 0 ? setRemoving(true) : remove())}>
          <Trash2 size={15} aria-hidden />
          Remove…
        </Button>
      </div>
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

function rounded(ink: Cmyk): Cmyk {
  return {
    ...ink,
    cyan: Math.round(ink.cyan),
    magenta: Math.round(ink.magenta),
    yellow: Math.round(ink.yellow),
    black: Math.round(ink.black),
  };
}
