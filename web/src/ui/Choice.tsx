import { Check, ChevronDown } from "lucide-react";
import { useEffect, useRef } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { Chip } from "./Chip";
import { DIFFERS, useDiffers } from "./differing";
import { Label } from "./Field";

export interface Option {
  id: string;
  label: string;
  /** A colour shown beside it. */
  color?: string;
}

const Group = styled(Aria.Select)`
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
` as typeof Aria.Select;

const Opener = styled(Aria.Button)`
  width: 100%;
  min-height: ${theme.hit};
  padding: 2px 6px;
  font: inherit;
  text-align: left;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  display: flex;
  align-items: center;
  gap: 6px;
  cursor: pointer;
  & > svg {
    flex: none;
    margin-left: auto;
  }
  &[data-disabled] {
    color: ${theme.color.edge};
    border-color: ${theme.color.rule};
  }
`;

const Value = styled(Aria.SelectValue)`
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  & [slot="description"] {
    display: none;
  }
` as typeof Aria.SelectValue;

export const Popover = styled(Aria.Popover)`
  min-width: var(--trigger-width);
  max-width: 320px;
  max-height: 360px;
  overflow: auto;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.text};
  border-radius: 3px;
  padding: 4px;
`;

const optionStyle = `
  min-height: ${theme.hit};
  padding: 2px 8px;
  display: flex;
  align-items: center;
  gap: 8px;
  border-radius: 2px;
  cursor: pointer;
  outline-offset: -2px;
  &[data-focused], &[data-hovered] {
    background: ${theme.color.activeSoft};
  }
  & > svg {
    margin-left: auto;
  }
`;

const Item = styled(Aria.ListBoxItem)`
  ${optionStyle}
  &[data-selected] {
    font-weight: 600;
  }
`;

/** Whoever only runs over an option does not try it, in milliseconds. */
const PASSING = 120;

/** Tries an option out as long as one is on it. */
function Trying({
  id,
  onTry,
}: {
  id: string | undefined;
  onTry: (id: string | undefined) => void;
}) {
  const latest = useRef(onTry);
  useEffect(() => {
    latest.current = onTry;
  });
  useEffect(() => {
    const waiting = window.setTimeout(() => latest.current(id), PASSING);
    return () => window.clearTimeout(waiting);
  }, [id]);
  return null;
}

/** One of several, with its label above it. */
export function Choice({
  label,
  options,
  value,
  onChange,
  placeholder,
  hiddenLabel,
  isDisabled,
  way,
  onTry,
}: {
  label: string;
  options: Option[];
  value: string | undefined;
  onChange: (id: string) => unknown;
  placeholder?: string;
  hiddenLabel?: boolean;
  isDisabled?: boolean;
  /** The property that it is for, where that may differ in what is changed. */
  way?: string;
  /** Shows what an option would make while one walks over it; nothing ends that. */
  onTry?: ((id: string | undefined) => void) | undefined;
}) {
  const { differs, settle } = useDiffers(way);
  const picked = useRef(false);
  const one = differs ? undefined : value;
  const chosen = options.find((option) => option.id === one);
  const empty = differs ? DIFFERS : (placeholder ?? "Choose");
  return (
    <Group
      value={one ?? null}
      onChange={(key) => {
        if (key !== null && key !== one) {
          settle();
          picked.current = true;
          onChange(String(key));
        }
      }}
      onOpenChange={(open) => {
        if (!open && !picked.current) {
          onTry?.(undefined);
        }
        picked.current = false;
      }}
      placeholder={empty}
      isDisabled={isDisabled ?? false}
      {...(hiddenLabel ? { "aria-label": label } : {})}
    >
      {!hiddenLabel && <Label>{label}</Label>}
      <Opener>
        {chosen?.color && <Chip $color={chosen.color} />}
        <Value>{chosen ? chosen.label : empty}</Value>
        <ChevronDown size={14} aria-hidden />
      </Opener>
      <Popover>
        <Aria.ListBox>
          {options.map((option) => (
            <Item key={option.id} id={option.id} textValue={option.label}>
              {({ isFocused }) => (
                <>
                  {onTry && isFocused && (
                    <Trying id={option.id === one ? undefined : option.id} onTry={onTry} />
                  )}
                  {option.color && <Chip $color={option.color} />}
                  <span>{option.label}</span>
                  {option.id === one && <Check size={14} aria-hidden />}
                </>
              )}
            </Item>
          ))}
        </Aria.ListBox>
      </Popover>
    </Group>
  );
}

export const MenuRow = styled(Aria.MenuItem)`
  ${optionStyle}
  white-space: nowrap;
  &[data-disabled] {
    color: ${theme.color.edge};
    cursor: default;
  }
`;

/** One thing to choose in a menu. */
export function OptionRow({ option }: { option: Option }) {
  return (
    <MenuRow id={option.id} textValue={option.label}>
      {option.color && <Chip $color={option.color} />}
      <span>{option.label}</span>
    </MenuRow>
  );
}

/** A button that opens a list of things to do. */
export function ChoiceMenu({
  trigger,
  options,
  onChoose,
  label,
}: {
  trigger: React.ReactNode;
  options: Option[];
  onChoose: (id: string) => void;
  label: string;
}) {
  return (
    <Aria.MenuTrigger>
      {trigger}
      <Popover>
        <Aria.Menu aria-label={label} onAction={(key) => onChoose(String(key))}>
          {options.map((option) => (
            <OptionRow key={option.id} option={option} />
          ))}
        </Aria.Menu>
      </Popover>
    </Aria.MenuTrigger>
  );
}
