import { useState } from "react";
import styled from "styled-components";
import { useLooked, usePreview, useWholeMend } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Edit, Publication, Schemas } from "../api/types";
import { SMALL_PPI } from "../stage/zoom";
import { theme } from "../theme";
import { Button, MainButton, QuietButton } from "../ui/Button";
import { Drawn } from "../ui/Drawn";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { ProgressLine } from "../ui/ProgressLine";
import { Tick } from "../ui/Tick";
import { counted, numbersInWords, ratio } from "../ui/words";

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: ${theme.space.three};
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Changes = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  & > li > span {
    display: block;
    padding-left: 28px;
  }
`;

const Both = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: ${theme.space.one};
`;

const Steps = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  & > span {
    flex: 1;
    text-align: center;
  }
`;

const NOTHING: Edit = { type: "several", edits: [] };

/**
 * One command that proposes what mends all text, or all that fails for one cause, to be ticked and
 * seen page by page.
 */
export function MendAll({
  publication,
  cause,
  places,
}: {
  publication: Publication;
  cause?: string;
  /** Where it fails for that, in words. */
  places?: string;
}) {
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <>
      {places ? (
        <QuietButton onPress={() => setOpen(true)}>{`Mend all ${places}…`}</QuietButton>
      ) : (
        <Button onPress={() => setOpen(true)}>Mend all text…</Button>
      )}
      {open && (
        <Modal
          title={places ? `Mend all ${places}` : "Mend all text that fails"}
          isOpen
          onClose={close}
          wide
        >
          <Found publication={publication} cause={cause} onClose={close} />
        </Modal>
      )}
    </>
  );
}

function Found({
  publication,
  cause,
  onClose,
}: {
  publication: Publication;
  cause: string | undefined;
  onClose: () => void;
}) {
  const [watch] = useState(() => crypto.randomUUID());
  const mend = useWholeMend(publication, watch, cause);
  if (mend.isPending) {
    return (
      <>
        <Looking publication={publication} watch={watch} />
        <Actions>
          <Button onPress={onClose}>Cancel</Button>
        </Actions>
      </>
    );
  }
  if (mend.isError) {
    return (
      <>
        <p role="alert">{mend.error.message}</p>
        <Actions>
          <Button onPress={onClose}>Close</Button>
        </Actions>
      </>
    );
  }
  return <Proposed publication={publication} mend={mend.data} onClose={onClose} />;
}

/** How far the search has come, by the causes that were looked at. */
function Looking({ publication, watch }: { publication: Publication; watch: string }) {
  const looked = useLooked(publication, watch);
  const { done = 0, all = 0 } = looked.data ?? {};
  return (
    <>
      <p role="status">Trying what would mend each text, and the fewest changes for all…</p>
      <ProgressLine
        label="Causes looked at"
        words={
          all === 0
            ? "Reading all pages…"
            : done < all
              ? `${done} of ${counted(all, "cause", "causes")} looked at`
              : "Putting the changes together…"
        }
        done={done}
        all={all}
      />
    </>
  );
}

function Proposed({
  publication,
  mend,
  onClose,
}: {
  publication: Publication;
  mend: Schemas["WholeMendView"];
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const [at, setAt] = useState(0);
  const chosen = mend.changes.filter((_, index) => !left.has(index));
  const edit: Edit = { type: "several", edits: chosen.map((each) => each.edit) };
  const changed = new Set(chosen.flatMap(({ pages }) => pages));
  const pages = publication.pages.filter(({ id }) => changed.has(id));
  const page = pages[Math.min(at, pages.length - 1)];
  const turn = (index: number, on: boolean) => {
    const turned = new Set(left);
    if (on) {
      turned.delete(index);
    } else {
      turned.add(index);
    }
    setLeft(turned);
  };
  const numbersOf = (ids: string[]) =>
    publication.pages.filter(({ id }) => ids.includes(id)).map(({ number }) => number);
  return (
    <>
      {mend.changes.length === 0 && <p>Nothing was found that would mend this text.</p>}
      {mend.more && (
        <p>
          Not everything could be tried in the time there is: the publication is large, or fails in
          many ways. Make these changes and open this again, or mend a cause by itself.
        </p>
      )}
      {mend.changes.length > 0 && (
        <Columns>
          <div>
            <p>
              {counted(mend.changes.length, "change", "changes")}
              {mend.more ? "" : ", for all text that can be mended; none can be left out"}. Other
              text stays legible.
            </p>
            <Changes aria-label="Changes">
              {mend.changes.map((change, index) => (
                <li key={change.words}>
                  <Tick
                    label={change.words}
                    checked={!left.has(index)}
                    onChange={(on) => turn(index, on)}
                  />
                  <Quiet>
                    Mends {counted(change.texts, "text", "texts")}, changes{" "}
                    {numbersInWords(numbersOf(change.pages))}
                  </Quiet>
                </li>
              ))}
            </Changes>
            {mend.left.length > 0 && (
              <Fold
                head={<Name>{counted(mend.left.length, "text stays", "texts stay")} as is</Name>}
              >
                <ul>
                  {mend.left.map((each) => (
                    <li key={each.run}>
                      Page {each.page}: “{each.text}”, {ratio(each.ratio)} of {each.required} : 1
                    </li>
                  ))}
                </ul>
              </Fold>
            )}
          </div>
          {page && (
            <div>
              <Both>
                <Seen publication={publication} page={page.id} edit={NOTHING} label="Now" />
                <Seen publication={publication} page={page.id} edit={edit} label="Then" />
              </Both>
              <Steps>
                <Button isDisabled={at <= 0} onPress={() => setAt(at - 1)}>
                  Page before
                </Button>
                <span role="status">
                  Page {page.number}: {pages.indexOf(page) + 1} of {pages.length} it changes
                </span>
                <Button isDisabled={at >= pages.length - 1} onPress={() => setAt(at + 1)}>
                  Page after
                </Button>
              </Steps>
            </div>
          )}
        </Columns>
      )}
      <Actions>
        <Button onPress={onClose}>Leave all as it is</Button>
        <MainButton
          isDisabled={chosen.length === 0}
          onPress={() => {
            onClose();
            steps.make(edit, `Mended: ${counted(chosen.length, "change", "changes")}, in one step`);
          }}
        >
          Make {counted(chosen.length, "change", "changes")}
        </MainButton>
      </Actions>
    </>
  );
}

function Seen({
  publication,
  page,
  edit,
  label,
}: {
  publication: Publication;
  page: string;
  edit: Edit;
  label: string;
}) {
  const preview = usePreview(publication, page, edit, "AS_DESIGNED", SMALL_PPI, true);
  return (
    <div>
      <strong>{label}</strong>
      <Drawn
        label={`The spread ${label.toLowerCase()}`}
        picture={preview.data?.picture}
        height={260}
      />
    </div>
  );
}
