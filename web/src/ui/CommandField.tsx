import { useEffect, useMemo, useRef, useState, type ReactNode } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { found, OfferedContext, type Command, type Offered } from "./commands";
import { Modal } from "./Modal";
import { standing } from "./standing";

const Typed = styled(Aria.Input)`
  width: 100%;
  min-height: 36px;
  padding: 4px 8px;
  font: inherit;
  color: ${theme.color.text};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  &::-webkit-search-cancel-button {
    display: none;
  }
`;

const List = styled(Aria.Menu<Command & { id: string }>)`
  height: min(420px, 50vh);
  overflow: auto;
  outline: none;
`;

const Entry = styled(Aria.MenuItem)`
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: ${theme.space.two};
  padding: 5px 8px;
  border-radius: 3px;
  cursor: pointer;
  & small {
    color: ${theme.color.quiet};
    white-space: nowrap;
  }
  &[data-focused] {
    background: ${theme.color.active};
    color: ${theme.color.paper};
  }
  &[data-focused] small {
    color: inherit;
  }
  /* the fill marks it; where colours are forced, the outline does */
  &&[data-focused] {
    outline: 2px solid transparent;
    outline-offset: -2px;
  }
`;

const Empty = styled.p`
  padding: 5px 8px;
  color: ${theme.color.quiet};
`;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLTextAreaElement ||
    (target instanceof HTMLInputElement && target.type !== "checkbox" && target.type !== "range")
  );
}

/** Knows all that can be done, by what is offered and what stands on the screen, and lists it when the full stop is pressed. */
export function CommandsProvider({ children }: { children: ReactNode }) {
  const offered = useMemo<Offered>(() => new Map(), []);
  const [onScreen, setOnScreen] = useState<Command[]>();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const plain = !event.ctrlKey && !event.metaKey && !event.altKey;
      const busy = document.querySelector("[role=dialog], [role=alertdialog]") !== null;
      if (event.key === "." && plain && !busy && !isTyping(event.target)) {
        event.preventDefault();
        setOnScreen(standing(document)); // before the dialog hides it
      }
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, []);
  return (
    <OfferedContext.Provider value={offered}>
      {children}
      {onScreen && (
        <CommandField
          offered={offered}
          onScreen={onScreen}
          onClose={() => setOnScreen(undefined)}
        />
      )}
    </OfferedContext.Provider>
  );
}

function CommandField({
  offered,
  onScreen,
  onClose,
}: {
  offered: Offered;
  onScreen: Command[];
  onClose: () => void;
}) {
  const [typed, setTyped] = useState("");
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const list = useRef<HTMLDivElement>(null);
  const commands = found(offered, typed, onScreen).map((each, at) => ({ ...each, id: `${at}` }));
  const run = (command: Command) => {
    onClose();
    // once the focus is back where it was: what is done may take it elsewhere
    window.setTimeout(command.run);
  };
  return (
    <Modal title="Actions" isOpen onClose={onClose}>
      <Aria.Autocomplete inputValue={typed} onInputChange={setTyped}>
        <Aria.SearchField
          aria-label="Search actions"
          onSubmit={() => {
            const [first] = commands;
            // who types fast presses Enter before the first of the list is marked
            if (first && !list.current?.querySelector("[data-focused]")) {
              run(first);
            }
          }}
        >
          <Typed ref={field} placeholder="Search by name" />
        </Aria.SearchField>
        <List
          ref={list}
          aria-label="Actions found"
          items={commands}
          dependencies={[typed]}
          renderEmptyState={() => <Empty>No action has “{typed.trim()}” in its name.</Empty>}
          onAction={(id) => {
            const chosen = commands.find((each) => each.id === id);
            if (chosen) {
              run(chosen);
            }
          }}
        >
          {({ id, label, keys, place }) => (
            <Entry id={id} textValue={label}>
              <span>{label}</span>
              {(keys ?? place) && <small>{keys ?? place}</small>}
            </Entry>
          )}
        </List>
      </Aria.Autocomplete>
    </Modal>
  );
}
