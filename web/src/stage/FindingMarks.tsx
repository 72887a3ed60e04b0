import { useMemo } from "react";
import styled from "styled-components";
import type { Finding, Spread } from "../api/types";
import { theme } from "../theme";
import { DOT, marksOn } from "./marks";

/** A bar beside the text, on the outer side of the page, so that it hides no words. */
const Bar = styled.div<{ $right: boolean }>`
  position: absolute;
  pointer-events: none;
  ${({ $right }) => ($right ? "border-right" : "border-left")}: 3px solid ${theme.color.fail};
  outline: 1px solid ${theme.color.paper};
`;

const Tag = styled.span<{ $right: boolean }>`
  position: absolute;
  ${({ $right }) => ($right ? "left" : "right")}: calc(100% + 3px);
  padding: 0 3px;
  font-size: 12px;
  line-height: 17px;
  font-weight: 600;
  white-space: nowrap;
  color: ${theme.color.fail};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.fail};
`;

const Dot = styled.span<{ $right: boolean; $outside: boolean }>`
  position: absolute;
  ${({ $right }) => ($right ? "left" : "right")}: ${({ $outside }) => ($outside ? "calc(100% + 2px)" : `${-(DOT - 4)}px`)};
  width: ${DOT}px;
  height: ${DOT}px;
  border-radius: 50%;
  pointer-events: auto;
  background: ${theme.color.fail};
  border: 1px solid ${theme.color.paper};
`;

/** Where findings are, on the pages themselves; in words they stand beside and in Findings. */
export function FindingMarks({
  spread,
  findings,
  scale,
}: {
  spread: Spread;
  findings: Finding[];
  scale: number;
}) {
  const marks = useMemo(() => marksOn(spread, findings, scale), [spread, findings, scale]);
  return marks.map(({ right, bar, below, text, dot, outside }, index) => (
    <Bar key={index} aria-hidden $right={right} style={bar}>
      {dot ? (
        <Dot $right={right} $outside={outside} title={text} style={{ top: below }} />
      ) : (
        <Tag $right={right} style={{ top: below }}>
          {text}
        </Tag>
      )}
    </Bar>
  ));
}
