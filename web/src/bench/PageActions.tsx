import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { pagesIn, useSteps } from "../api/queries";
import type { PageEntry, Publication } from "../api/types";
import { PageSizeDialog } from "../publication/PageSizeDialog";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Choice, ChoiceMenu } from "../ui/Choice";
import { DraftField, Row } from "../ui/Field";
import { useCommands } from "../ui/commands";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { useStatus } from "../ui/Status";
import { numbersInWords } from "../ui/words";

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${theme.space.half} ${theme.space.one};
  padding: 3px ${theme.space.two} 0;
`;

const Chosen = styled.span`
  font-weight: 600;
  margin-right: auto;
`;

const none = "none";

/** What can be done with the pages chosen in the concertina, all of them in one go. */
export function PageActions({
  publication,
  chosen,
  onChoose,
}: {
  publication: Publication;
  chosen: PageEntry[];
  onChoose: (pages: string[]) => void;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [sizing, setSizing] = useState(false);
  const [adding, setAdding] = useState(false);
  const [moving, setMoving] = useState(false);
  const [removing, setRemoving] = useState(false);
  const [count, setCount] = useState("2");
  const [wantedParent, setParent] = useState<string>();
  const [place, setPlace] = useState("");
  const pages = chosen.map((page) => page.id);
  const words = numbersInWords(chosen.map((page) => page.number));
  const last = chosen.at(-1);
  // new pages take the parent of the page that they come after
  const before = last ?? publication.pages.at(-1);
  const parent = wantedParent ?? before?.parent ?? none;
  const withParent = chosen.filter((page) => page.parent);
  const shown = withParent.some((page) => page.parentShown);

  const noPage = chosen.length === 0;
  const showParents = () =>
    steps.make(
      { type: "showParent", pages: withParent.map((page) => page.id), shown: !shown },
      shown ? "The parent’s backgrounds are hidden" : "The parent’s backgrounds show",
    );
  const add = () => {
    setParent(undefined);
    setAdding(true);
  };
  const move = () => {
    setPlace(String(publication.pages.length));
    setMoving(true);
  };
  useCommands([
    { label: "Add pages…", run: add },
    { label: `Size of ${words}…`, isDisabled: noPage, run: () => setSizing(true) },
    { label: `Move ${words}…`, isDisabled: noPage, run: move },
    { label: `Remove ${words}…`, isDisabled: noPage, run: () => setRemoving(true) },
    {
      label: `${shown ? "Hide" : "Show"} the parent’s backgrounds on ${words}`,
      isDisabled: withParent.length === 0,
      run: showParents,
    },
    ...publication.parents.map(({ id, name }) => ({
      label: `Give ${words} the parent “${name}”`,
      isDisabled: noPage,
      run: () =>
        steps.make({ type: "assignParent", pages, parent: id }, `Parent of ${words} changed`),
    })),
  ]);

  const pageBefore = (text: string): { after?: string } | undefined => {
    const number = Number(text.trim());
    if (!Number.isInteger(number) || number < 0 || number > publication.pages.length) {
      status.fail(`Type a page number from 0 (the front) to ${publication.pages.length}.`);
      return undefined;
    }
    const page = publication.pages[number - 1];
    return page ? { after: page.id } : {};
  };

  return (
    <Bar role="group" aria-label={`For ${words}`}>
      <Chosen>{chosen.length === 0 ? "No page chosen" : capital(words)}</Chosen>
      <RangeField publication={publication} onChoose={onChoose} />
      <ChoiceMenu
        label="Parent of the pages chosen"
        trigger={<Button isDisabled={noPage}>Give a parent…</Button>}
        options={[
          ...publication.parents.map((each) => ({ id: each.id, label: each.name })),
          { id: none, label: "No parent" },
        ]}
        onChoose={(id) =>
          steps.make(
            { type: "assignParent", pages, ...(id === none ? {} : { parent: id }) },
            `Parent of ${words} changed`,
          )
        }
      />
      <Button isDisabled={withParent.length === 0} onPress={showParents}>
        {shown || withParent.length === 0
          ? "Hide the parent’s backgrounds"
          : "Show the parent’s backgrounds"}
      </Button>
      <Button onPress={add}>
        <Plus size={15} aria-hidden />
        Add pages…
      </Button>
      <Button isDisabled={noPage} onPress={() => setSizing(true)}>
        Size…
      </Button>
      <Button isDisabled={noPage} onPress={move}>
        Move…
      </Button>
      <Button isDisabled={noPage} onPress={() => setRemoving(true)}>
        <Trash2 size={15} aria-hidden />
        Remove…
      </Button>
      {sizing && (
        <PageSizeDialog
          publication={publication}
          chosen={chosen}
          onClose={() => setSizing(false)}
        />
      )}
      <Modal title="Add pages" isOpen={adding} onClose={() => setAdding(false)}>
        <Row>
          <DraftField label="How many" value={count} onChange={setCount} />
          <Choice
            label="Parent"
            value={parent}
            options={[
              { id: none, label: "No parent" },
              ...publication.parents.map((each) => ({ id: each.id, label: each.name })),
            ]}
            onChange={setParent}
          />
        </Row>
        <Quiet>
          {last ? `They come after page ${last.number}.` : "They come after the last page."}
        </Quiet>
        <Actions>
          <Button onPress={() => setAdding(false)}>Cancel</Button>
          <MainButton
            onPress={() => {
              const number = Number(count.trim());
              if (!Number.isInteger(number) || number < 1 || number > 1000) {
                status.fail("Type how many pages to add, from 1 to 1000.");
                return;
              }
              const after = last?.id ?? publication.pages.at(-1)?.id;
              setAdding(false);
              steps.make(
                {
                  type: "addPages",
                  pages: Array.from({ length: number }, () => crypto.randomUUID()),
                  ...(after ? { after } : {}),
                  ...(parent === none ? {} : { parent }),
                },
                number === 1 ? "1 page added" : `${number} pages added`,
              );
            }}
          >
            Add
          </MainButton>
        </Actions>
      </Modal>
      <Modal title={`Move ${words}`} isOpen={moving} onClose={() => setMoving(false)}>
        <DraftField label="To after page (0 is the front)" value={place} onChange={setPlace} />
        {publication.setup.facing && (
          <Quiet>A page that comes to the other side takes its parent’s other side.</Quiet>
        )}
        <Actions>
          <Button onPress={() => setMoving(false)}>Cancel</Button>
          <MainButton
            onPress={() => {
              const to = pageBefore(place);
              if (to) {
                setMoving(false);
                steps.make({ type: "movePages", pages, ...to }, "Pages moved");
              }
            }}
          >
            Move
          </MainButton>
        </Actions>
      </Modal>
      <Modal title={`Remove ${words}?`} isOpen={removing} onClose={() => setRemoving(false)}>
        <p>
          The backgrounds and text that lie on {chosen.length === 1 ? "it" : "them"} go too. Undo
          brings everything back.
        </p>
        <Actions>
          <Button onPress={() => setRemoving(false)}>
            {chosen.length === 1 ? "Keep it" : "Keep them"}
          </Button>
          <MainButton
            onPress={() => {
              setRemoving(false);
              steps.make({ type: "removePages", pages }, `${capital(words)} removed`);
            }}
          >
            Remove
          </MainButton>
        </Actions>
      </Modal>
    </Bar>
  );
}

const Range = styled.label`
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: ${theme.size.small};
  color: ${theme.color.quiet};
  & input {
    width: 132px;
    min-height: ${theme.hit};
    padding: 2px 6px;
    font: inherit;
    font-size: ${theme.size.body};
    color: ${theme.color.text};
    background: ${theme.color.paper};
    border: 1px solid ${theme.color.edge};
    border-radius: 3px;
  }
`;

/** Chooses pages by their numbers. */
function RangeField({
  publication,
  onChoose,
}: {
  publication: Publication;
  onChoose: (pages: string[]) => void;
}) {
  const status = useStatus();
  const [text, setText] = useState("");
  const choose = async () => {
    try {
      onChoose(await pagesIn(publication, text));
      setText("");
    } catch (error) {
      status.fail(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <Range>
      Choose pages
      <input
        value={text}
        placeholder="3-7, 12, odd, all"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter" && text.trim()) {
            void choose();
          }
        }}
      />
    </Range>
  );
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
