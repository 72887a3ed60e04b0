import { useState } from "react";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { openable, useOpening } from "../shelf/useOpening";
import { DraftField, Row } from "../ui/Field";
import { FileButton } from "../ui/FileButton";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { RemoveDialog } from "../ui/RemoveDialog";
import { useStatus } from "../ui/Status";
import { capital, numbersInWords } from "../ui/words";

export const noParent = "none";

interface Asked {
  publication: Publication;
  chosen: PageEntry[];
  onClose: () => void;
}

function words(chosen: PageEntry[]): string {
  return numbersInWords(chosen.map((page) => page.number));
}

/** Parents to choose one of, or none. */
export function parentOptions(publication: Publication) {
  return [
    { id: noParent, label: "No parent" },
    ...publication.parents.map((each) => ({ id: each.id, label: each.name })),
  ];
}

/** New pages after the pages chosen, with the parent of the page that they come after. */
export function AddPages({ publication, chosen, onClose }: Asked) {
  const steps = useSteps(publication);
  const status = useStatus();
  const last = chosen.at(-1);
  const before = last ?? publication.pages.at(-1);
  const [count, setCount] = useState("2");
  const [parent, setParent] = useState(before?.parent ?? noParent);
  const opening = useOpening(
    before && {
      place: {
        id: publication.id,
        revision: publication.revision,
        last: before.id,
        parent: parent === noParent ? undefined : parent,
      },
      onOpened: onClose,
    },
  );
  const add = () => {
    const number = Number(count.trim());
    if (!Number.isInteger(number) || number < 1 || number > 1000) {
      status.fail("Type how many pages to add, from 1 to 1000.");
      return;
    }
    onClose();
    steps.make(
      {
        type: "addPages",
        pages: Array.from({ length: number }, () => crypto.randomUUID()),
        ...(before ? { after: before.id } : {}),
        ...(parent === noParent ? {} : { parent }),
      },
      number === 1 ? "1 page added" : `${number} pages added`,
    );
  };
  return (
    <Modal title="Add pages" isOpen onClose={onClose}>
      <Row>
        <DraftField label="How many" value={count} onChange={setCount} />
        <Choice
          label="Parent"
          value={parent}
          options={parentOptions(publication)}
          onChange={setParent}
        />
      </Row>
      <Quiet>
        {last ? `They come after page ${last.number}.` : "They come after the last page."}
      </Quiet>
      <Actions>
        <FileButton accepted={openable} several onFiles={opening.open}>
          <Button isDisabled={opening.isPending}>Pages of PDFs…</Button>
        </FileButton>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton onPress={add}>Add</MainButton>
      </Actions>
      {opening.dialogs}
    </Modal>
  );
}

export function MovePages({ publication, chosen, onClose }: Asked) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [place, setPlace] = useState(String(publication.pages.length));
  const move = () => {
    const number = Number(place.trim());
    if (!Number.isInteger(number) || number < 0 || number > publication.pages.length) {
      status.fail(`Type a page number from 0 (the front) to ${publication.pages.length}.`);
      return;
    }
    const page = publication.pages[number - 1];
    onClose();
    steps.make(
      {
        type: "movePages",
        pages: chosen.map((each) => each.id),
        ...(page ? { after: page.id } : {}),
      },
      "Pages moved",
    );
  };
  return (
    <Modal title={`Move ${words(chosen)}`} isOpen onClose={onClose}>
      <DraftField label="To after page (0 is the front)" value={place} onChange={setPlace} />
      {publication.setup.facing && (
        <Quiet>A page that comes to the other side takes its parent’s other side.</Quiet>
      )}
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton onPress={move}>Move</MainButton>
      </Actions>
    </Modal>
  );
}

export function RemovePages({ publication, chosen, onClose }: Asked) {
  const steps = useSteps(publication);
  return (
    <RemoveDialog
      title={`Remove ${words(chosen)}?`}
      onRemove={() =>
        steps.make(
          { type: "removePages", pages: chosen.map((page) => page.id) },
          `${capital(words(chosen))} removed`,
        )
      }
      onClose={onClose}
    >
      The backgrounds and text that lie on {chosen.length === 1 ? "it" : "them"} go too. Undo brings
      everything back.
    </RemoveDialog>
  );
}

/** A part that begins with the first of the pages chosen. */
export function NamePart({ publication, chosen, onClose }: Asked) {
  const steps = useSteps(publication);
  const first = chosen[0];
  const [name, setName] = useState(first?.part ?? "");
  return (
    <Modal title={`A part that begins with page ${first?.number ?? ""}`} isOpen onClose={onClose}>
      <DraftField label="Name" value={name} onChange={setName} />
      <Quiet>It goes on to the page where the next part begins.</Quiet>
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        {first?.part && (
          <Button
            onPress={() => {
              onClose();
              steps.make({ type: "namePart", page: first.id }, "No part begins here any more");
            }}
          >
            Let no part begin here
          </Button>
        )}
        <MainButton
          isDisabled={!name.trim()}
          onPress={() => {
            onClose();
            if (first) {
              steps.make({ type: "namePart", page: first.id, name }, `Part “${name}” begins here`);
            }
          }}
        >
          Begin it
        </MainButton>
      </Actions>
    </Modal>
  );
}
