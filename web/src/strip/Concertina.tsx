import { createContext, memo, useContext, useEffect, useMemo, useRef } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import type { PageEntry, Publication, Viewing } from "../api/types";
import { overviewSizes } from "../publication/sizes";
import { theme } from "../theme";
import { edges, SmallPage } from "../ui/SmallPage";
import { counted } from "../ui/words";
import { LeafLayout, placesOf, scrolledTo } from "./LeafLayout";

/** What stands around the pages from top to bottom, in pixels. */
export const AROUND_LEAVES = 54;

const GAP = 14;
const MARGIN = 16;

/** The page that is open: known to the leaves without making all of them anew. */
const Open = createContext("");

const Strip = styled(Aria.ListBox)`
  flex: 1;
  min-width: 0;
  overflow: auto hidden;
  margin: 3px 0;
  outline-offset: -2px;
` as typeof Aria.ListBox;

const Leaf = styled(Aria.ListBoxItem)`
  display: flex;
  flex-direction: column;
  position: relative;
  padding: 2px 0 0;
  border-top: 3px solid transparent;
  cursor: pointer;
  outline-offset: 1px;
  &:has(.open) {
    border-top-color: ${theme.color.active};
  }
  &[data-selected] {
    border-top-color: ${theme.color.active};
    background: ${theme.color.activeSoft};
  }
  &[data-hovered] {
    border-top-color: ${theme.color.edge};
  }
  & .open {
    font-weight: 600;
    text-decoration: underline;
    text-underline-offset: 3px;
  }
  & img {
    display: block;
    background: ${theme.color.paper};
  }
`;

/** Pages hang from one line, and those that face each other meet. */
const Room = styled.span<{
  $side: PageEntry["side"] | undefined;
  $alone: boolean;
  $height: number;
}>`
  display: flex;
  align-items: flex-start;
  height: ${({ $height }) => $height}px;
  justify-content: ${({ $side }) =>
    $side === undefined ? "center" : $side === "LEFT" ? "flex-end" : "flex-start"};
  & img {
    box-shadow: ${({ $side, $alone }) => edges($alone ? "NONE" : ($side ?? "NONE"))};
  }
`;

const Caption = styled.span<{ $right: boolean }>`
  display: flex;
  gap: 6px;
  justify-content: ${({ $right }) => ($right ? "flex-end" : "flex-start")};
  padding: 1px 3px 0;
  font-size: ${theme.size.small};
  line-height: 17px;
  white-space: nowrap;
  & .wrong {
    color: ${theme.color.fail};
    font-weight: 600;
  }
`;

