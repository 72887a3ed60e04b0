import styled from "styled-components";
import { theme } from "../theme";

/** What is done with the chosen text, beside it. */
export const Bar = styled.div`
  flex: 1 0 100%;
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  max-height: 60vh;
  overflow: auto;
  padding: ${theme.space.one};
  border: 2px solid ${theme.color.active};
  & p {
    margin: 0;
  }
`;
