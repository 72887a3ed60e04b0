import { useVirtualizer } from "@tanstack/react-virtual";
import {
  useLayoutEffect,
  useRef,
  useState,
  type KeyboardEvent,
  type ReactNode,
  type RefObject,
} from "react";
import styled from "styled-components";
import { theme } from "../theme";

const All = styled.div`
  position: relative;
  flex: none;
`;

const Place = styled.div`
  position: absolute;
  top: 0;
  left: 0;
  width: 100%;
`;

/** So many entries beyond what is seen are there already. */
const AHEAD = 6;

export const Group = styled.section`
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  margin-bottom: ${theme.space.two};
  & > h2,
  & > .head {
    padding: ${theme.space.one} ${theme.space.two};
    border-bottom: 1px solid ${theme.color.rule};
  }
`;

/** So many frames are waited for an entry to be drawn. */
const PATIENCE = 30;

/** Goes to the first thing in an entry that can be, as soon as that is drawn. */
function focusIn(list: RefObject<HTMLElement | null>, place: number, patience: number) {
  const first = list.current?.querySelector<HTMLElement>(
    `[data-index="${place}"] :is(a[href], button)`,
  );
  if (first) {
    first.focus({ preventScroll: true });
    first.closest("[data-index]")?.scrollIntoView({ block: "nearest" });
  } else if (patience > 0) {
    requestAnimationFrame(() => focusIn(list, place, patience - 1));
  }
}

/** A long list, of which only what is near to what is seen is drawn. */
export function Listed<T>({
  entries,
  keyOf,
  heightOf,
  scroller,
  children,
}: {
  entries: T[];
  keyOf: (entry: T) => string;
  /** About how high it is, in pixels. */
  heightOf: (entry: T) => number;
  scroller: RefObject<HTMLElement | null>;
  children: (entry: T) => ReactNode;
}) {
  "use no memo"; // what it draws changes with where it is scrolled to, which no value tells
  const list = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => setAbove(list.current?.offsetTop ?? 0), [entries]);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is memoized here
  const virtual = useVirtualizer({
    count: entries.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) => heightOf(entries[index] as T),
    getItemKey: (index) => keyOf(entries[index] as T),
    scrollMargin: above,
    overscan: AHEAD,
  });

  /** Arrow keys go from entry to entry, Home and End to the first and the last. */
  const onKeyDown = (event: KeyboardEvent) => {
    const from = event.target as HTMLElement;
    const at = Number(from.closest<HTMLElement>("[data-index]")?.dataset["index"]);
    const isOwn = list.current?.contains(from) && from.matches("a, button:not([aria-haspopup])");
    const to = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      Home: 0,
      End: entries.length - 1,
    }[event.key];
    if (to === undefined || !isOwn || Number.isNaN(at) || event.altKey || event.ctrlKey) {
      return;
    }
    event.preventDefault();
    const place = Math.min(Math.max(to, 0), entries.length - 1);
    virtual.scrollToIndex(place, { align: "auto" });
    focusIn(list, place, PATIENCE);
  };

  return (
    <All ref={list} onKeyDown={onKeyDown} style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ key, index, start }) => (
        <Place
          key={key}
          data-index={index}
          ref={virtual.measureElement}
          style={{ transform: `translateY(${start - above}px)` }}
        >
          {children(entries[index] as T)}
        </Place>
      ))}
    </All>
  );
}
