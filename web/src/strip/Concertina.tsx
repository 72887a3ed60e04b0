import { memo, useEffect, useMemo, useRef } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import type { PageEntry, Publication, Viewing } from "../api/types";
import { overviewSizes } from "../publication/sizes";
import { theme } from "../theme";
import { edges, SmallPage } from "../ui/SmallPage";
import { counted } from "../ui/words";

/** What stands around the pages from top to bottom, in pixels. */
export const AROUND_LEAVES = 54;

const GAP = 14;

const Strip = styled(Aria.ListBox)`
  flex: 1;
  min-width: 0;
  display: flex;
  align-items: flex-start;
  overflow-x: auto;
  padding: 3px ${theme.space.two} 3px;
  outline-offset: -2px;
` as typeof Aria.ListBox;

const Leaf = styled(Aria.ListBoxItem)<{ $gap: boolean; $open: boolean }>`
  flex: none;
  display: flex;
  flex-direction: column;
  position: relative;
  margin-left: ${({ $gap }) => ($gap ? `${GAP}px` : "0")};
  padding: 2px 0 0;
  border-top: 3px solid ${({ $open }) => ($open ? theme.color.active : "transparent")};
  cursor: pointer;
  outline-offset: 1px;
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
const Room = styled.span<{ $side: PageEntry["side"] | undefined; $height: number }>`
  display: flex;
  align-items: flex-start;
  height: ${({ $height }) => $height}px;
  justify-content: ${({ $side }) =>
    $side === undefined ? "center" : $side === "LEFT" ? "flex-end" : "flex-start"};
  & img {
    box-shadow: ${({ $side }) => edges($side ?? "NONE")};
  }
`;

const Caption = styled.span<{ $right: boolean }>`
  display: flex;
  gap: 6px;
  justify-content: ${({ $right }) => ($right ? "flex-end" : "flex-start")};
  padding: 1px 3px 0;
  font-size: ${theme.size.small};
  line-height: 17px;
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
 * All spreads in order, small; pages are chosen here, one or many. It is made anew only when
 * something of it changed, because it has a leaf for every page.
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
  /** Whether another parent begins here than the page before has. */
  const begins = (index: number) =>
    index === 0 || index >= pages.length || pages[index]?.parent !== pages[index - 1]?.parent;
  /** How wide the pages with this parent are together. */
  const stretch = (from: number) => {
    let room = 0;
    for (let index = from; index === from || !begins(index); index++) {
      const page = pages[index];
      room += page ? sizeOf(page).width : 0;
      room += index === from || page?.spread === pages[index - 1]?.spread ? 0 : GAP;
    }
    return room - 6;
  };

  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const leaf = strip.current?.querySelector(`[data-key="${open}"]`);
    leaf?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [open]);

  return (
    <Strip
      ref={strip}
      aria-label="Concertina: all pages"
      orientation="horizontal"
      selectionMode="multiple"
      selectionBehavior="replace"
      selectedKeys={selection}
      onSelectionChange={onSelection}
    >
      {publication.pages.map((page, index) => (
        <Leaf
          key={page.id}
          id={page.id}
          $open={page.id === open}
          textValue={label(page, publication, findings.get(page.id) ?? 0)}
          $gap={index > 0 && publication.pages[index - 1]?.spread !== page.spread}
        >
          <Room $side={publication.setup.facing ? page.side : undefined} $height={height}>
            <SmallPage publication={publication} page={page} viewing={viewing} {...sizeOf(page)} />
          </Room>
          <Caption $right={publication.setup.facing && page.side === "RIGHT"}>
            {(findings.get(page.id) ?? 0) > 0 && (
              <span className="wrong">✕ {findings.get(page.id)}</span>
            )}
            {differs(page) && <small title="Differs from its parent">own</small>}
            <span className={page.id === open ? "open" : ""}>{page.number}</span>
          </Caption>
          <Parentage $first={begins(index)} $last={begins(index + 1)}>
            {begins(index) && (
              <span style={{ width: stretch(index) }}>
                {parentName(page, publication) ?? "none"}
              </span>
            )}
          </Parentage>
        </Leaf>
      ))}
    </Strip>
  );
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
