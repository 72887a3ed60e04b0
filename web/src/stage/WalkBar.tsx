import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { useCommands } from "../ui/commands";
import { Fold, Name } from "../ui/Fold";

/** What the arrow keys do while the spread has the focus. */
export type Walk = "items" | "point";

const Box = styled.div`
  padding: ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
`;

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${theme.space.half} ${theme.space.one};
  padding: 0 ${theme.space.half};
  white-space: nowrap;
`;

const Group = styled(Aria.ToggleButtonGroup)`
  display: flex;
`;

const Way = styled(Aria.ToggleButton)`
  min-height: ${theme.hit};
  padding: 2px 8px;
  font: inherit;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  cursor: pointer;
  & + & {
    margin-left: -1px;
  }
  &[data-selected] {
    font-weight: 600;
    border-color: ${theme.color.active};
    box-shadow: inset 0 -3px 0 ${theme.color.active};
  }
`;

const Keys = styled.dl`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px ${theme.space.one};
  font-size: ${theme.size.small};
  & dt {
    font-weight: 600;
  }
`;

const keys = [
  ["Arrows", "by item: the next one in reading order; by point: 1 mm, with Shift 10 mm"],
  ["P", "by item or by point"],
  ["Page up, Page down", "spread before, spread after"],
  ["+ and −", "larger, smaller"],
  ["W, S, A, E", "whole page, spread, actual size, to selection"],
  ["C, D, T", "fold catalogue, strata, pages away or back"],
  ["F", "fold everything away or back"],
  ["B", "pages of files as they came, and with what was added"],
  ["Alt + C", "colour to the bleed; again: on the parent instead, and back"],
  ["Full stop", "search all actions"],
  ["Ctrl + Z", "undo; with Shift redo"],
] as const;

export function WalkBar({
  id,
  walk,
  onWalk,
}: {
  id: string;
  walk: Walk;
  onWalk: (walk: Walk) => void;
}) {
  useCommands([
    {
      label: walk === "point" ? "Arrow keys go by item" : "Arrow keys go by point",
      keys: "P",
      run: () => onWalk(walk === "point" ? "items" : "point"),
    },
  ]);
  return (
    <Box>
      <Line>
        <span>Arrow keys go</span>
        <Group
          aria-label="Arrow keys go"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[walk]}
          onSelectionChange={(chosen) => onWalk(chosen.has("point") ? "point" : "items")}
        >
          <Way id="items">by item</Way>
          <Way id="point">by point</Way>
        </Group>
      </Line>
      <Fold head={<Name>Keys of the spread</Name>}>
        <Keys>
          {keys.map(([key, what]) => (
            <div key={key} style={{ display: "contents" }}>
              <dt>{key}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </Keys>
      </Fold>
      <p id={id} hidden>
        {keys.map(([key, what]) => `${key}: ${what}`).join(". ")}
      </p>
    </Box>
  );
}
