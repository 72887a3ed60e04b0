import { useMemo, useRef, useState } from "react";
import * as Aria from "react-aria-components";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { useFindings } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Finding, PageEntry, Publication, Viewing } from "../api/types";
import { differs, isAlone, label, parentName } from "../strip/Concertina";
import { PageActions } from "../pages/PageActions";
import { useCountedByPage } from "../findings/counted";
import { useOpened } from "../publication/PublicationScreen";
import { overviewSizes } from "../publication/sizes";
import { useDroppedFiles } from "../pictures/useDroppedFiles";
import { theme } from "../theme";
import { edges, SmallPage } from "../ui/SmallPage";
import { useArea } from "../ui/useArea";
import { VisuallyHidden } from "../ui/Notice";
import { dropping, useFileDrop } from "../ui/useFileDrop";
import { ChosenPanel } from "./ChosenPanel";
import { MeetingGrid } from "./MeetingGrid";
import { useWidth } from "./useWidth";

const Layout = styled.main`
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: ${theme.color.ground};
`;

const Bars = styled.div`
  flex: none;
  padding-bottom: ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
  background: ${theme.color.paper};
`;

const Middle = styled.div`
  flex: 1;
  min-height: 0;
  display: flex;
  @media ${theme.narrow} {
    flex-direction: column;
  }
`;

const Frame = styled.div`
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  padding: 0 ${theme.space.two};
  background: ${theme.color.desk};
`;

const List = styled(Aria.ListBox)`
  flex: 1;
  min-height: 0;
  overflow-y: scroll;
  padding: ${theme.space.two} 0;
  background: ${theme.color.desk};
  outline-offset: -4px;
  @media ${theme.narrow} {
    min-height: 480px;
  }
` as typeof Aria.ListBox;

/** Where what is dragged would go. */
const Drop = styled(Aria.DropIndicator)`
  width: 100%;
  height: 100%;
  background: transparent;
  &[data-drop-target] {
    background: ${theme.color.active};
    outline: 1px solid ${theme.color.paper};
  }
`;

/**
 * The pages of a spread meet in the middle of their two cells. Everything in a cell is styled from
 * here, because many of them come and go while the plan is scrolled.
 */
const Cell = styled(Aria.ListBoxItem)`
  height: 100%;
  box-sizing: border-box;
  display: flex;
  flex-direction: column;
  align-items: center;
  cursor: pointer;
  outline: none;
  contain: size layout style;
  & .left {
    margin-left: auto;
    padding-right: 0;
  }
  & .right {
    margin-right: auto;
    padding-left: 0;
  }
  &[data-dragging] {
    opacity: 0.5;
  }
  & .part {
    flex: none;
    height: 20px;
    padding: 0 4px;
    box-sizing: border-box;
    font-size: ${theme.size.small};
    font-weight: 600;
    color: ${theme.color.onDesk};
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  & .tile {
    padding: 3px;
    background: ${theme.color.paper};
    border-top: 4px solid transparent;
  }
  & .tile.left {
    padding-right: 0;
  }
  & .tile.right {
    padding-left: 0;
  }
  &[data-selected] .tile {
    border-top-color: ${theme.color.active};
    background: ${theme.color.activeSoft};
  }
  &[data-focus-visible] .tile {
    outline: 2px solid ${theme.color.text};
    outline-offset: 1px;
  }
  & img {
    display: block;
    background: ${theme.color.paper};
    box-shadow: ${edges("NONE")};
  }
  & .left:not(.alone) img {
    box-shadow: ${edges("LEFT")};
  }
  & .right:not(.alone) img {
    box-shadow: ${edges("RIGHT")};
  }
  & .line {
    display: flex;
    align-items: baseline;
    gap: 6px;
    height: 20px;
    padding: 0 4px;
    font-size: ${theme.size.small};
    white-space: nowrap;
  }
  & .right .line {
    flex-direction: row-reverse;
  }
  & .parent {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    color: ${theme.color.quiet};
  }
  & .wrong {
    color: ${theme.color.fail};
    font-weight: 600;
  }
`;

const nothing: Finding[] = [];
const before = "before the first page";
const HEIGHT = 160;
/** Of a page that folds out. */
const WIDEST = 240;

/** A place in the plan: a page, or the empty one to the left of the first. */
interface Place {
  id: string;
  page?: PageEntry;
}

