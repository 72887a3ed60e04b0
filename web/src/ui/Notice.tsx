import styled from "styled-components";
import { theme } from "../theme";

/** Loading, empty and error states: a sentence, and the next step. */
export const Notice = styled.div`
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: ${theme.space.one};
  padding: ${theme.space.two};
  color: ${theme.color.text};
  max-width: 60ch;
`;

export const Failed = styled.strong`
  color: ${theme.color.fail};
`;

export const VisuallyHidden = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  margin: -1px;
  padding: 0;
  border: 0;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`;
