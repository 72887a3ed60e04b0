import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";

const Bar = styled(Aria.ProgressBar)`
  flex: 1;
`;

const Track = styled.div`
  height: 10px;
  border: 1px solid ${theme.color.edge};
  background: ${theme.color.paper};
  & > div {
    height: 100%;
    background: ${theme.color.active};
    forced-color-adjust: none;
  }
`;

/** How far long work has come, in words and as a line. */
export function ProgressLine({
  label,
  words,
  done,
  all,
}: {
  label: string;
  words: string;
  done: number;
  /** 0 as long as that is not known. */
  all: number;
}) {
  const percent = all === 0 ? 0 : Math.round((100 * done) / all);
  return (
    <Bar aria-label={label} value={percent}>
      <span>{words}</span>
      <Track>
        <div style={{ width: `${percent}%` }} />
      </Track>
    </Bar>
  );
}
