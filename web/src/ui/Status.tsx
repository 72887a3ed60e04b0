import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from "react";
import styled from "styled-components";
import { theme } from "../theme";
import { Button } from "./Button";

interface Status {
  /** Announces something that went well; it is read out and shown for a while. */
  say: (message: string) => void;
  /**
   * Shows what went wrong until it is dismissed, or until something else goes well.
   *
   * @param stays whether it is not over then, because nothing that goes well mends it
   */
  fail: (message: string, stays?: boolean) => void;
}

const Context = createContext<Status>({ say: () => undefined, fail: () => undefined });

export function useStatus(): Status {
  return useContext(Context);
}

const Bar = styled.div`
  position: fixed;
  left: 50%;
  bottom: ${theme.space.two};
  transform: translateX(-50%);
  z-index: 100;
  max-width: min(640px, calc(100vw - 32px));
  display: flex;
  align-items: center;
  gap: ${theme.space.two};
  padding: ${theme.space.one} ${theme.space.two};
  background: ${theme.color.text};
  color: ${theme.color.paper};
  border: 1px solid ${theme.color.paper};
  border-radius: 4px;
  &:empty {
    display: none;
  }
`;

/** What it may cover of a window that reaches down to it. */
export const FAILURE_HEIGHT = "120px";

const Failure = styled(Bar)`
  background: ${theme.color.paper};
  color: ${theme.color.text};
  border: 2px solid ${theme.color.fail};
`;

const none = { message: "", stays: false };

/** Open dialogs hide everything else from screen readers, but for this. */
const aboveAll = { "data-react-aria-top-layer": "true" };

export function StatusProvider({ children }: { children: ReactNode }) {
  const [said, setSaid] = useState("");
  const [failure, setFailure] = useState(none);

  const say = useCallback((message: string) => {
    setFailure((last) => (last.stays ? last : none));
    setSaid(message);
    window.setTimeout(() => setSaid((now) => (now === message ? "" : now)), 4000);
  }, []);
  const fail = useCallback((message: string, stays = false) => {
    setSaid("");
    setFailure({ message, stays });
  }, []);
  const status = useMemo(() => ({ say, fail }), [say, fail]);

  return (
    <Context.Provider value={status}>
      {children}
      {/* above dialogs, too: what is said there is read out */}
      <Bar role="status" {...aboveAll}>
        {said}
      </Bar>
      <div role="alert" {...aboveAll}>
        {failure.message && (
          <Failure data-failure="">
            <span>
              <strong>Not done.</strong> {failure.message}
            </span>
            <Button onPress={() => setFailure(none)}>Close</Button>
          </Failure>
        )}
      </div>
    </Context.Provider>
  );
}
