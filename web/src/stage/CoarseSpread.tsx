import styled from "styled-components";
import type { Publication, Spread, Viewing } from "../api/types";
import { SmallPage } from "../ui/SmallPage";

const Leaf = styled.div`
  position: absolute;
  overflow: hidden;
  background: #ffffff;
  & > img {
    display: block;
  }
`;

/** A spread in its small pictures, which are at hand, until the large one has come. */
export function CoarseSpread({
  publication,
  spread,
  viewing,
  scale,
}: {
  publication: Publication;
  spread: Spread;
  viewing: Viewing;
  /** Pixels for each millimetre. */
  scale: number;
}) {
  return (
    <div>
      {spread.pages.map(({ page, number, x, trim }) => {
        const entry = publication.pages[number - 1];
        const size = { width: trim.width * scale, height: trim.height * scale };
        return (
          <Leaf
            key={page}
            style={{
              left: (x + trim.x - spread.view.x) * scale,
              top: (trim.y - spread.view.y) * scale,
              ...size,
            }}
          >
            {entry?.id === page && (
              <SmallPage publication={publication} page={entry} viewing={viewing} {...size} />
            )}
          </Leaf>
        );
      })}
    </div>
  );
}
