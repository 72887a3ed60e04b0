import styled from "styled-components";
import { theme } from "../theme";

/** The ground of a screen that reads from top to bottom. */
export const Main = styled.main`
  flex: 1;
  min-height: 0;
  overflow: auto;
`;

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
