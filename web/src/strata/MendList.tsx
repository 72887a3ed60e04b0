import styled from "styled-components";
import { useMends, useSteps } from "../api/queries";
import type { Publication } from "../api/types";
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

/** The mends of a run: each with its new colour and ratio, tried out before it is done. */
export function MendList({ publication, run }: { publication: Publication; run: string }) {
  const mends = useMends(publication, run);
  const steps = useSteps(publication);
  const bench = useBench();

  if (mends.isPending) {
    return <Quiet role="status">Looking for the nearest passing colour…</Quiet>;
  }
  if (mends.isError) {
    return <p role="alert">{mends.error.message}</p>;
  }
  if (mends.data.length === 0) {
    return (
      <p>
        No swatch of this publication and no colour of this hue passes on everything behind the
        text. Change what is behind it, or add a swatch that does.
      </p>
    );
  }
  return (
    <List aria-label="Mends">
      {mends.data.map((mend) => (
        <Offer key={`${mend.scope} ${mend.name}`}>
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
              {mend.scope === "RUN"
                ? "Give it to this text only"
                : `Give it to the look: ${numbersInWords(mend.pages)}`}
            </Button>
          </div>
        </Offer>
      ))}
    </List>
  );
}
