import { ArrowDown, ArrowUp, PaintBucket, Type } from "lucide-react";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import { textOf, useStory } from "../api/story";
import type { AnyFrame, CommonBackground, Owner, Publication, TextFrame } from "../api/types";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { ChoiceMenu } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Stack } from "../ui/Field";
import { Fold, Name, Quiet } from "../ui/Fold";
import { numbersInWords, ordinal } from "../ui/words";
import { newBackground } from "./newBackground";
import { BackgroundEditor, inWords } from "./BackgroundEditor";
import { FrameEditor } from "./FrameEditor";
import { AddBand } from "./AddBand";
import { AddWord } from "./AddWord";
import { edgeNames } from "./AreaFields";
import { frontInWords, PictureFrameEditor } from "./PictureFrameEditor";

/** A frame by the words its story begins with. */
function FrameName({ publication, frame }: { publication: Publication; frame: TextFrame }) {
  const story = useStory(publication, frame.story);
  const [first] = story.data?.paragraphs ?? [];
  const chain = story.data?.chain ?? [];
  const turn = chain.findIndex((link) => link.frame === frame.id);
  return (
    <Name>
      {frame.band ? `Band at the ${edgeNames[frame.band.edge]}` : "Text"}:{" "}
      {story.data ? (first && textOf(first)) || "empty" : "…"}
      {chain.length > 1 && `, ${turn + 1} of ${chain.length}`}
    </Name>
  );
}

/** Where a frame stands among those of its page: what is read later lies above. */
function StackOrder({
  place,
  count,
  onMove,
}: {
  /** From 0. */
  place: number;
  count: number;
  /** Puts it behind so many others. */
  onMove: (behind: number) => void;
}) {
  return (
    <Order role="group" aria-label="Order of frames">
      <Quiet>
        {ordinal(place + 1)} of {count} from the back, read in this order
      </Quiet>
      <QuietButton isDisabled={place === 0} onPress={() => onMove(place - 1)}>
        <ArrowDown size={15} aria-hidden />
        Back
      </QuietButton>
      <QuietButton isDisabled={place === count - 1} onPress={() => onMove(place + 1)}>
        <ArrowUp size={15} aria-hidden />
        Forward
      </QuietButton>
    </Order>
  );
}

const Order = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  & > span {
    flex: 1;
  }
`;

/** What lies on a parent or on some pages, and the two things that can be put there. */
export function LayerEditor({
  publication,
  owners,
  backgrounds,
  frames,
}: {
  publication: Publication;
  /** One parent, or pages. */
  owners: Owner[];
  /** From the lowest up. */
  backgrounds: CommonBackground[];
  /** Of the one page or parent, from the lowest up. */
  frames: AnyFrame[];
}) {
  const steps = useSteps(publication);
  const screen = (id: string) =>
    publication.swatches.find((swatch) => swatch.id === id)?.screen ?? "transparent";
  const { margins } = publication.setup;
  const [owner] = owners;
  if (!owner) {
    return null;
  }

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
          steps.makeSeen(
            {
              type: "several",
              edits: owners.map((each) => ({
                type: "addBackground",
                owner: each,
                background: newBackground(crypto.randomUUID(), swatch),
              })),
            },
            "Background added, out to the bleed",
          )
        }
      />
      {[...backgrounds].reverse().map((common) => {
        const { background, ids, pages } = common;
        const elsewhere = pages.length > 0 && pages.length !== owners.length;
        return (
          <Fold
            key={`${background.id} ${ids.length}`}
            head={
              <>
                {background.fill.type === "solid" && (
                  <Chip
                    $color={
                      common.differing.includes("fill.color.swatch")
                        ? "transparent"
                        : screen(background.fill.color.swatch)
                    }
                  />
                )}
                <Name style={{ whiteSpace: "normal" }}>
                  {inWords(background, publication, common.differing)}
                </Name>
                {elsewhere && <Quiet>{numbersInWords(pages)}</Quiet>}
              </>
            }
          >
            <BackgroundEditor publication={publication} owner={owner} common={common} />
          </Fold>
        );
      })}
      {owners.length === 1 && (
        <Button
          onPress={() => {
            const look = publication.looks[0]?.look.id;
            if (look) {
              steps.make(
                {
                  type: "addFrame",
                  owner,
                  frame: crypto.randomUUID(),
                  story: crypto.randomUUID(),
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
      )}
      {owners.length === 1 && <AddBand publication={publication} owner={owner} />}
      <AddWord publication={publication} owners={owners} />
      {frames.map((frame, i) => (
        <Fold
          key={frame.id}
          head={
            frame.type === "textFrame" ? (
              <FrameName publication={publication} frame={frame} />
            ) : (
              <Name>{frontInWords(frame, publication)}</Name>
            )
          }
        >
          {frame.type === "textFrame" ? (
            <FrameEditor publication={publication} owner={owner} frame={frame} />
          ) : (
            <PictureFrameEditor publication={publication} owner={owner} frame={frame} />
          )}
          {frames.length > 1 && (
            <StackOrder
              place={i}
              count={frames.length}
              onMove={(before) => {
                const after = frames.filter((each) => each !== frame)[before - 1];
                steps.make(
                  {
                    type: "orderFrame",
                    frame: frame.id,
                    ...(after ? { after: after.id } : {}),
                  },
                  "Order of frames changed",
                );
              }}
            />
          )}
        </Fold>
      ))}
    </Stack>
  );
}
