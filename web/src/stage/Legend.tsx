import styled from "styled-components";
import type { Setup } from "../api/types";
import { theme } from "../theme";
import { shownLength } from "../ui/length";
import { useCommands } from "../ui/commands";
import { Tick } from "../ui/Tick";

const Bar = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.half} ${theme.space.two};
  flex: none;
  min-height: 26px;
  padding: 0 ${theme.space.two};
  font-size: ${theme.size.small};
  background: ${theme.color.ground};
  border-top: 1px solid ${theme.color.rule};
  & svg {
    vertical-align: middle;
    margin-right: 6px;
  }
  & > * {
    white-space: nowrap;
  }
  /* nothing that is shown here moves the spread above */
  & > .end {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    text-align: right;
  }
  @media ${theme.narrow} {
    flex-wrap: wrap;
  }
`;

function Line({ dashes }: { dashes: string }) {
  return (
    <svg width="26" height="6" aria-hidden>
      <path d="M0 3h26" stroke="currentColor" strokeWidth="1.5" strokeDasharray={dashes} />
    </svg>
  );
}

/** What the lines on the page mean, in words and figures, and what is being shown. */
export function Legend({
  setup,
  showing,
  marks,
  onMarks,
  before,
  onBefore,
}: {
  setup: Setup;
  showing: string;
  /** Whether findings are marked on the pages. */
  marks: boolean;
  onMarks: (on: boolean) => void;
  /** Whether pages of files are shown as they came; nothing where there are none. */
  before: boolean | undefined;
  onBefore: (on: boolean) => void;
}) {
  const length = (value: string) => shownLength(value, setup.unit);
  const bleeds = [setup.bleed.top, setup.bleed.bottom, setup.bleed.outside];
  const even = bleeds.every((each) => each === setup.bleed.top);
  useCommands([
    { label: marks ? "Hide the marks of findings" : "Mark findings", run: () => onMarks(!marks) },
    ...(before === undefined
      ? []
      : [
          {
            label: before ? "Show pages with what was added" : "Show pages of files as they came",
            keys: "B",
            run: () => onBefore(!before),
          },
        ]),
  ]);
  return (
    <Bar>
      <span>
        <Line dashes="" />
        Trim
      </span>
      <span>
        <Line dashes="1.5 3" />
        Bleed {even ? length(setup.bleed.top) : bleeds.map(length).join(", ")}
      </span>
      <span>
        <Line dashes="5 4" />
        Safe area {length(setup.safe)}
      </span>
      <span className="end">{showing}</span>
      {before !== undefined && <Tick label="As it came" checked={before} onChange={onBefore} />}
      <Tick label="Marks" checked={marks} onChange={onMarks} />
    </Bar>
  );
}
