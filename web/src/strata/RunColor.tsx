import { useSteps } from "../api/steps";
import type { Publication, TextStratum, Tinted } from "../api/types";
import { Stack } from "../ui/Field";
import { TintField } from "../ui/TintField";
import { SwatchChoice } from "../scope/SwatchChoice";

const ofLook = "look";

/** The colour of a run: a swatch of its own at a tint of its own, or that of its look. */
export function RunColor({
  publication,
  stratum,
  color,
}: {
  publication: Publication;
  stratum: TextStratum;
  color: Tinted | undefined;
}) {
  const steps = useSteps(publication);
  const words = stratum.text.length > 24 ? `${stratum.text.slice(0, 23)}…` : stratum.text;
  const set = (changed: Tinted | undefined) =>
    steps.make(
      { type: "colorRun", run: stratum.run, ...(changed ? { color: changed } : {}) },
      "Words coloured",
    );
  return (
    <Stack>
      <SwatchChoice
        publication={publication}
        label="Colour"
        forText
        naming={`the words “${words}”`}
        value={color?.swatch ?? ofLook}
        others={[{ id: ofLook, label: `That of look ${stratum.lookName}` }]}
        begin={stratum.swatch}
        giving={(swatch, tint) => ({
          type: "colorRun",
          run: stratum.run,
          color: { swatch, tint: tint ?? color?.tint ?? 100 },
        })}
        onOther={() => set(undefined)}
      />
      {color && <TintField tint={color.tint} onChange={(tint) => set({ ...color, tint })} />}
    </Stack>
  );
}
