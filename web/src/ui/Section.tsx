import type { ReactNode } from "react";
import styled from "styled-components";
import { theme } from "../theme";
import { Quiet } from "./Fold";

const Box = styled.section`
  padding: ${theme.space.one} ${theme.space.one} ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
  min-width: 0;
`;

const Head = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  min-height: ${theme.hit};
  & h2 {
    flex: none;
  }
  & > :nth-child(2) {
    flex: 1;
  }
`;

/** A stretch of a side column: a heading, a quiet word about it, and what can be added to it. */
export function Section({
  title,
  note,
  action,
  children,
}: {
  title: string;
  note?: string;
  action?: ReactNode;
  children: ReactNode;
}) {
  return (
    <Box aria-label={title}>
      <Head>
        <h2>{title}</h2>
        <Quiet>{note}</Quiet>
        {action}
      </Head>
      {children}
    </Box>
  );
}
