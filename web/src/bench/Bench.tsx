import {
  useCallback,
  useEffect,
  useId,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
} from "react";
import type { Selection } from "react-aria-components";
import { useLocation, useSearchParams } from "react-router";
import styled from "styled-components";
import {
  useFindings,
  useItems,
  useNeighbours,
  usePicture,
  useSpread,
  useStrata,
  type Point,
} from "../api/queries";
import { useSteps } from "../api/steps";
import type { BehindTextStratum, Finding, Publication, Spread, Stratum } from "../api/types";
import { PageActionsMenu } from "../pages/PageActions";
import { useDroppedFiles } from "../pictures/useDroppedFiles";
import { useOpened } from "../publication/PublicationScreen";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Failed, Notice, VisuallyHidden } from "../ui/Notice";
import { Divider } from "../ui/Divider";
import { useArea } from "../ui/useArea";
import { lazily } from "../ui/lazily";
import { Parts } from "../ui/Parts";
import { counted, ratio } from "../ui/words";
import { mm } from "../ui/length";
import { keep, readKept, useKept } from "../ui/kept";
import { TryingProvider } from "../api/trying";
import { PickedLook } from "../story/PickedLook";
import { useGiving } from "../story/useGiving";
import { useTrial } from "./useTrial";
import { BenchProvider, type CaretPlace, type Joining, type Sampling } from "./BenchState";
import { Catalogue } from "../catalogue/Catalogue";
import { AROUND_LEAVES, Concertina } from "../strip/Concertina";
import { seen } from "../stage/rotating";
import { Legend } from "../stage/Legend";
import { useCountedByPage } from "../findings/counted";
import {
  allOpen,
  isFolded,
  leastSizes,
  mostSizes,
  toggled,
  toggledAll,
  usualSizes,
  type Panel,
  type Panels,
  type PanelSizes,
} from "./panels";
import { BackgroundPanel } from "../scope/BackgroundPanel";
import { noScope, PAGES, scopesOf } from "../scope/scope";
import { ScopeBar } from "../scope/ScopeBar";
import { ScopePanel } from "../scope/ScopePanel";
import { SpreadView, type Focus } from "../stage/SpreadView";
import { StrataPanel } from "../strata/StrataPanel";
import { WalkBar, type Walk } from "../stage/WalkBar";
import { finenessAt, nextPercent, type Zoom } from "../stage/zoom";
import { ZoomBar } from "../stage/ZoomBar";

const Layout = styled.main<{ $left: number; $right: number }>`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template:
    "left middle right" minmax(0, 1fr)
    "foot foot foot" auto /
    ${({ $left }) => $left}px minmax(0, 1fr) ${({ $right }) => $right}px;
  & > .catalogueEdge {
    grid-area: left;
    justify-self: end;
    margin-right: -3px;
  }
  & > .strataEdge {
    grid-area: right;
    margin-left: -3px;
  }
  & > .pagesEdge {
    grid-area: foot;
    margin-top: -3px;
  }
  @media ${theme.narrow} {
    grid-template: "middle" "right" "foot" "left" / minmax(0, 1fr);
  }
`;

const Middle = styled.section<{ $folded: boolean }>`
  grid-area: middle;
  display: flex;
  flex-direction: ${({ $folded }) => ($folded ? "row" : "column")};
  min-width: 0;
  min-height: 0;
  @media ${theme.narrow} {
    flex-direction: column;
  }
`;

const Held = styled.div`
  display: flex;
  background: ${theme.color.paper};
`;

const Beside = styled.div`
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  @media ${theme.narrow} {
    flex-direction: column;
  }
`;

const Right = styled.aside`
  grid-area: right;
  overflow: auto;
  min-width: 0;
  background: ${theme.color.ground};
  border-left: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    border-left: 0;
  }
`;

const Foot = styled.section<{ $height: number }>`
  grid-area: foot;
  display: flex;
  &[hidden] {
    display: none;
  }
  height: ${({ $height }) => $height}px;
  min-width: 0;
  background: ${theme.color.paper};
  border-top: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    flex-direction: column;
    height: auto;
  }
`;