/** Named once where it begins; the line runs on over all pages of the same parent. */
const Parentage = styled.span<{ $first: boolean; $last: boolean }>`
  position: relative;
  display: block;
  height: 20px;
  margin: 1px ${({ $last }) => ($last ? "3px" : "0")} 0 ${({ $first }) => ($first ? "3px" : "0")};
  border-top: 1px solid ${theme.color.edge};
  & > span {
    position: absolute;
    left: 0;
    top: 0;
    z-index: 1;
    font-size: 12px;
    line-height: 18px;
    color: ${theme.color.quiet};
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

/**
 * All spreads in order, small; pages are chosen here, one or many. Only the leaves that are seen
 * are drawn, and they are made anew only when something of them changed.
 */
export const Concertina = memo(Leaves);

function Leaves({
  publication,
  height,
  open,
  selection,
  findings,
  viewing,
  onSelection,
}: {
  publication: Publication;
  /** Of a page, in pixels. */
  height: number;
  /** The page that is open; with nothing selected, it is what is acted on. */
  open: string;
  /** Kept as it came, because it remembers where a selection by Shift began. */
  selection: Aria.Selection;
  /** How many findings each page has. */
  findings: Map<string, number>;
  viewing: Viewing;
  onSelection: (selection: Aria.Selection) => void;
}) {
  const { pages } = publication;
  const sizeOf = useMemo(() => overviewSizes(publication, height), [publication, height]);
  const layout = useMemo(() => {
    const widthOf = (page: PageEntry) =>
      Math.max(sizeOf(page).width, captionWidth(page, findings.get(page.id) ?? 0));
    return {
      places: placesOf(pages, widthOf, MARGIN, GAP),
      height: height + AROUND_LEAVES - 6,
      margin: MARGIN,
    };
  }, [pages, sizeOf, findings, height]);
  /** Whether another parent begins here than the page before has. */
  const begins = (index: number) =>
    index === 0 || index >= pages.length || pages[index]?.parent !== pages[index - 1]?.parent;
  /** How wide the pages with this parent are together. */
  const stretch = (from: number) => {
    let to = from + 1;
    while (!begins(to)) {
      to++;
    }
    const first = layout.places[from];
    const last = layout.places[to - 1];
    return first && last ? last.x + last.width - first.x - 6 : 0;
  };

  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const place = layout.places.find(({ id }) => id === open);
    const { current } = strip;
    if (place && current) {
      current.scrollLeft = scrolledTo(place, current.scrollLeft, current.clientWidth, MARGIN);
    }
  }, [open, layout]);

  return (
    <Open.Provider value={open}>
      <Aria.Virtualizer layout={LeafLayout} layoutOptions={layout}>
        <Strip
          ref={strip}
          aria-label="Concertina: all pages"
          orientation="horizontal"
          selectionMode="multiple"
          selectionBehavior="replace"
          selectedKeys={selection}
          onSelectionChange={onSelection}
          items={pages}
          dependencies={[publication, findings, viewing, height]}
        >
          {(page: PageEntry) => {
            const index = page.number - 1;
            return (
              <Leaf id={page.id} textValue={label(page, publication, findings.get(page.id) ?? 0)}>
                <Room
                  $side={publication.setup.facing ? page.side : undefined}
                  $alone={isAlone(page, publication)}
                  $height={height}
                >
                  <SmallPage
                    publication={publication}
                    page={page}
                    viewing={viewing}
                    {...sizeOf(page)}
                  />
                </Room>
                <Caption $right={publication.setup.facing && page.side === "RIGHT"}>
                  {(findings.get(page.id) ?? 0) > 0 && (
                    <span className="wrong">✕ {findings.get(page.id)}</span>
                  )}
                  {differs(page) && <small title="Differs from its parent">own</small>}
                  <Number page={page} />
                </Caption>
                <Parentage $first={begins(index)} $last={begins(index + 1)}>
                  {begins(index) && (
                    <span style={{ width: stretch(index) }}>
                      {parentName(page, publication) ?? "none"}
                    </span>
                  )}
                </Parentage>
              </Leaf>
            );
          }}
        </Strip>
      </Aria.Virtualizer>
    </Open.Provider>
  );
}

function Number({ page }: { page: PageEntry }) {
  return <span className={useContext(Open) === page.id ? "open" : ""}>{page.number}</span>;
}

/** What a caption takes in the type that it is set in, in pixels. */
function captionWidth(page: PageEntry, findings: number): number {
  const digits = (of: number) => 8 * String(of).length;
  const wrong = findings > 0 ? 22 + digits(findings) : 0;
  const own = differs(page) ? 30 : 0;
  return 8 + wrong + own + digits(page.number);
}

/** Whether no page faces it. */
export function isAlone(page: PageEntry, publication: Publication): boolean {
  return publication.spreads[page.spread]?.length === 1;
}

/** Whether a page shows something else than its parent alone. */
export function differs(page: PageEntry): boolean {
  return page.parent !== undefined && (page.backgrounds > 0 || !page.parentShown);
}

export function parentName(page: PageEntry, publication: Publication): string | undefined {
  return publication.parents.find((parent) => parent.id === page.parent)?.name;
}

export function label(page: PageEntry, publication: Publication, findings: number): string {
  const parent = parentName(page, publication);
  const hidden = parent && !page.parentShown ? ", its backgrounds hidden" : "";
  const own =
    page.backgrounds > 0
      ? `, ${counted(page.backgrounds, "own background", "own backgrounds")}`
      : "";
  const wrong = findings > 0 ? `, ${counted(findings, "finding", "findings")}` : "";
  return `Page ${page.number}, ${parent ? `parent ${parent}${hidden}` : "no parent"}${own}${wrong}`;
}
