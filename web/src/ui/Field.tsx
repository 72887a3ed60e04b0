import { useRef, useState, type KeyboardEvent } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { DIFFERS, useDiffers } from "./differing";

export const Label = styled(Aria.Label)`
  font-size: ${theme.size.small};
  color: ${theme.color.quiet};
`;

const Group = styled(Aria.TextField)`
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
`;

const box = `
  width: 100%;
  min-width: 0;
  min-height: ${theme.hit};
  padding: 2px 6px;
  font: inherit;
  font-variant-numeric: tabular-nums;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  &[data-invalid] {
    border: 2px solid ${theme.color.fail};
  }
`;

const Input = styled(Aria.Input)`
  ${box}
`;

const Area = styled(Aria.TextArea)`
  ${box}
  line-height: 1.35;
  resize: vertical;
  min-height: 60px;
`;

interface FieldProps {
  label: string;
  value: string;
  /**
   * Where it gives a promise, what was typed stands until that is kept; where it or the promise
   * gives false, it was refused, and stands to be mended.
   */
  onCommit: (value: string) => unknown;
  multiline?: boolean;
  hiddenLabel?: boolean;
  rows?: number;
  /** The property that it is for, where that may differ in what is changed. */
  way?: string;
  /** What an arrow key up (above zero) or down makes of what is typed; taken with the rest. */
  step?: (typed: string, by: number) => string;
  /** What counts where the field is empty. */
  empty?: string | undefined;
  /** Shows what is typed would make before it is taken; nothing ends that. */
  onTry?: ((typed: string | undefined) => void) | undefined;
}

/** A field whose value is taken when it is left or Enter is pressed; Escape gives the old one back. */
export function Field({
  label,
  value: stored,
  onCommit,
  multiline,
  hiddenLabel,
  rows,
  way,
  step,
  empty,
  onTry,
}: FieldProps) {
  const trying = useRef(false);
  const tryOut = (typed: string | undefined) => {
    if (onTry && (typed !== undefined || trying.current)) {
      trying.current = typed !== undefined;
      onTry(typed);
    }
  };
  const { differs, settle } = useDiffers(way);
  const value = differs ? "" : stored;
  const [draft, setDraft] = useState<string>();
  const [sent, setSent] = useState<{ text: string; of: string }>();
  const [refused, setRefused] = useState<string>();
  const commits = useRef(0);
  const known = sent?.of === value ? sent.text : value;
  const shown = draft ?? known;

  const follow = (text: string, stored: Promise<unknown>) => {
    const mine = { text, of: value };
    const commit = commits.current;
    setSent(mine);
    void stored
      .then((kept) => {
        if (kept === false && commit === commits.current) {
          setRefused(text);
          setDraft((newer) => newer ?? text);
        }
      })
      .finally(() => setSent((last) => (last === mine ? undefined : last)));
  };
  const commit = () => {
    if (draft === undefined || draft === refused) {
      return;
    }
    if (draft !== known) {
      commits.current++;
      trying.current = false;
      settle();
      const stored = onCommit(draft);
      if (stored === false) {
        setRefused(draft);
        return;
      }
      if (stored instanceof Promise) {
        follow(draft, stored);
      }
    }
    tryOut(undefined);
    setDraft(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === "Enter" && (!multiline || event.ctrlKey || event.metaKey)) {
      commit();
    } else if (event.key === "Escape" && draft !== undefined) {
      tryOut(undefined);
      setDraft(undefined);
      event.stopPropagation();
    } else if (event.key === "Escape" && sent !== undefined) {
      // given up before the answer came: what is refused then does not come back
      commits.current++;
    } else if (step && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
      event.preventDefault();
      const by = event.shiftKey ? 10 : 1;
      const stepped = step(shown || (empty ?? ""), event.key === "ArrowUp" ? by : -by);
      setDraft(stepped);
      tryOut(stepped);
    }
  };

  return (
    <Group
      value={shown}
      onChange={(typed) => {
        setDraft(typed);
        tryOut(typed);
      }}
      onBlur={commit}
      isInvalid={draft !== undefined && draft === refused}
      {...(hiddenLabel ? { "aria-label": label } : {})}
    >
      {!hiddenLabel && <Label>{label}</Label>}
      {multiline ? (
        <Area onKeyDown={onKeyDown} rows={rows ?? 4} />
      ) : (
        <Input onKeyDown={onKeyDown} {...placeholder(differs ? DIFFERS : empty)} />
      )}
    </Group>
  );
}

const placeholder = (text: string | undefined) => (text === undefined ? {} : { placeholder: text });

/** A field that keeps its draft with its owner, for dialogs that are sent as a whole. */
export function DraftField({
  label,
  value,
  onChange,
  isSecret,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** Whether nobody who looks on reads it. */
  isSecret?: boolean;
}) {
  return (
    <Group
      value={value}
      onChange={onChange}
      {...(isSecret ? { type: "password", autoComplete: "off", autoFocus: true } : {})}
    >
      <Label>{label}</Label>
      <Input />
    </Group>
  );
}

/** All of a row. */
export const Wide = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  grid-column: 1 / -1;
`;

export const Row = styled.div<{ $columns?: string }>`
  display: grid;
  grid-template-columns: ${({ $columns }) => $columns ?? "repeat(2, minmax(0, 1fr))"};
  gap: ${theme.space.one};
  align-items: end;
`;

export const Stack = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  min-width: 0;
`;
