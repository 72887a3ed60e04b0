import { useVirtualizer } from "@tanstack/react-virtual";
import { useLayoutEffect, useMemo, useRef, useState, type RefObject } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { useFindings, useSteps } from "../api/queries";
import { checkedInWords } from "./counted";
import type { Finding, Publication } from "../api/types";
import { MendList } from "../strata/MendList";
import { MakeRoom } from "../story/MakeRoom";
import { StockAnswers } from "./StockAnswers";
import { useOpened } from "../publication/PublicationScreen";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Failed, Notice } from "../ui/Notice";
import { Head, Inner, Main } from "../ui/Sheet";
import { counted, ratio } from "../ui/words";

const PageGroup = styled.section`
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  & > h2 {
    padding: ${theme.space.one} ${theme.space.two};
    border-bottom: 1px solid ${theme.color.rule};
  }
`;

const Pages = styled.div`
  position: relative;
  flex: none;
`;

const Place = styled.div`
  position: absolute;
  top: 0;
  left: 0;
  width: 100%;
  padding-bottom: ${theme.space.two};
`;

const Row = styled.li`
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 250px;
  gap: ${theme.space.one} ${theme.space.two};
  padding: ${theme.space.two};
  border-top: 1px solid ${theme.color.rule};
  &:first-child {
    border-top: 0;
  }
  & .why {
    margin: ${theme.space.half} 0;
  }
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Sample = styled.img`
  width: 100%;
  max-width: 220px;
  aspect-ratio: 220 / 88;
  object-fit: cover;
  border: 1px solid ${theme.color.edge};
  background: ${theme.color.desk};
`;

const Words = styled.q`
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
`;

const Act = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
  & > button {
    white-space: normal;
    text-align: left;
  }
  & a {
    display: inline-flex;
    align-items: center;
    min-height: ${theme.hit};
  }
`;

const titles: Record<string, string> = {
  contrast: "Too little contrast",
  "text-overflow": "Text does not fit its frame",
  "missing-characters": "Characters missing from every font",
  "other-font": "Characters set in another font",
  "dead-link": "Link to what is gone",
  "runs-into-text": "Shading that runs into other text",
  "runs-into-picture": "Shading that runs into a picture",
  "text-hidden": "Text hidden by a picture",
  "text-on-clear-part": "Text over a part to keep clear",
  "no-alternative-text": "Picture without an alternative text",
  "loose-line": "Loose justified line",
  "stock-not-printed": "Only simulated",
  "too-much-ink": "Too much ink",
  "small-type-inks": "Small type in several inks",
  "small-type-reversed": "Small type reversed out of several inks",
  "plain-black-area": "Large area of plain black",
  "light-overprint": "Light text set to overprint",
  "picture-too-coarse": "Too few pixels",
  "picture-boxed": "Picture has a visible box",
  "pdf-not-for-press": "Not fit for the press",
  "spot-cannot-blend": "Spot ink cannot be blended",
  "ends-at-trim": "Ends at the trim",
  "text-near-trim": "Text near the trim",
  "background-not-printed": "Background not printed",
  "background-not-shown": "Background not shown",
  "picture-unreadable": "Picture cannot be drawn",
};

/** All findings, page by page, each with its reason and its mends. */
export function Findings() {
  const { publication } = useOpened();
  const findings = useFindings(publication);
  const [kind, setKind] = useState("all");
  const main = useRef<HTMLElement>(null);

  if (findings.isPending) {
    return (
      <Main>
        <Notice role="status">Holding every word against what is behind it…</Notice>
      </Main>
    );
  }
  if (findings.isError) {
    return (
      <Main>
        <Notice role="alert">
          <Failed>The pages could not be checked.</Failed>
          {findings.error.message}
          <Button onPress={() => void findings.refetch()}>Try again</Button>
        </Notice>
      </Main>
    );
  }
  const all = findings.data.findings;
  const shown = all.filter((finding) => kind === "all" || finding.kind === kind);
  const kinds = [...new Set(all.map((finding) => finding.kind))];

  return (
    <Main ref={main}>
      <Inner>
        <Head>
          <h1>Findings</h1>
          {kinds.length > 1 && (
            <Choice
              label="Show"
              value={kind}
              options={[
                { id: "all", label: `All ${all.length}` },
                ...kinds.map((id) => ({ id, label: titles[id] ?? id })),
              ]}
              onChange={setKind}
            />
          )}
        </Head>
        {findings.data.checked < findings.data.pages && (
          <p role="status">{checkedInWords(findings.data)}</p>
        )}
        <p>
          {all.length === 0 && findings.data.checked < findings.data.pages
            ? "Nothing found by now."
            : all.length === 0
              ? `Nothing found. Every run of text was held against what is really behind it, at WCAG 2.2 ${findings.data.level}.`
              : `${counted(all.length, "finding", "findings")} on ${counted(new Set(all.map((each) => each.page)).size, "page", "pages")}. Text is held to WCAG 2.2 ${findings.data.level}, seen as designed: where there is no fill, the stock counts as white.`}
        </p>
        <ByPage publication={publication} findings={shown} scroller={main} />
      </Inner>
    </Main>
  );
}

