import styled from "styled-components";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { FileButton } from "../ui/FileButton";
import { openable } from "./useOpening";

const Ways = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: ${theme.space.three};
  margin-top: ${theme.space.three};
`;

const Way = styled.li`
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: ${theme.space.one};
  padding: ${theme.space.three};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  & p {
    flex: 1;
    color: ${theme.color.quiet};
    margin-bottom: ${theme.space.one};
  }
`;

/** The first minute: the ways to begin, with what comes of each. */
export function EmptyShelf({
  isPending,
  onSize,
  onPdfs,
  onExample,
}: {
  isPending: boolean;
  onSize: () => void;
  onPdfs: (files: File[]) => void;
  onExample: () => void;
}) {
  return (
    <>
      <p>Nothing here yet. Begin in one of three ways:</p>
      <Ways>
        <Way>
          <h2>From a size</h2>
          <p>Empty pages with a small palette, two looks for text and one parent.</p>
          <MainButton onPress={onSize} isDisabled={isPending}>
            Choose a size…
          </MainButton>
        </Way>
        <Way>
          <h2>From PDFs</h2>
          <p>
            One or many, or a zip file of them: their pages in a row, for colours, pictures and
            numbers behind and over them. They can also be dropped here.
          </p>
          <FileButton accepted={openable} several onFiles={onPdfs}>
            <Button isDisabled={isPending}>Choose PDFs…</Button>
          </FileButton>
        </Way>
        <Way>
          <h2>With the example</h2>
          <p>
            The season guide and a leaflet of a made-up observatory, to look around in and to try
            things on.
          </p>
          <Button onPress={onExample} isDisabled={isPending}>
            Open the example
          </Button>
        </Way>
      </Ways>
    </>
  );
}
