import { ChevronDown, ChevronRight } from "lucide-react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import type { PageEntry, Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { ChoiceMenu, MenuRow, OptionRow, Popover } from "../ui/Choice";
import { capital, numbersInWords } from "../ui/words";
import { RangeField } from "./RangeField";
import { usePageActions } from "./usePageActions";

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${theme.space.half} ${theme.space.one};
  padding: ${theme.space.half} ${theme.space.two} 0;
`;

const Chosen = styled.span`
  font-weight: 600;
  margin-right: auto;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
`;

const Corner = styled.div`
  flex: none;
  width: 220px;
  box-sizing: border-box;
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
  padding: ${theme.space.half} ${theme.space.one};
  border-right: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    width: auto;
    border-right: 0;
  }
`;

interface Props {
  publication: Publication;
  chosen: PageEntry[];
  onChoose: (pages: string[]) => void;
}

function titled(chosen: PageEntry[]): string {
  return chosen.length === 0
    ? "No page chosen"
    : capital(numbersInWords(chosen.map((page) => page.number)));
}

/** What the panel beside the pages has fields for. */
const inPanel = new Set(["parent", "showParent", "color"]);

/**
 * What can be done with the pages chosen, all of them in one go: a line of buttons for what the
 * panel beside them has not.
 */
export function PageActions({ publication, chosen, onChoose }: Props) {
  const { actions, dialog } = usePageActions(publication, chosen, onChoose);
  return (
    <Bar role="group" aria-label={`For ${titled(chosen)}`}>
      <Chosen>{titled(chosen)}</Chosen>
      <RangeField publication={publication} onChoose={onChoose} />
      {actions
        .filter(({ id, options }) => options?.length !== 0 && !inPanel.has(id))
        .map(({ id, label, isDisabled, options, run }) =>
          options ? (
            <ChoiceMenu
              key={id}
              label={label}
              trigger={<Button isDisabled={isDisabled}>{label}</Button>}
              options={options}
              onChoose={run}
            />
          ) : (
            <Button key={id} isDisabled={isDisabled} onPress={() => run("")}>
              {label}
            </Button>
          ),
        )}
      {dialog}
    </Bar>
  );
}

/** The same where there is little room: one button that opens a list of them. */
export function PageActionsMenu({ publication, chosen, onChoose }: Props) {
  const { actions, dialog } = usePageActions(publication, chosen, onChoose);
  const possible = actions.filter((action) => action.options?.length !== 0);
  return (
    <Corner role="group" aria-label={`For ${titled(chosen)}`}>
      <Chosen>{titled(chosen)}</Chosen>
      <RangeField publication={publication} onChoose={onChoose} short />
      <Aria.MenuTrigger>
        <Button>
          Change pages
          <ChevronDown size={14} aria-hidden />
        </Button>
        <Popover placement="top start">
          <Aria.Menu
            aria-label="Change pages"
            disabledKeys={possible.filter(({ isDisabled }) => isDisabled).map(({ id }) => id)}
            onAction={(key) => possible.find(({ id }) => id === key)?.run("")}
          >
            {possible.map(({ id, label, options, run }) =>
              options ? (
                <Aria.SubmenuTrigger key={id}>
                  <MenuRow id={id} textValue={label}>
                    <span>{label}</span>
                    <ChevronRight size={14} aria-hidden />
                  </MenuRow>
                  <Popover>
                    <Aria.Menu aria-label={label} onAction={(key) => run(String(key))}>
                      {options.map((option) => (
                        <OptionRow key={option.id} option={option} />
                      ))}
                    </Aria.Menu>
                  </Popover>
                </Aria.SubmenuTrigger>
              ) : (
                <MenuRow key={id} id={id} textValue={label}>
                  <span>{label}</span>
                </MenuRow>
              ),
            )}
          </Aria.Menu>
        </Popover>
      </Aria.MenuTrigger>
      {dialog}
    </Corner>
  );
}