/** About so high is a finding, and what stands around those of a page, in pixels. */
const FINDING = 170;
const AROUND = 60;

/** So many pages beyond what is seen are there already. */
const AHEAD = 6;

/** Pages in their order, each with what was found on it. */
function byPage(findings: Finding[]): [number, Finding[]][] {
  const pages = new Map<number, Finding[]>();
  for (const finding of findings) {
    const found = pages.get(finding.page);
    if (found) {
      found.push(finding);
    } else {
      pages.set(finding.page, [finding]);
    }
  }
  return [...pages];
}

/** Only the pages that are near to what is seen are drawn. */
function ByPage({
  publication,
  findings,
  scroller,
}: {
  publication: Publication;
  findings: Finding[];
  scroller: RefObject<HTMLElement | null>;
}) {
  const pages = useMemo(() => byPage(findings), [findings]);
  const list = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(0);
  useLayoutEffect(() => setAbove(list.current?.offsetTop ?? 0), [findings]);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing of it is memoized here
  const virtual = useVirtualizer({
    count: pages.length,
    getScrollElement: () => scroller.current,
    estimateSize: (index) => AROUND + FINDING * (pages[index]?.[1].length ?? 0),
    getItemKey: (index) => pages[index]?.[0] ?? index,
    scrollMargin: above,
    overscan: AHEAD,
  });
  return (
    <Pages ref={list} style={{ height: virtual.getTotalSize() }}>
      {virtual.getVirtualItems().map(({ key, index, start }) => {
        const [page, found] = pages[index] ?? [0, []];
        return (
          <Place
            key={key}
            data-index={index}
            ref={virtual.measureElement}
            style={{ transform: `translateY(${start - above}px)` }}
          >
            <PageGroup aria-label={`Page ${page}`}>
              <h2>Page {page}</h2>
              <ul>
                {found.map((finding, at) => (
                  <One key={at} publication={publication} finding={finding} />
                ))}
              </ul>
            </PageGroup>
          </Place>
        );
      })}
    </Pages>
  );
}

function One({ publication, finding }: { publication: Publication; finding: Finding }) {
  const steps = useSteps(publication);
  const x = (finding.where.x + Math.min(3, finding.where.width / 2)).toFixed(1);
  const y = (finding.where.y + 1.2).toFixed(1);
  return (
    <Row>
      <Sample
        loading="lazy"
        alt={`The place on page ${finding.page}`}
        src={`/api/publications/${publication.id}/pages/${finding.pageId}/region?${region(finding)}&r=${publication.revision}`}
      />
      <div>
        <h3>
          {finding.severity === "DOUBTFUL" ? (
            <>△ {titles[finding.kind]}</>
          ) : finding.ratio === undefined ? (
            <Failed>✕ {titles[finding.kind]}</Failed>
          ) : (
            <>
              <Failed>✕ {ratio(finding.ratio)}</Failed> of {finding.required} : 1
            </>
          )}
        </h3>
        <Words lang="en">{finding.text}</Words>
        <p className="why">{finding.message}</p>
        <Quiet as="p">Rule: {finding.rule}</Quiet>
        <Quiet>
          {finding.owner.type === "onParent" ? `Comes from ${finding.origin}` : "On this page only"}
        </Quiet>
      </div>
      <Act>
        <Link to={`/publications/${publication.id}?page=${finding.page}&x=${x}&y=${y}`}>
          Show on the Bench
        </Link>
        {finding.kind === "stock-not-printed" && <StockAnswers publication={publication} />}
        {finding.offers.map((offer) => (
          <Button
            key={offer.label}
            onPress={() => steps.make(offer.edit, `Mended: ${offer.label}`)}
          >
            {offer.label}
          </Button>
        ))}
        {finding.story && finding.owner.type === "onPage" && (
          <MakeRoom publication={publication} story={finding.story} />
        )}
        {finding.kind === "contrast" && finding.run && (
          <Fold head={<Name>Mend it…</Name>}>
            <MendList publication={publication} run={finding.run} />
          </Fold>
        )}
      </Act>
    </Row>
  );
}

/** The beginning of what it is about, 75 mm wide, in the shape of the sample. */
function region(finding: Finding): string {
  const width = 75;
  const { x, y } = finding.where;
  return `x=${(x - 3).toFixed(2)}&y=${(y - 3).toFixed(2)}&width=${width}&height=${(width * 88) / 220}`;
}