const StoryPanel = lazily(async () => (await import("../story/StoryPanel")).StoryPanel);

const nothing: Finding[] = [];

/** Where one was last, in this window. */
interface Place {
  page: number;
  zoom: Zoom;
  /** What that came to. */
  percent: number;
  point?: Point;
}

/** What a fitted spread comes to about, before it is known. */
const FITTED = 70;

/** How far the arrow keys have gone ahead of a spread that is still on its way. */
const still = { items: 0, x: 0, y: 0 };

const startingPlace: Place = { page: 1, zoom: { kind: "spread" }, percent: FITTED };

/** One spread, large, with what is painted under the point and the whole publication below. */
export function Bench() {
  const { publication, viewing, dark, onDark } = useOpened();
  const [address, setAddress] = useSearchParams();
  const { state } = useLocation() as { state: unknown };
  const placeKey = `yewberry-place ${publication.id}`;
  const [place] = useState(() => readKept(sessionStorage, placeKey, startingPlace));
  // the address follows: it comes too late for somebody who turns pages fast
  const [number, setNumber] = useState(() => Number(address.get("page") ?? place.page));
  const page = publication.pages[number - 1] ?? publication.pages[0];
  const [selection, setSelection] = useState<Selection>(new Set());
  const [point, setPoint] = useState<Point | undefined>(
    () => pointIn(address, page?.id) ?? onPage(place.point, page?.id),
  );
  const [focus, setFocus] = useState<Focus>();
  const [zoom, setZoom] = useState<Zoom>(place.zoom);
  const [percent, setPercent] = useState(place.percent);
  const [walk, setWalk] = useState<Walk>("items");
  const [marks, setMarks] = useState(true);
  const [panels, setPanels] = useKept<Panels>(localStorage, "yewberry-panels", allOpen);
  const files = useDroppedFiles(publication);
  const [sizes, setSizes] = useKept<PanelSizes>(localStorage, "yewberry-panel-sizes", usualSizes);
  const middle = useRef<HTMLElement>(null);
  const middleProps = useArea(middle, "region", "Spread");
  const right = useRef<HTMLElement>(null);
  const rightProps = useArea(right, "complementary", "What is painted", !panels.strata);
  const foot = useRef<HTMLElement>(null);
  const footProps = useArea(foot, "region", "All pages", !panels.pages);
  const [sampling, setSampling] = useState<Sampling>();
  const [wanted, setWanted] = useState(PAGES);
  const [editing, setEditing] = useState<string>();
  const [writing, setWriting] = useState(() => asked(state));
  const [caret, setCaret] = useState<CaretPlace>();
  const [frame, setFrame] = useState<string>();
  const [joining, setJoining] = useState<Joining>();
  const steps = useSteps(publication);
  const giving = useGiving(publication);
  const make = useRef(steps.make);
  useEffect(() => {
    make.current = steps.make;
  });
  const [item, setItem] = useState(-1);
  const [ahead, setAhead] = useState(still);
  const keysId = useId();

  const ppi = finenessAt(percent, window.devicePixelRatio);
  const spread = useSpread(publication, page?.spread ?? 0);
  const hasFiles = publication.pages.some((each) => each.imported);
  const [before, setBefore] = useState(false);
  const asItCame = before && hasFiles;
  const picture = usePicture(publication, page?.spread ?? 0, viewing, ppi, asItCame);
  const [drawn, setDrawn] = useState<number>();
  if (!picture.isPlaceholderData && drawn !== page?.spread) {
    setDrawn(page?.spread);
  }
  useNeighbours(publication, page?.spread ?? 0, viewing, ppi, asItCame);
  const isDrawn = !picture.isPlaceholderData;
  const trial = useTrial(publication, page?.id ?? "", viewing, ppi, isDrawn);
  const findings = useFindings(publication, viewing);
  const items = useItems(publication, page?.id);
  const strata = useStrata(publication, point, viewing);
  const shading = strata.data?.strata.find(
    (each) => each.type === "behindTextStratum" && isPadded(each.behind) && each.where,
  ) as BehindTextStratum | undefined;

  const all = findings.data?.findings ?? nothing;
  const checking = findings.data === undefined || findings.data.checked < findings.data.pages;
  const perPage = useCountedByPage(all);

  const turnTo = useCallback(
    (id: string) => {
      const to = publication.pages.find((each) => each.id === id);
      if (to) {
        setNumber(to.number);
        setAddress({ page: String(to.number) }, { replace: true });
        // pages chosen stay so when one goes from one of them to another
        setSelection((last) => (last === "all" || last.has(id) ? last : new Set()));
        // a parent goes on being changed as long as it is in sight
        setWanted((last) => (last === to.parent ? last : PAGES));
        setItem(-1);
        setAhead(still);
      }
    },
    [publication.pages, setAddress],
  );
  const look = useCallback(
    (at: Point) => {
      setPoint({ page: at.page, x: tidy(at.x), y: tidy(at.y) });
      setFrame(frameAt(spread.data, at));
      setFocus(undefined);
      // what was pointed at stands at the top of its panel
      right.current?.scrollTo({ top: 0 });
      if (at.page !== page?.id) {
        turnTo(at.page);
      }
    },
    [page?.id, turnTo, spread.data],
  );
  const scopes = useMemo(() => {
    const chosen = publication.pages.filter(
      (each) => selection === "all" || selection.has(each.id),
    );
    return page ? scopesOf(publication, page, chosen.length > 0 ? chosen : [page]) : [];
  }, [publication, page, selection]);
  const scope = scopes.find((each) => each.id === wanted) ?? scopes[0];
  const choose = useCallback(
    (keys: Selection) => {
      const latest = [...(keys === "all" ? [] : keys)].at(-1);
      const to = publication.pages.find((each) => each.id === latest);
      if (to) {
        setNumber(to.number);
        setAddress({ page: String(to.number) }, { replace: true });
      }
      setSelection(keys);
      setWanted(PAGES);
      setItem(-1);
      setAhead(still);
    },
    [publication.pages, setAddress],
  );
  const { drop } = files;
  const onCatalogueFiles = useCallback((dropped: File[]) => drop(dropped, undefined), [drop]);
  const shared = useMemo(
    () => ({
      scope: scope ?? noScope,
      scopes,
      changeScope: (id: string) => {
        setWanted(id);
        setEditing(undefined);
      },
      editing,
      edits: setEditing,
      writing,
      write: setWriting,
      turnTo,
      caret,
      markCaret: setCaret,
      frame,
      chooseFrame: setFrame,
      joining,
      beginJoin: setJoining,
      join: (to: string) => {
        if (joining) {
          make.current({ type: "joinFrames", after: joining.frame, frame: to }, "The text goes on");
        }
        setJoining(undefined);
      },
      look,
      reveal: (panel: Panel) => setPanels((last) => ({ ...last, [panel]: true })),
      giving,
      sampling,
      sample: setSampling,
      canSample: true,
    }),
    [
      look,
      sampling,
      setPanels,
      scope,
      scopes,
      editing,
      writing,
      turnTo,
      caret,
      frame,
      joining,
      giving,
    ],
  );

  const open = page?.number ?? 1;
  useEffect(() => {
    keep(sessionStorage, placeKey, { page: open, zoom, percent, ...(point ? { point } : {}) });
  }, [placeKey, open, zoom, percent, point]);

  if (!page) {
    return null;
  }
  const chosenOrOpen = scopes[0]?.pages ?? [page];
  const ofAnother = !isDrawn && drawn !== page.spread && !spread.isPlaceholderData;
  const toAnother = !spread.data?.pages.some((each) => each.page === page.id);
  const shownFindings = trial.checked
    ? trial.checked.findings
    : all.filter((each) => publication.pages[each.page - 1]?.spread === page.spread);

  const toSpread = (index: number) => {
    const first = publication.spreads[index]?.[0];
    if (first) {
      turnTo(first);
    }
  };
  const toSelection = () => {
    const around = focus?.where;
    const desk = 600;
    const wanted = around
      ? Math.min(3200, (100 * desk) / Math.max(around.width, around.height) / (96 / 25.4))
      : 800;
    setZoom({ kind: "percent", percent: Math.round(wanted) });
  };
  const step = (direction: 1 | -1) =>
    setAhead((last) => ({ ...last, items: last.items + direction }));
  const moved = (dx: number, dy: number) =>
    setAhead((last) => ({ ...last, x: last.x + dx, y: last.y + dy }));
  const stops = items.data;
  const placed = spread.data?.pages.find((each) => each.page === page.id);
  if (ahead.items !== 0 && stops) {
    setAhead({ ...ahead, items: 0 });
    const from = item < 0 && ahead.items < 0 ? 0 : item;
    const to = (((from + ahead.items) % stops.length) + stops.length) % stops.length;
    const stop = stops[to];
    if (stop) {
      setItem(to);
      setPoint({ page: page.id, x: stop.x, y: stop.y });
      setFocus({ page: page.id, where: stop.where, label: stop.label });
    }
  } else if ((ahead.x !== 0 || ahead.y !== 0) && placed) {
    setAhead({ ...ahead, x: 0, y: 0 });
    const from =
      point?.page === page.id
        ? point
        : { x: Math.round(placed.trim.width / 2), y: Math.round(placed.trim.height / 2) };
    const { visible } = placed;
    setFocus(undefined);
    setPoint({
      page: page.id,
      x: tidy(Math.min(visible.x + visible.width - 0.1, Math.max(visible.x, from.x + ahead.x))),
      y: tidy(Math.min(visible.y + visible.height - 0.1, Math.max(visible.y, from.y + ahead.y))),
    });
  }
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    const far = event.shiftKey ? 10 : 1;
    const byPoint = walk === "point";
    const keys: Record<string, () => void> = {
      ArrowRight: () => (byPoint ? moved(far, 0) : step(1)),
      ArrowDown: () => (byPoint ? moved(0, far) : step(1)),
      ArrowLeft: () => (byPoint ? moved(-far, 0) : step(-1)),
      ArrowUp: () => (byPoint ? moved(0, -far) : step(-1)),
      PageDown: () => toSpread(page.spread + 1),
      PageUp: () => toSpread(page.spread - 1),
      p: () => setWalk(byPoint ? "items" : "point"),
      "+": () => setZoom({ kind: "percent", percent: nextPercent(percent, 1) }),
      "-": () => setZoom({ kind: "percent", percent: nextPercent(percent, -1) }),
      w: () => setZoom({ kind: "page" }),
      s: () => setZoom({ kind: "spread" }),
      a: () => setZoom({ kind: "percent", percent: 100 }),
      e: () => point && toSelection(),
      c: () => setPanels((last) => toggled(last, "catalogue")),
      d: () => setPanels((last) => toggled(last, "strata")),
      t: () => setPanels((last) => toggled(last, "pages")),
      f: () => setPanels(toggledAll),
      b: () => setBefore(!before),
      ...(giving.picked && {
        Enter: () => point && giving.giveAt(point),
        Escape: () => giving.setPicked(undefined),
      }),
    };
    const act = keys[event.key];
    if (act) {
      event.preventDefault();
      act();
    }
  };

  const edge = (panel: Panel, label: string, axis: "width" | "height", grows: 1 | -1) => (
    <Divider
      className={`${panel}Edge`}
      label={label}
      axis={axis}
      grows={grows}
      size={sizes[panel]}
      least={leastSizes[panel]}
      most={mostSizes[panel]}
      onSize={(change) => setSizes((last) => ({ ...last, [panel]: change(last[panel]) }))}
    />
  );

  return (
    <TryingProvider value={trial.trying}>
      <BenchProvider value={shared}>
        <Layout
          $left={panels.catalogue ? sizes.catalogue : 0}
          $right={panels.strata ? sizes.strata : 0}
        >
          <VisuallyHidden as="h1">{publication.name}, bench</VisuallyHidden>
          <Catalogue
            publication={publication}
            page={page}
            chosen={chosenOrOpen}
            hidden={!panels.catalogue}
            isImporting={files.isPending}
            onFiles={onCatalogueFiles}
          />
          {panels.catalogue && edge("catalogue", "Width of the catalogue", "width", 1)}
          <Middle ref={middle} {...middleProps} $folded={isFolded(panels)}>
            <ZoomBar
              zoom={zoom}
              percent={percent}
              spread={page.spread}
              spreads={publication.spreads.length}
              label={spreadLabel(publication, page.spread)}
              hasSelection={point !== undefined}
              onZoom={setZoom}
              onSelection={toSelection}
              onSpread={toSpread}
              panels={panels}
              upright={isFolded(panels)}
              dark={dark}
              onDark={onDark}
              onPanel={(panel) => setPanels((last) => toggled(last, panel))}
            />
            {(spread.isError || picture.isError) && (
              <Notice role="alert">
                <Failed>The spread could not be drawn.</Failed>
                {(spread.error ?? picture.error)?.message}
                <Button
                  onPress={() => {
                    void spread.refetch();
                    void picture.refetch();
                  }}
                >
                  Try again
                </Button>
              </Notice>
            )}
            {joining !== undefined && (
              <Notice role="status">
                Choose the frame that the text goes on in, on this spread or on another.
                <Button onPress={() => setJoining(undefined)}>Leave it as it is</Button>
              </Notice>
            )}
            <Beside>
              {spread.data && picture.data ? (
                <SpreadView
                  publication={publication}
                  spread={spread.data}
                  viewing={viewing}
                  picture={
                    ofAnother
                      ? undefined
                      : asItCame
                        ? picture.data
                        : (trial.picture ?? picture.data)
                  }
                  zoom={writing !== undefined && zoom.kind === "spread" ? { kind: "page" } : zoom}
                  page={page.id}
                  point={point}
                  focus={focus}
                  shading={shading}
                  findings={marks && !asItCame ? shownFindings : nothing}
                  language="en"
                  describedBy={keysId}
                  onPoint={(at) => {
                    look(at);
                    if (giving.picked) {
                      giving.giveAt(at);
                    }
                  }}
                  onKey={onKey}
                  drawing={
                    toAnother ||
                    trial.isDrawing ||
                    (!isDrawn && !(trial.isStoring && trial.picture !== undefined))
                  }
                  onPercent={setPercent}
                  onFiles={(dropped, on) =>
                    files.drop(
                      dropped,
                      publication.pages.find((each) => each.id === on),
                    )
                  }
                />
              ) : (
                !spread.isError && <Notice role="status">Drawing the spread…</Notice>
              )}
              {writing !== undefined && (
                <Parts>
                  <StoryPanel publication={publication} story={writing} />
                </Parts>
              )}
            </Beside>
            {!isFolded(panels) && (
              <Legend
                setup={publication.setup}
                marks={marks}
                onMarks={setMarks}
                before={hasFiles ? before : undefined}
                onBefore={setBefore}
                showing={
                  asItCame
                    ? "Pages of files as they came"
                    : trial.checked
                      ? `Trying out: ${counted(trial.checked.pages.length, "page changes", "pages change")}, ${counted(shownFindings.length, "finding", "findings")} here`
                      : checking
                        ? "Checking…"
                        : `${counted(shownFindings.length, "finding", "findings")} on this spread`
                }
              />
            )}
          </Middle>
          {panels.strata && edge("strata", "Width of the strata", "width", -1)}
          <Right ref={right} {...rightProps}>
            <ScopeBar />
            {giving.picked && writing === undefined && (
              <Held>
                <PickedLook
                  publication={publication}
                  picked={giving.picked}
                  how="Click text on the page to give it, or go there by key and press Enter. Carried over:"
                  carried={giving.carried}
                  onCarried={giving.setCarried}
                  onGive={point && (() => giving.giveAt(point))}
                  onPutDown={() => giving.setPicked(undefined)}
                />
              </Held>
            )}
            <BackgroundPanel publication={publication} />
            <StrataPanel publication={publication} point={point} viewing={viewing} />
            <ScopePanel publication={publication} />
            <WalkBar id={keysId} walk={walk} onWalk={setWalk} />
          </Right>
          {panels.pages && edge("pages", "Height of the pages", "height", -1)}
          <Foot ref={foot} {...footProps} $height={sizes.pages}>
            <PageActionsMenu
              publication={publication}
              chosen={chosenOrOpen}
              onChoose={(pages) => choose(new Set(pages))}
            />
            <Concertina
              publication={publication}
              height={sizes.pages - AROUND_LEAVES}
              open={page.id}
              selection={selection}
              findings={perPage}
              viewing={viewing}
              onSelection={choose}
            />
          </Foot>
          {files.dialog}
        </Layout>
        <VisuallyHidden role="status">
          {strata.data && !strata.isPlaceholderData ? announced(strata.data, focus?.label) : ""}
        </VisuallyHidden>
      </BenchProvider>
    </TryingProvider>
  );
}

