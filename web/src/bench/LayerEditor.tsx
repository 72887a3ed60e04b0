import { PaintBucket, Type } from "lucide-react";
import { useSteps } from "../api/queries";
import type { Layer, Owner, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { ChoiceMenu } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Stack } from "../ui/Field";
import { Fold, Name } from "../ui/Fold";
import { newBackground } from "./newBackground";
import { BackgroundEditor, inWords } from "./BackgroundEditor";
import { FrameEditor } from "./FrameEditor";

/** What lies on a page or a parent, and the two things that can be put on it. */
export function LayerEditor({
  publication,
  owner,
  layer,
}: {
  publication: Publication;
  owner: Owner;
  layer: Layer;
}) {
  const steps = useSteps(publication);
  const screen = (id: string) =>
    publication.swatches.find((swatch) => swatch.id === id)?.screen ?? "transparent";
  const { margins } = publication.setup;

  return (
    <Stack>
      <ChoiceMenu
        label="Swatch of the new background"
        trigger={
          <Button>
            <PaintBucket size={15} aria-hidden />
            Add a background…
          </Button>
        }
        options={swatchOptions(publication)}
        onChoose={(swatch) =>
          steps.make(
            {
              type: "addBackground",
              owner,
              background: newBackground(crypto.randomUUID(), swatch),
            },
            "Background added, out to the bleed",
          )
        }
      />
      {[...layer.backgrounds].reverse().map((background) => (
        <Fold
          key={background.id}
          head={
            <>
              {background.fill.type === "solid" && (
                <Chip $color={screen(background.fill.color.swatch)} />
              )}
              <Name>{inWords(background, publication)}</Name>
            </>
          }
        >
          <BackgroundEditor publication={publication} owner={owner} background={background} />
        </Fold>
      ))}
      <Button
        onPress={() => {
          const look = publication.looks[0]?.look.id;
          if (look) {
            steps.make(
              {
                type: "addFrame",
                owner,
                frame: crypto.randomUUID(),
                paragraph: crypto.randomUUID(),
                look,
                sides: "BOTH",
                box: { x: margins.inside, y: margins.top, width: "80 mm", height: "40 mm" },
              },
              "Text frame added; type its text below",
            );
          }
        }}
      >
        <Type size={15} aria-hidden />
        Add a text frame
      </Button>
      {layer.frames.map((frame) => (
        <Fold
          key={frame.id}
          head={
            <Name>
              Text: {frame.paragraphs[0]?.runs.map((run) => run.text).join("") || "empty"}
            </Name>
          }
        >
          <FrameEditor publication={publication} owner={owner} frame={frame} />
        </Fold>
      ))}
    </Stack>
  );
}
