import styled from "styled-components";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { FileButton } from "../ui/FileButton";

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
  onPdf,
  onExample,
}: {
  isPending: boolean;
  onSize: () => void;
  onPdf: (file: File) => void;
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
          <h2>From a PDF</h2>
          <p>
            Each of its pages on a page of its own, so that colours and pictures can go behind them.
            It can also be dropped here.
          </p>
          <FileButton accepted={[".pdf"]} onFiles={(files) => files[0] && onPdf(files[0])}>
            <Button isDisabled={isPending}>Choose a PDF…</Button>
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
