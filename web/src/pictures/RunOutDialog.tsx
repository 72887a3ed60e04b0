import styled from "styled-components";
import { usePreview, useRunOuts } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Background, Edit, Owner, Publication, RunOutEntry } from "../api/types";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { SMALL_PPI } from "../stage/zoom";
import { Drawn } from "../ui/Drawn";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";

const Three = styled.ol`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${theme.space.two};
  margin: 0;
  padding: 0;
  list-style: none;
  & > li {
    display: flex;
    flex-direction: column;
    gap: ${theme.space.half};
  }
  @media ${theme.narrow} {
    grid-template-columns: 1fr;
  }
`;

/** The three ways to go on, each as it would look, the best first. */
export function RunOutDialog({
  publication,
  owner,
  background,
  onClose,
}: {
  publication: Publication;
  owner: Owner;
  background: Background;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const page =
    owner.type === "onPage"
      ? owner.id
      : publication.pages.find((each) => each.parent === owner.id)?.id;
  const runOuts = useRunOuts(publication, page, background.id);
  const take = (edit: Edit) => {
    onClose();
    steps.make(edit, "The picture goes on to the edges");
  };
  const options = runOuts.data?.options ?? [];
  const flood = runOuts.data?.flood;

  return (
    <Modal title="How the picture goes on" isOpen onClose={onClose} wide>
      {!page && <p>No page has this parent yet, so there is nothing to compare.</p>}
      {runOuts.isError && <p role="alert">{runOuts.error.message}</p>}
      {runOuts.isPending && page && <p role="status">Looking at its edges…</p>}
      {runOuts.data && options.length === 0 && <p>It reaches the edges of its area by itself.</p>}
      <Three aria-label="The best first">
        {options.map((option, index) => (
          <li key={option.kind}>
            {page && <Trial publication={publication} page={page} option={option} />}
            <strong>
              {index + 1}. {option.offer.label}
            </strong>
            <Quiet>{costs(option)}</Quiet>
            <div>
              <MainButton onPress={() => take(option.offer.edit)}>Take this</MainButton>
            </div>
          </li>
        ))}
      </Three>
      <Actions>
        {flood && <Button onPress={() => take(flood.edit)}>{flood.label}</Button>}
        <Button onPress={onClose}>Leave it as it is</Button>
      </Actions>
    </Modal>
  );
}

function Trial({
  publication,
  page,
  option,
}: {
  publication: Publication;
  page: string;
  option: RunOutEntry;
}) {
  const preview = usePreview(publication, page, option.offer.edit, "AS_DESIGNED", SMALL_PPI);
  return (
    <Drawn
      label={`How it would look: ${option.offer.label}`}
      picture={preview.data?.picture}
      height={260}
    />
  );
}

/** What a way costs, in words. */
function costs(option: RunOutEntry): string {
  switch (option.kind) {
    case "EDGE_COLOR":
      return option.seam < 1
        ? `The join will not be seen: a step of ${option.seam} (CIEDE2000).`
        : `A step of ${option.seam} (CIEDE2000) along the join.`;
    case "MIRROR":
      return `No step; ${option.repeated} % of the area shows a part of it again.`;
    case "ENLARGE":
      return `${option.cropped} % of it is cut off${option.ppi === undefined ? "" : `; ${option.ppi} pixels per inch`}.`;
    case "NONE":
      return "";
  }
}
