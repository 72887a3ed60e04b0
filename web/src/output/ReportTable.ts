import styled from "styled-components";
import { theme } from "../theme";

export const Scroll = styled.div`
  overflow-x: auto;
`;

export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: ${theme.size.small};
  & th,
  & td {
    padding: ${theme.space.half} ${theme.space.one};
    text-align: left;
    vertical-align: top;
    border-top: 1px solid ${theme.color.rule};
  }
  & td:not(:nth-child(3)) {
    white-space: nowrap;
  }
  & thead th {
    font-weight: 600;
    border-top: 0;
  }
`;

export const Verdict = styled.p`
  font-size: ${theme.size.large};
`;