/** The topmost frame of content at a point; running items are chosen where they are listed. */
function frameAt(spread: Spread | undefined, at: Point): string | undefined {
  const page = spread?.pages.find(({ page }) => page === at.page);
  return [...(page?.frames ?? []), ...(page?.pictures ?? []).filter(isContent)]
    .sort((one, other) => one.place - other.place)
    .findLast((frame) => {
      const where = ("band" in frame && frame.band?.where) || frame.where; // not its words alone
      const { x, y } = seen(at, where, -frame.rotation);
      return (
        x >= where.x && x <= where.x + where.width && y >= where.y && y <= where.y + where.height
      );
    })?.frame;
}

const isPadded = (behind: BehindTextStratum["behind"]) =>
  behind === "SHADING" || behind === "BORDER";

const isContent = ({ level }: { level: string }) => level === "CONTENT";

/** The story that somebody came here to write, if any. */
function asked(state: unknown): string | undefined {
  return typeof state === "object" && state && "write" in state && typeof state.write === "string"
    ? state.write
    : undefined;
}

/** A tenth of a millimetre is finer than a hand points. */
function tidy(value: number): number {
  return Math.round(value * 10) / 10;
}

function pointIn(address: URLSearchParams, page: string | undefined): Point | undefined {
  const x = Number(address.get("x") ?? Number.NaN);
  const y = Number(address.get("y") ?? Number.NaN);
  return page && Number.isFinite(x) && Number.isFinite(y) ? { page, x, y } : undefined;
}

