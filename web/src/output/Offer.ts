import styled from "styled-components";
import { theme } from "../theme";

/** One kind of file that can be made, with what makes it at its right. */
export const Offer = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${theme.space.two};
  align-items: center;
  padding: ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** What is chosen at its left, and what comes of it at its right. */
export const Parts = styled.section<{ $right: string }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, ${({ $right }) => $right});
  gap: ${theme.space.three};
  padding: ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

export const Column = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
`;

export const Ticks = styled.fieldset`
  margin: ${theme.space.one} 0 0;
  padding: 0;
  border: 0;
  & legend {
    padding: 0;
    color: ${theme.color.quiet};
  }
`;
