import { Crosshair, Plus } from "lucide-react";
import { useState } from "react";
import { useSteps } from "../api/steps";
import type { Edit, Publication } from "../api/types";
import { QuietButton } from "../ui/Button";
import { Choice, type Option } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { useDiffers } from "../ui/differing";
import { Row } from "../ui/Field";
import { Fold, Name } from "../ui/Fold";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { newSwatch } from "../catalogue/newSwatch";
import { SwatchEditor } from "../catalogue/SwatchEditor";

/**
 * Chooses a swatch for something: one that is there, one taken from the page, or a new one that is
 * made right here.
 */
export function SwatchChoice({
  publication,
  label,
  naming,
  value,
  others = [],
  begin,
  way,
  forText = false,
  giving,
  onOther,
}: {
  publication: Publication;
  label: string;
  /** What gets the colour, in words. */
  naming: string;
  value: string;
  /** What can be chosen besides swatches. */
  others?: Option[];
  /** The swatch that a new one begins as. */
  begin: string | undefined;
  way?: string;
  /** Whether it colours text, which a legible colour can. */
  forText?: boolean;
  /** The edit that gives a swatch, at a tint where one was taken along. */
  giving: (swatch: string, tint?: number) => Edit;
  onOther?: (id: string) => void;
}) {
  const steps = useSteps(publication);
  const bench = useBench();
  const { tryOut } = useTrying();
  const [open, setOpen] = useState(false);
  const { differs } = useDiffers(way);
  const chosen = publication.swatches.find((each) => each.id === value);
  const model = chosen ?? publication.swatches.find((each) => each.id === begin);

  const make = () => {
    const id = crypto.randomUUID();
    setOpen(true);
    steps.make(
      {
        type: "several",
        edits: [
          {
            type: "addSwatch",
            swatch: newSwatch(id, publication, model),
          },
          giving(id),
        ],
      },
      `New swatch for ${naming}`,
    );
  };

  return (
    <>
      <Row $columns="minmax(0, 1fr) auto auto">
        <Choice
          label={label}
          value={value}
          options={[...others, ...swatchOptions(publication, forText)]}
          {...(way ? { way } : {})}
          onTry={(id) =>
            tryOut(
              id === undefined || others.some((other) => other.id === id) ? undefined : giving(id),
            )
          }
          onChange={(id) => {
            if (others.some((other) => other.id === id)) {
              tryOut(undefined);
              onOther?.(id);
            } else {
              steps.makeSeen(
                giving(id),
                `${naming.charAt(0).toUpperCase()}${naming.slice(1)} coloured`,
              );
            }
          }}
        />
        {bench.canSample && (
          <QuietButton
            aria-label={`Take a colour from the page for ${naming}`}
            onPress={() =>
              bench.sample({
                naming,
                take: (taken) => steps.make(giving(taken.swatch, taken.tint), "Colour taken"),
                refuses: (taken) =>
                  taken.mixed
                    ? "It is not one swatch here; take it for a swatch instead"
                    : undefined,
              })
            }
          >
            <Crosshair size={15} aria-hidden />
          </QuietButton>
        )}
        <QuietButton aria-label={`New swatch for ${naming}`} onPress={make}>
          <Plus size={16} aria-hidden />
        </QuietButton>
      </Row>
      {chosen && !differs && (
        <Fold
          head={<Name>Change swatch “{chosen.name}”…</Name>}
          isExpanded={open}
          onExpandedChange={setOpen}
        >
          <SwatchEditor publication={publication} swatch={chosen} />
        </Fold>
      )}
    </>
  );
}
