import { useRef, type ComponentProps } from "react";
import styled from "styled-components";
import { theme } from "../theme";
import { useArea } from "./useArea";

const Ground = styled.main`
  flex: 1;
  min-height: 0;
  overflow: auto;
`;

/** The ground of a screen that reads from top to bottom. */
export function Main(props: ComponentProps<typeof Ground>) {
  const ground = useRef<HTMLElement>(null);
  const groundProps = useArea(ground, "main", "Content");
  return <Ground ref={ground} {...groundProps} {...props} />;
}

/** Its content, at a width that can be read. */
export const Inner = styled.div`
  max-width: 1040px;
  margin: 0 auto;
  padding: ${theme.space.three};
  display: flex;
  flex-direction: column;
  gap: ${theme.space.three};
`;

/** Its heading, and the choices of what it shows. */
export const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.one} ${theme.space.two};
  & h1 {
    margin-right: auto;
  }
  & > div {
    width: 180px;
  }
`;
