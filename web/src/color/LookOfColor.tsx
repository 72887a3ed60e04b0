import { useRef } from "react";
import { readColor } from "../api/queries";
import type { Color, Definition, Publication, SwatchEntry } from "../api/types";
import { Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { useStatus } from "../ui/Status";
import { useHeld } from "../ui/useHeld";
import { messageOf } from "../ui/words";
import { GamutPlane } from "./GamutPlane";
import { SlideField } from "./SlideField";
import { inSpaceOf } from "./spaces";
import { stripOf } from "./strips";

/** A colour chosen by how it looks: lightness, chroma and hue, within what the press can print. */
export function LookOfColor({
  publication,
  swatch,
  onTry,
  onChange,
}: {
  publication: Publication;
  swatch: SwatchEntry;
  onTry: (definition: Definition | undefined) => void;
  onChange: (definition: Definition) => Promise<boolean>;
}) {
  const status = useStatus();
  const asking = useRef(false);
  const { condition } = publication.setup.press;
  const held = useHeld(swatch.id, {
    lightness: swatch.lab.lightness,
    chroma: swatch.chroma,
    hue: swatch.hue,
  });
  const { lightness, chroma, hue } = held.value;

  const read = async (l: number, c: number, h: number): Promise<Definition> => {
    const color = await readColor(publication, `lch(${l} ${c} ${h})`);
    return inSpaceOf(swatch.definition, color);
  };
  const tryOut = async (l: number, c: number, h: number) => {
    // one question at a time; the pointer moves faster than answers come
    if (!asking.current) {
      asking.current = true;
      await read(l, c, h).then(onTry, () => onTry(undefined));
      asking.current = false;
    }
  };
  const store = async (l: number, c: number, h: number) => {
    try {
      return await onChange(await read(l, c, h));
    } catch (error) {
      status.fail(messageOf(error));
      return false;
    }
  };
  const commit = (l: number, c: number, h: number) =>
    held.hold({ lightness: l, chroma: c, hue: h }, () => store(l, c, h));
  const lab: Color = { ...swatch.lab, type: "lab" };
  const fields = [
    { axis: "LIGHTNESS", label: "Lightness", value: lightness, most: 100 },
    { axis: "CHROMA", label: "Chroma", value: chroma, most: 110 },
    { axis: "HUE", label: "Hue", value: hue, most: 360 },
  ] as const;
  const moved = (axis: string, value: number): [number, number, number] => [
    axis === "LIGHTNESS" ? value : lightness,
    axis === "CHROMA" ? value : chroma,
    axis === "HUE" ? value : hue,
  ];

  return (
    <Stack>
      <GamutPlane
        condition={condition}
        hue={hue}
        place={{ chroma, lightness }}
        onTry={(place) =>
          place ? void tryOut(place.lightness, place.chroma, hue) : onTry(undefined)
        }
        onCommit={(place) => void commit(place.lightness, place.chroma, hue)}
      />
      <Quiet>Chroma to the right, lightness upwards. Grey: the press cannot print it.</Quiet>
      {fields.map(({ axis, label, value, most }) => (
        <SlideField
          key={axis}
          label={label}
          name={`${label} of ${swatch.name}`}
          value={value}
          least={0}
          most={most}
          step={1}
          picture={stripOf(condition, lab, axis)}
          onTry={(to) => (to === undefined ? onTry(undefined) : void tryOut(...moved(axis, to)))}
          onCommit={(to) => commit(...moved(axis, to))}
        />
      ))}
    </Stack>
  );
}
