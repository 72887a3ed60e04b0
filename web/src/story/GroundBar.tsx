import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
import styled from "styled-components";
import { readReversal } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Edit, Panel, Publication, Reversal, Story } from "../api/types";
import { useChanges } from "../api/useChanges";
import { useTrying } from "../api/trying";
import { noPanel, PanelFields } from "../catalogue/PanelFields";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { useStatus } from "../ui/Status";
import { Tick } from "../ui/Tick";
import { counted, messageOf } from "../ui/words";
import { Bar } from "./Bar";
import type { Grounded } from "./grounded";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${theme.space.half} ${theme.space.one};
`;

/**
 * Puts a ground behind text in one step, with a text colour that reads on it, seen on the page before
 * it is done; or gives paragraphs a shading and a border of their own.
 */
export function GroundBar({
  publication,
  story,
  chosen,
  before,
  onLook,
  wearing,
  onClose,
}: {
  publication: Publication;
  story: Story;
  chosen: Grounded;
  /** Stores what is typed. */
  before: () => Promise<void> | undefined;
  /** Gives the chosen words a look of characters. */
  /** Gives the chosen words a look that an edit makes, both as one step. */
  onLook: (look: string, made: Edit) => Promise<void>;
  /** What that would be, for trying it out. */
  wearing: (look: string, made: Edit) => Edit;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const { tryOut, settle } = useTrying();
  const [ground, setGround] = useState(
    () =>
      swatchOptions(publication).toSorted(
        (one, other) => lightness(publication, one.id) - lightness(publication, other.id),
      )[0]?.id ?? "",
  );
  const worn = chosen.words
    ? publication.characterLooks.find(({ look }) => look.id === chosen.characters)
    : publication.looks.find(({ look }) => look.id === chosen.look);
  const wanted = (own: boolean) => ({
    story: story.id,
    paragraphs: chosen.paragraphs,
    look: chosen.look,
    words: chosen.words,
    ...(chosen.characters === undefined ? {} : { characters: chosen.characters }),
    ground: { swatch: ground, tint: 100 },
    own,
  });
  const reversal = useQuery({
    queryKey: ["reversal", publication.id, publication.revision, wanted(false)],
    queryFn: () => readReversal(publication, wanted(false)),
    enabled: ground !== "",
  });
  const found = reversal.data;
  const latest = useRef(wearing);
  useEffect(() => {
    latest.current = wearing;
  });
  useEffect(() => {
    tryOut(
      found && chosen.words && found.look !== chosen.characters
        ? latest.current(found.look, found.edit)
        : found?.edit,
    );
    return () => tryOut(undefined);
  }, [found, chosen.words, chosen.characters, tryOut]);

  const make = async (own: boolean) => {
    await before();
    let made: Reversal;
    try {
      made = await readReversal(publication, wanted(own));
    } catch (error) {
      status.fail(messageOf(error));
      return;
    }
    if (chosen.words && made.look !== chosen.characters) {
      // the look and the words that wear it are one step
      await onLook(made.look, made.edit);
    } else {
      const stored = steps.stored(made.edit, "Reversed");
      settle(stored, made.edit);
      await stored;
    }
    onClose();
  };
  const grounded =
    worn !== undefined &&
    ("panel" in worn.look
      ? worn.look.panel?.shading !== undefined
      : "highlight" in worn.look && worn.look.highlight !== undefined);
  const takeOff = () => {
    if (!worn) {
      return;
    }
    if (chosen.words) {
      const was = publication.characterLooks.find(({ look }) => look.id === worn.look.id)?.look;
      if (was) {
        const { highlight, ...made } = was;
        void highlight;
        steps.make({ type: "changeCharacterLook", look: made, was }, "Highlight taken off");
      }
    } else {
      const was = publication.looks.find(({ look }) => look.id === worn.look.id)?.look;
      if (was?.panel) {
        const { shading, ...rest } = was.panel;
        void shading;
        const { panel, ...others } = was;
        void panel;
        steps.make(
          { type: "changeLook", look: rest.border ? { ...others, panel: rest } : others, was },
          "Shading taken off",
        );
      }
    }
    onClose();
  };

  return (
    <Bar role="group" aria-label="Ground of the text">
      <Choice
        label={chosen.words ? "Ground behind the chosen words" : "Ground behind the paragraph"}
        value={ground}
        options={swatchOptions(publication)}
        onChange={setGround}
      />
      {reversal.data && (
        <Line role="status">
          <Chip $color={reversal.data.ground} />
          <Chip $color={reversal.data.screen} />
          <span>
            {reversal.data.text}{" "}
            {reversal.data.passes ? (
              `✓ ${reversal.data.ratio} : 1`
            ) : (
              <Failed>✕ {reversal.data.ratio} : 1</Failed>
            )}
          </span>
          <Quiet>needs {reversal.data.required} : 1</Quiet>
        </Line>
      )}
      {reversal.isError && (
        <p role="alert">
          <Failed>Not worked out.</Failed> {reversal.error.message}
        </p>
      )}
      <Line>
        {worn && (
          <MainButton isDisabled={!reversal.data} onPress={() => void make(false)}>
            In look “{worn.look.name}”, {counted(worn.uses, "use", "uses")}
          </MainButton>
        )}
        <Button isDisabled={!reversal.data} onPress={() => void make(true)}>
          As a look of its own
        </Button>
        {grounded && <Button onPress={takeOff}>Take the ground off</Button>}
        <Button onPress={onClose}>Leave it as it is</Button>
      </Line>
      {!chosen.words && (
        <OwnPanel publication={publication} story={story} chosen={chosen} before={before} />
      )}
    </Bar>
  );
}

function lightness(publication: Publication, id: string): number {
  return publication.swatches.find((each) => each.id === id)?.lab.lightness ?? 0;
}

/** A shading and a border that only some paragraphs have, whatever their look says. */
function OwnPanel({
  publication,
  story,
  chosen,
  before,
}: {
  publication: Publication;
  story: Story;
  chosen: Grounded;
  before: () => Promise<void> | undefined;
}) {
  const first = story.paragraphs.find(({ id }) => id === chosen.paragraphs[0]);
  const look = publication.looks.find((each) => each.look.id === chosen.look)?.look;
  const edit = (panel: Panel | undefined) => ({
    type: "setPanel" as const,
    story: story.id,
    paragraphs: chosen.paragraphs,
    ...(panel ? { panel } : {}),
  });
  const [{ own }, become] = useChanges<{ own: Panel | undefined }>(
    publication,
    chosen.paragraphs.join(" "),
    useMemo(() => ({ own: first?.panel }), [first?.panel]),
    ({ made }) => edit(made.own),
    "Paragraph shaded",
  );
  const set = async (panel: Panel | undefined) => {
    await before();
    return become({ own: panel });
  };
  if (!first || !look) {
    return null;
  }
  return (
    <Fold head={<Name>Only {chosen.paragraphs.length === 1 ? "this paragraph" : "these"}…</Name>}>
      <Tick
        label={`Differs from the look “${look.name}”`}
        checked={own !== undefined}
        onChange={(on) => void set(on ? (look.panel ?? noPanel) : undefined)}
      />
      {own && (
        <PanelFields
          publication={publication}
          naming="this paragraph"
          panel={own}
          size={look.size}
          onChange={(panel) => set(panel ?? noPanel)}
          edit={edit}
        />
      )}
    </Fold>
  );
}