/** All spreads, in lines; pages are chosen here, given what they get, and put in order. */
export function Flatplan() {
  const { publication, viewing } = useOpened();
  const steps = useSteps(publication);
  const navigate = useNavigate();
  const findings = useFindings(publication, viewing);
  const [selection, setSelection] = useState<Aria.Selection>(new Set());
  const layout = useRef<HTMLElement>(null);
  const layoutProps = useArea(layout, "main", "Content");
  const frame = useRef<HTMLDivElement>(null);
  const room = useWidth(frame);
  const { facing } = publication.setup;
  const counts = useCountedByPage(findings.data?.findings ?? nothing);
  const sizeOf = useMemo(() => overviewSizes(publication, HEIGHT, WIDEST), [publication]);
  const width = useMemo(
    () => Math.max(...publication.pages.map((page) => sizeOf(page).width)),
    [publication.pages, sizeOf],
  );
  const places: Place[] = useMemo(
    () => [
      ...(facing ? [{ id: before }] : []),
      ...publication.pages.map((page) => ({ id: page.id, page })),
    ],
    [facing, publication.pages],
  );
  const inside = useMemo(() => room - scrollBar(), [room]);
  const columns = room === 0 ? 0 : columnsIn(inside, width + 20, facing);
  // all the room there is: what is left is less than a pixel a column, so that pages meet
  const cell = Math.floor(inside / Math.max(1, columns));

  const chosen = useMemo(
    () => publication.pages.filter((page) => selection === "all" || selection.has(page.id)),
    [publication.pages, selection],
  );
  const files = useDroppedFiles(publication);
  const { isOver, dropProps } = useFileDrop<HTMLDivElement>((dropped, event) => {
    const cell = event.target instanceof Element ? event.target.closest("[data-key]") : null;
    const on = publication.pages.find((page) => page.id === cell?.getAttribute("data-key"));
    files.drop(dropped, on);
  });
  const { dragAndDropHooks } = Aria.useDragAndDrop({
    getItems: (keys) =>
      [...keys].map((key) => ({
        "text/plain": `Page ${publication.pages.find((page) => page.id === key)?.number}`,
      })),
    renderDropIndicator: (target) => <Drop target={target} />,
    onReorder: (event) => {
      const ids = publication.pages.map((page) => page.id);
      const at = ids.indexOf(String(event.target.key));
      const after = event.target.dropPosition === "before" ? ids[at - 1] : ids[at];
      const pages = ids.filter((id) => event.keys.has(id));
      steps.make({ type: "movePages", pages, ...(after ? { after } : {}) }, "Pages moved");
    },
  });

  return (
    <Layout ref={layout} {...layoutProps}>
      <VisuallyHidden as="h1">{publication.name}, flatplan</VisuallyHidden>
      <Bars>
        <PageActions
          publication={publication}
          chosen={chosen}
          onChoose={(pages) => setSelection(new Set(pages))}
        />
      </Bars>
      <Middle>
        <Frame ref={frame} style={isOver ? dropping : undefined} {...dropProps}>
          {columns > 0 && (
            <Aria.Virtualizer
              // the layout reads its options only when it is made
              key={`${columns} ${cell}`}
              layout={MeetingGrid}
              layoutOptions={{
                minItemSize: new Aria.Size(cell, HEIGHT + 76),
                maxItemSize: new Aria.Size(cell, HEIGHT + 76),
                minSpace: new Aria.Size(0, 12),
                maxColumns: columns,
                // all are of one size, so that none is measured
                preserveAspectRatio: true,
                dropIndicatorThickness: 5,
              }}
            >
              <List
                aria-label="Flatplan: all pages"
                layout="grid"
                items={places}
                dependencies={[counts, selection, viewing, publication.revision]}
                selectionMode="multiple"
                selectionBehavior="replace"
                selectedKeys={selection}
                disabledKeys={[before]}
                onSelectionChange={setSelection}
                onAction={(key) => {
                  const page = publication.pages.find((each) => each.id === key);
                  if (page) {
                    void navigate(`/publications/${publication.id}?page=${page.number}`);
                  }
                }}
                dragAndDropHooks={dragAndDropHooks}
              >
                {(place: Place) => (
                  <PlaceCell
                    publication={publication}
                    place={place}
                    viewing={viewing}
                    size={place.page ? sizeOf(place.page) : { width, height: HEIGHT }}
                    findings={counts.get(place.id) ?? 0}
                  />
                )}
              </List>
            </Aria.Virtualizer>
          )}
        </Frame>
        <ChosenPanel publication={publication} chosen={chosen} />
        {files.dialog}
      </Middle>
    </Layout>
  );
}

/** How wide a scroll bar is here, in pixels. */
function scrollBar(): number {
  const box = document.createElement("div");
  box.style.cssText = "position: absolute; width: 99px; height: 99px; overflow: scroll";
  document.body.append(box);
  const width = box.offsetWidth - box.clientWidth;
  box.remove();
  return width;
}

/** Whole spreads in a line: an even number of pages where they face each other. */
function columnsIn(room: number, cell: number, facing: boolean): number {
  const most = Math.floor(room / cell);
  return facing ? Math.max(2, most - (most % 2)) : Math.max(1, most);
}

function PlaceCell({
  publication,
  place,
  viewing,
  size,
  findings,
}: {
  publication: Publication;
  place: Place;
  viewing: Viewing;
  size: { width: number; height: number };
  findings: number;
}) {
  const { page } = place;
  const { width } = size;
  if (!page) {
    const none = "No page: the first one is on the right";
    return <Cell id={place.id} textValue={none} aria-label={none} />;
  }
  const at = !publication.setup.facing ? "" : page.side === "LEFT" ? "left" : "right";
  const { part } = page;
  const name = `${label(page, publication, findings)}${part ? `, part ${part} begins` : ""}`;
  return (
    <Cell id={page.id} textValue={name} aria-label={name}>
      <span className={`part ${at}`} style={{ width: width + 3 }}>
        {part}
      </span>
      <div className={`tile ${at} ${isAlone(page, publication) ? "alone" : ""}`}>
        <div style={{ height: HEIGHT }}>
          <SmallPage publication={publication} page={page} viewing={viewing} {...size} />
        </div>
        <div className="line" style={{ width }}>
          <strong>{page.number}</strong>
          <span className="parent">{parentName(page, publication) ?? "no parent"}</span>
        </div>
        <div className="line" style={{ width }}>
          {findings > 0 && <span className="wrong">✕ {findings}</span>}
          {differs(page) && <span title="Differs from its parent">own</span>}
        </div>
      </div>
    </Cell>
  );
}