function onPage(point: Point | undefined, page: string | undefined): Point | undefined {
  return point?.page === page ? point : undefined;
}

function spreadLabel(publication: Publication, index: number): string {
  const numbers = (publication.spreads[index] ?? []).map(
    (id) => publication.pages.findIndex((page) => page.id === id) + 1,
  );
  return `${numbers.length === 1 ? "Page" : "Pages"} ${numbers.join(" and ")} of ${publication.pages.length}`;
}

function announced(
  through: { number: number; x: number; y: number; strata: Stratum[] },
  item: string | undefined,
): string {
  const place = item ?? `Page ${through.number}, ${mm(through.x)} by ${mm(through.y)} millimetres`;
  const layers = through.strata.map((stratum) => {
    switch (stratum.type) {
      case "textStratum":
        return `text in ${stratum.swatchName}, contrast ${ratio(stratum.ratio)}, ${stratum.passes ? "passes" : "fails"}`;
      case "fileTextStratum":
        return `text of ${stratum.origin}, contrast ${ratio(stratum.ratio)}, ${stratum.passes ? "passes" : "fails"}`;
      case "frontStratum":
        return `${stratum.kind} ${stratum.name}, ${stratum.origin}`;
      case "fillStratum":
        return `${stratum.swatchName}, ${stratum.origin}`;
      case "stockStratum":
        return "stock";
    }
  });
  return `${place}. From the top: ${layers.join("; ")}`;
}
