import styled from "styled-components";
import { theme } from "../theme";

/** The four numbers of a rectangle, side by side. */
export const Sides = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: ${theme.space.one};
`;
