import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";

const edged = `
  min-height: ${theme.hit};
  padding: 2px 10px;
  font: inherit;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  cursor: pointer;
  white-space: nowrap;
  &[data-hovered] {
    background: ${theme.color.activeSoft};
  }
  &[data-disabled] {
    color: ${theme.color.edge};
    border-color: ${theme.color.rule};
    cursor: default;
  }
  & svg {
    flex: none;
  }
`;

/** A button with a visible edge. */
export const Button = styled(Aria.Button)`
  ${edged}
`;

/** What looks like one and leads to a file. */
export const ButtonLink = styled(Aria.Link)`
  ${edged}
  text-decoration: none;
`;

/** The one thing a screen is there to do. */
export const MainButton = styled(Button)`
  color: ${theme.color.onActive};
  background: ${theme.color.active};
  border-color: ${theme.color.active};
  font-weight: 600;
  &[data-hovered] {
    background: #0a3326;
  }
  &[data-disabled] {
    color: ${theme.color.quiet};
    background: ${theme.color.activeSoft};
    border-color: ${theme.color.edge};
  }
`;

/** A button without an edge, for places where its text or icon tells enough. */
export const QuietButton = styled(Button)`
  background: transparent;
  border-color: transparent;
  padding: 2px 6px;
  min-width: ${theme.hit};
  &[data-disabled] {
    border-color: transparent;
  }
`;
