import type { ReactNode } from "react";
import styled from "styled-components";
import { type Mended, useMends, usePart } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Extent, Mend, Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { numbersInWords, ratio } from "../ui/words";
import { useTrying } from "../api/trying";

const List = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  &.cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
    gap: ${theme.space.two};
    padding: ${theme.space.one} 0;
  }
  &.cards > li {
    align-content: start;
  }
`;

const Offer = styled.li`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px ${theme.space.one};
  align-items: center;
  & .wide {
    grid-column: 1 / -1;
  }
  & .wide > button {
    width: 100%;
    white-space: normal;
    justify-content: flex-start;
    text-align: left;
  }
`;

const Part = styled.img`
  display: block;
  width: 100%;
  object-fit: cover;
  background: ${theme.color.ground};
  border: 1px solid ${theme.color.edge};
`;

/** A part of a page. */
export interface Place {
  page: string;
  part: Extent;
}

/** What a mend makes of it. */
export function After({
  publication,
  place,
  mend,
}: {
  publication: Publication;
  place: Place;
  mend: Mend;
}) {
  const picture = usePart(publication, place.page, mend.edit, place.part);
  if (picture.isError) {
    return (
      <Quiet className="wide" role="alert">
        {picture.error.message}
      </Quiet>
    );
  }
  const style = { aspectRatio: `${place.part.width} / ${place.part.height}` };
  return picture.data ? (
    <Part
      className="wide"
      alt="The place after it"
      style={style}
      src={`data:image/svg+xml,${encodeURIComponent(picture.data)}`}
    />
  ) : (
    <Part as="div" className="wide" style={style} role="status">
      <Quiet>Drawing…</Quiet>
    </Part>
  );
}

/** How a text begins. */
const begun = (text: string) => (text.length > 40 ? `“${text.slice(0, 39).trim()}…”` : `“${text}”`);

/** What else would come of a mend, before it is done. */
export function ElseFails({ mend }: { mend: Mend }) {
  return (
    <>
      {mend.stays && (
        <p>
          <Failed>✕ Not all of it:</Failed> {mend.stays}
        </p>
      )}
      {mend.worse.length > 0 && (
        <p>
          <Failed>✕ Other text would fail:</Failed> {mend.worse.slice(0, 3).map(begun).join(", ")}
          {mend.worse.length > 3 && ` and ${mend.worse.length - 3} more`}
        </p>
      )}
      {mend.comes.map((each) => (
        <p key={each}>
          <Failed>✕ Found then:</Failed> {each}
        </p>
      ))}
      {mend.overset && (
        <p>
          <Failed>✕ Some text would not fit its frame.</Failed>
        </p>
      )}
      {!mend.tried && (
        <p>It would take too long to see here whether other text would fail; Findings will tell.</p>
      )}
    </>
  );
}

function labelOf(mend: Mend): string {
  const pages = mend.pages.length > 0 ? `: ${numbersInWords(mend.pages)}` : "";
  switch (mend.scope) {
    case "RUN":
      return "Give it to this text only";
    case "LOOK":
      return `Give it to the look${pages}`;
    case "BAND":
      return `Move the edge of the band${pages}`;
    case "FINDING":
      return `${mend.name}${pages}`;
    default:
      return `Do it${pages}`;
  }
}

/** What is said when it is done. */
export const doneWords = ({ seen, name }: Mend) => `Mended: ${seen ? ratio(seen.ratio) : name}`;

/** Whether it gives the text or a band another colour, which is named. */
function isColor(mend: Mend): boolean {
  return ["RUN", "LOOK", "BAND"].includes(mend.scope);
}

/** What there is to do where no mend of text is found. */
export function NoMend({ inFile }: { inFile: boolean }) {
  return (
    <>
      Nothing was found that makes this text legible everywhere it stands: no colour, background,
      veil, shading, outline or size.{" "}
      {inFile
        ? "Change it in the program that made the file, or change what is behind it."
        : "Move it, or change what is behind it."}
    </>
  );
}

/** Mends, each with what it leads to, and tried out before it is done. */
export function MendList({
  publication,
  of,
  nothing,
  place,
}: {
  publication: Publication;
  of: Mended;
  /** What there is to do where nothing is found. */
  nothing: ReactNode;
  /** Shown as it is and as each would make it, where the page itself does not show that. */
  place?: Place;
}) {
  const mends = useMends(publication, of);
  const steps = useSteps(publication);
  const { tryOut } = useTrying();

  if (mends.isPending) {
    return <Quiet role="status">Looking for what would mend it…</Quiet>;
  }
  if (mends.isError) {
    return <p role="alert">{mends.error.message}</p>;
  }
  if (mends.data.length === 0) {
    return <p>{nothing}</p>;
  }
  return (
    <List aria-label="Mends" className={place ? "cards" : ""}>
      {place && (
        <li>
          <Part
            alt="The place as it is now"
            style={{ aspectRatio: `${place.part.width} / ${place.part.height}` }}
            src={`/api/publications/${publication.id}/pages/${place.page}/region?${new URLSearchParams(
              Object.entries(place.part).map(([name, value]) => [name, value.toFixed(2)]),
            )}&r=${publication.revision}`}
          />
          <Quiet>Now</Quiet>
        </li>
      )}
      {mends.data.map((mend) => (
        <Offer key={`${mend.scope} ${mend.name} ${mend.values}`}>
          {place && <After publication={publication} place={place} mend={mend} />}
          {mend.seen && <Chip $color={mend.seen.screen} $size={26} />}
          <div className={mend.seen ? "" : "wide"}>
            {mend.seen && (
              <>
                {mend.scope !== "FINDING" && `${isColor(mend) ? `“${mend.name}”` : mend.name}, `}
                <strong>{ratio(mend.seen.ratio)}</strong>
                <br />
              </>
            )}
            {mend.values && <Quiet>{mend.values}</Quiet>}
            <ElseFails mend={mend} />
          </div>
          <div className="wide">
            <Button
              onHoverStart={() => tryOut(mend.edit)}
              onHoverEnd={() => tryOut(undefined)}
              onFocus={() => tryOut(mend.edit)}
              onBlur={() => tryOut(undefined)}
              onPress={() => steps.makeSeen(mend.edit, doneWords(mend))}
            >
              {labelOf(mend)}
            </Button>
          </div>
        </Offer>
      ))}
    </List>
  );
}
