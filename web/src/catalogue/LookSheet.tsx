import styled from "styled-components";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { MainButton } from "../ui/Button";
import { Name, Quiet, Values } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { setInWords } from "./CharacterLookEditor";
import { UsedIn } from "./UsedIn";

const Sheet = styled.ul`
  list-style: none;
  margin: 0;
  padding: 0;
  & > li {
    display: grid;
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
    gap: ${theme.space.two};
    align-items: center;
    border-top: 1px solid ${theme.color.rule};
    padding: ${theme.space.one} 0;
  }
`;

const Sample = styled.div`
  max-height: 96px;
  overflow: hidden;
  & img {
    display: block;
    max-width: none;
  }
`;

/** Every look with a line of text in it, and where it is worn. */
export function LookSheet({
  publication,
  onClose,
}: {
  publication: Publication;
  onClose: () => void;
}) {
  const all = [
    ...publication.looks.map(({ look }) => ({
      look: look,
      values: `${look.family} ${look.weight}${look.italic ? " italic" : ""}, ${look.size} on ${look.leading}`,
      base: publication.looks.find((each) => each.look.id === look.basis?.look)?.look.name,
    })),
    ...publication.characterLooks.map(({ look }) => ({
      look: look,
      values: `Characters: ${setInWords(look)}`,
      base: publication.characterLooks.find((each) => each.look.id === look.basis?.look)?.look.name,
    })),
  ];
  return (
    <Modal title="All looks" wide isOpen onClose={onClose}>
      <Sheet aria-label="All looks">
        {all.map(({ look, values, base }) => (
          <li key={look.id}>
            <Sample>
              <img
                src={`/api/publications/${publication.id}/looks/${look.id}/sample?revision=${publication.revision}`}
                alt={`A line in the look ${look.name}`}
                loading="lazy"
              />
            </Sample>
            <div>
              <Name>
                {look.name}
                <Values>{values}</Values>
              </Name>
              {base !== undefined && <Quiet as="p">Based on {base}</Quiet>}
              <UsedIn publication={publication} id={look.id} />
            </div>
          </li>
        ))}
      </Sheet>
      <Actions>
        <MainButton onPress={onClose}>Done</MainButton>
      </Actions>
    </Modal>
  );
}
