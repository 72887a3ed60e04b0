import { Link } from "react-router";
import styled from "styled-components";
import { usePairMends } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Extent, PairCell, PairMatrix, Publication } from "../api/types";
import { After, doneWords, ElseFails, type Place } from "../strata/MendList";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { numbersInWords, ratio } from "../ui/words";

type Side = PairMatrix["texts"][number];

/** In CSS pixels; at 96 to the inch the words are seen at their real size. */
const WIDTH = 158;
const HEIGHT = 44;

const Sample = styled.img`
  display: block;
  width: ${WIDTH}px;
  height: ${HEIGHT}px;
  box-sizing: content-box;
  object-fit: cover;
  margin-top: ${theme.space.half};
  border: 1px solid ${theme.color.edge};
`;

const Pages = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 0 ${theme.space.one};
  & a {
    display: inline-flex;
    align-items: center;
    min-width: ${theme.hit};
    min-height: ${theme.hit};
  }
`;

/** One pair: its ratio, the words set in it at their real size, where it occurs, and its mends. */
export function Cell({
  publication,
  cell,
  text,
  backdrop,
}: {
  publication: Publication;
  cell: PairCell;
  text: Side | undefined;
  backdrop: Side | undefined;
}) {
  const used = cell.pages.length > 0;
  const { sample } = cell;
  return (
    <>
      {cell.passes ? (
        <span>✓ {ratio(cell.ratio)}</span>
      ) : cell.excepted ? (
        <span>
          △ {ratio(cell.ratio)} <Quiet>excepted</Quiet>
        </span>
      ) : used ? (
        <Failed>✕ {ratio(cell.ratio)}</Failed>
      ) : (
        <span>✕ {ratio(cell.ratio)}</span>
      )}{" "}
      <Quiet>of {cell.required}</Quiet>
      {sample && (
        <Sample
          loading="lazy"
          alt={`“${sample.words.slice(0, 40)}”`}
          src={`/api/publications/${publication.id}/pages/${sample.page}/region?${region(sample.where)}&r=${publication.revision}`}
        />
      )}
      {used ? (
        <Pages aria-label="Pages">
          {cell.pages.map((page) => (
            <Link
              key={page}
              to={`/publications/${publication.id}?page=${page}`}
              aria-label={`Page ${page}`}
            >
              p. {page}
            </Link>
          ))}
        </Pages>
      ) : (
        <Quiet as="p">does not occur</Quiet>
      )}
      {!cell.passes && text?.swatch && !backdrop?.mixed && (
        <Fold head={<Name>Mend it…</Name>}>
          <Mends
            publication={publication}
            text={text}
            backdrop={backdrop}
            required={cell.required}
            place={sample && { page: sample.page, part: part(sample.where) }}
          />
        </Fold>
      )}
    </>
  );
}

function part(where: { x: number; y: number }): Extent {
  const millimetre = 25.4 / 96;
  return {
    x: where.x - 2,
    y: where.y - 2,
    width: WIDTH * millimetre,
    height: HEIGHT * millimetre,
  };
}

function region(where: { x: number; y: number }): string {
  return Object.entries(part(where))
    .map(([name, value]) => `${name}=${value.toFixed(2)}`)
    .join("&");
}

const Offer = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${theme.space.half} ${theme.space.one};
  align-items: start;
  margin-bottom: ${theme.space.one};
  & > .wide {
    grid-column: 1 / -1;
  }
  & > button {
    grid-column: 1 / -1;
    white-space: normal;
  }
`;

function Mends({
  publication,
  text,
  backdrop,
  required,
  place,
}: {
  publication: Publication;
  text: Side;
  backdrop: Side | undefined;
  required: number;
  /** Where it occurs, if it does. */
  place: Place | undefined;
}) {
  const mends = usePairMends(publication, {
    text: text.swatch ?? "",
    textTint: text.tint,
    required,
    ...(backdrop?.swatch ? { backdrop: backdrop.swatch, backdropTint: backdrop.tint } : {}),
  });
  const steps = useSteps(publication);
  if (mends.isPending) {
    return <Quiet role="status">Looking for the nearest passing colours…</Quiet>;
  }
  if (mends.isError) {
    return <p role="alert">{mends.error.message}</p>;
  }
  if (mends.data.length === 0) {
    return <p>Neither swatch can be changed to pass with its hue kept; choose another.</p>;
  }
  return (
    <>
      {mends.data.map(({ side, mend, changes }) => (
        <Offer key={`${side} ${mend.name} ${mend.values}`}>
          {place && <After publication={publication} place={place} mend={mend} />}
          {mend.seen && <Chip $color={mend.seen.screen} $size={24} />}
          <div>
            {mend.values}
            {mend.seen && (
              <>
                , <strong>{ratio(mend.seen.ratio)}</strong>
              </>
            )}
            <ElseFails mend={mend} />
          </div>
          <Button onPress={() => steps.make(mend.edit, doneWords(mend))}>
            {mend.pages.length > 0
              ? `Change “${mend.name}”: ${numbersInWords(mend.pages)}`
              : `Change “${mend.name}”`}
          </Button>
          <Quiet style={{ gridColumn: "1 / -1" }}>
            {changes.length > 0 ? `Also changes ${changes.join(", ")}` : "Changes nothing else"}
          </Quiet>
        </Offer>
      ))}
    </>
  );
}
