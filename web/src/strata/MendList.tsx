import styled from "styled-components";
import { useMends, useSteps } from "../api/queries";
import type { Mend, Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Quiet } from "../ui/Fold";
import { numbersInWords, ratio } from "../ui/words";
import { useBench } from "../bench/BenchState";

const List = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
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

function labelOf(mend: Mend): string {
  switch (mend.scope) {
    case "RUN":
      return "Give it to this text only";
    case "LOOK":
      return `Give it to the look: ${numbersInWords(mend.pages)}`;
    default:
      return `Move the edge of the band: ${numbersInWords(mend.pages)}`;
  }
}

/** The mends of a run: each with its new colour and ratio, tried out before it is done. */
export function MendList({ publication, run }: { publication: Publication; run: string }) {
  const mends = useMends(publication, run);
  const steps = useSteps(publication);
  const bench = useBench();

  if (mends.isPending) {
    return <Quiet role="status">Looking for what would mend it…</Quiet>;
  }
  if (mends.isError) {
    return <p role="alert">{mends.error.message}</p>;
  }
  if (mends.data.length === 0) {
    return (
      <p>
        No swatch of this publication and no colour of this hue passes on everything behind the
        text, and no band that it stands on could end elsewhere. Change what is behind it.
      </p>
    );
  }
  return (
    <List aria-label="Mends">
      {mends.data.map((mend) => (
        <Offer key={`${mend.scope} ${mend.name} ${mend.values}`}>
          <Chip $color={mend.screen} $size={26} />
          <div>
            “{mend.name}”, <strong>{ratio(mend.ratio)}</strong>
            <br />
            <Quiet>{mend.values}</Quiet>
          </div>
          <div className="wide">
            <Button
              onHoverStart={() => bench.tryOut(mend.edit)}
              onHoverEnd={() => bench.tryOut(undefined)}
              onFocus={() => bench.tryOut(mend.edit)}
              onBlur={() => bench.tryOut(undefined)}
              onPress={() => {
                bench.tryOut(undefined);
                steps.make(mend.edit, `Mended: ${ratio(mend.ratio)}`);
              }}
            >
              {labelOf(mend)}
            </Button>
          </div>
        </Offer>
      ))}
    </List>
  );
}
