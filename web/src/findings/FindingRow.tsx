import { Link } from "react-router";
import styled from "styled-components";
import { useOffers } from "../api/queries";
import type { Extent, Finding, Publication } from "../api/types";
import { MendList, NoMend } from "../strata/MendList";
import { MakeRoom } from "../story/MakeRoom";
import { StockAnswers } from "./StockAnswers";
import { Except } from "./Except";
import { titles } from "./titles";
import { theme } from "../theme";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { ratio } from "../ui/words";

const Row = styled.div`
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 250px;
  gap: ${theme.space.one} ${theme.space.two};
  padding: ${theme.space.two};
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

/** Where what it is about comes from. */
function origin(finding: Finding) {
  if (finding.owner.type === "onParent") {
    return `Comes from ${finding.origin}`;
  }
  return finding.file ? `Written in ${finding.origin}` : "On this page only";
}

const Whole = styled.div`
  grid-column: 1 / -1;
`;

/** What is wrong, in a few words. */
export function Wrong({ finding }: { finding: Finding }) {
  if (finding.severity === "DOUBTFUL") {
    return <>△ {titles[finding.kind]}</>;
  }
  if (finding.ratio === undefined) {
    return <Failed>✕ {titles[finding.kind]}</Failed>;
  }
  return (
    <>
      <Failed>✕ {ratio(finding.ratio)}</Failed> of {finding.required} : 1
    </>
  );
}

/** A finding with its picture, its reason, and what can be done about it. */
export function FindingRow({
  publication,
  finding,
}: {
  publication: Publication;
  finding: Finding;
}) {
  const offers = useOffers(publication, finding.pageId);
  const offered = offers.data?.[finding.key]?.map(({ label }) => label) ?? [];
  const isText = finding.kind === "contrast" && finding.run !== undefined;
  return (
    <Row>
      <Sample
        loading="lazy"
        alt={`The place on page ${finding.page}`}
        src={`/api/publications/${publication.id}/pages/${finding.pageId}/region?${region(finding)}&r=${publication.revision}`}
      />
      <div>
        <h3>
          <Wrong finding={finding} />
        </h3>
        <Words lang="en">{finding.text}</Words>
        <p className="why">{finding.message}</p>
        {finding.exemption?.ended && (
          <p className="why">
            <Failed>The exception ended.</Failed> {finding.exemption.ended}
          </p>
        )}
        <Quiet as="p">Rule: {finding.rule}</Quiet>
        <Quiet>{origin(finding)}</Quiet>
      </div>
      <Act>
        <Link to={onBench(publication, finding)}>Show on the Bench</Link>
        {finding.kind === "stock-not-printed" && <StockAnswers publication={publication} />}
        {finding.story && finding.owner.type === "onPage" && (
          <MakeRoom publication={publication} story={finding.story} />
        )}
        {finding.kind === "contrast" && finding.run && (
          <Except publication={publication} finding={finding} />
        )}
      </Act>
      {(isText || offered.length > 0) && (
        <Whole>
          <Fold
            head={
              <Name>
                Mend it…{" "}
                {!isText && (
                  <Quiet>{offered.length === 1 ? offered[0] : `${offered.length} ways`}</Quiet>
                )}
              </Name>
            }
          >
            <MendList
              publication={publication}
              of={{ page: finding.pageId, finding: finding.key, run: finding.run }}
              nothing={
                isText ? (
                  <NoMend inFile={finding.file !== undefined} />
                ) : (
                  "There is nothing to do here any more, or something of it is locked."
                )
              }
              place={{ page: finding.pageId, part: part(finding) }}
            />
          </Fold>
        </Whole>
      )}
    </Row>
  );
}

/** Where a finding is, on the Bench. */
export function onBench(publication: Publication, finding: Finding): string {
  const { where } = finding.worst ?? finding;
  const x = (where.x + Math.min(3, where.width / 2)).toFixed(1);
  const y = (where.y + 1.2).toFixed(1);
  return `/publications/${publication.id}?page=${finding.page}&x=${x}&y=${y}`;
}

/** In millimetres: how wide what is shown of a page beside a finding is, and how wide its worst. */
const WIDTH = 75;
const CLOSE = 44;

/** The word where it is worst, or the beginning of what it is about, in the shape of the sample. */
function part(finding: Finding): Extent {
  const { where } = finding;
  const worst = finding.worst?.where;
  const width = worst ? Math.max(CLOSE, worst.width + 6) : WIDTH;
  const height = (width * 88) / 220;
  const x = worst ? Math.max(-3, worst.x + worst.width / 2 - width / 2) : where.x - 3;
  const y = worst ? worst.y + worst.height / 2 - height / 2 : where.y - 3;
  return { x, y, width, height };
}

/** That in the address of its picture, with marks where the text fails. */
function region(finding: Finding): string {
  const { x, y, width, height } = part(finding);
  const marked = finding.worst && finding.run ? `&failing=${finding.run}` : "";
  return `x=${x.toFixed(2)}&y=${y.toFixed(2)}&width=${width.toFixed(2)}&height=${height.toFixed(2)}${marked}`;
}
