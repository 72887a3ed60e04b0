import { PanelTop } from "lucide-react";
import { useSteps } from "../api/steps";
import type { Owner, Publication } from "../api/types";
import { useBench } from "../bench/BenchState";
import { Button } from "../ui/Button";
import { ChoiceMenu } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { inMillimetres } from "../ui/length";

/** Of a new band, in millimetres. */
const DEPTH = 12;

/** Puts a band along the top with text in it, and opens the text. */
export function AddBand({ publication, owner }: { publication: Publication; owner: Owner }) {
  const steps = useSteps(publication);
  const { write } = useBench();
  const { margins } = publication.setup;
  // the first that has room in it
  const looks = publication.looks.map((each) => each.look);
  const look = (
    looks.find(({ size }) => inMillimetres(size) < DEPTH / 3) ??
    [...looks].sort((a, b) => inMillimetres(a.size) - inMillimetres(b.size))[0]
  )?.id;
  const add = async (swatch: string) => {
    const story = crypto.randomUUID();
    if (
      look !== undefined &&
      (await steps.stored(
        () => ({
          type: "addBand",
          owner,
          frame: crypto.randomUUID(),
          sides: "BOTH",
          band: {
            edge: "TOP",
            depth: `${DEPTH} mm`,
            padding: {
              top: "0 mm",
              right: margins.outside,
              bottom: "0 mm",
              left: margins.inside,
            },
            fill: { type: "solid", color: { swatch, tint: 100 } },
          },
          story,
          paragraph: crypto.randomUUID(),
          look,
        }),
        "Band added; type its text",
      ))
    ) {
      write(story);
    }
  };
  return (
    <ChoiceMenu
      label="Swatch of the band"
      trigger={
        <Button>
          <PanelTop size={15} aria-hidden />
          Add a band with text…
        </Button>
      }
      options={swatchOptions(publication)}
      onChoose={(swatch) => void add(swatch)}
    />
  );
}
