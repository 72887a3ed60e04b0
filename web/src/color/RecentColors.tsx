import * as Aria from "react-aria-components";
import styled from "styled-components";
import type { Definition, Publication } from "../api/types";
import { theme } from "../theme";
import { Quiet } from "../ui/Fold";
import { useRecent } from "./recent";

const Chips = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
`;

const Pick = styled(Aria.Button)<{ $color: string }>`
  width: ${theme.hit};
  height: ${theme.hit};
  padding: 0;
  border: 1px solid ${theme.color.edge};
  cursor: pointer;
  forced-color-adjust: none;
`;

/** Colours that were worked on last, to be taken again. */
export function RecentColors({
  publication,
  naming,
  onTake,
}: {
  publication: Publication;
  naming: string;
  onTake: (definition: Definition) => void;
}) {
  const recent = useRecent(publication.id);
  if (recent.length === 0) {
    return null;
  }
  return (
    <div role="group" aria-label={`Recent colours for ${naming}`}>
      <Quiet>Recent colours</Quiet>
      <Chips>
        {recent.map((each) => (
          <Pick
            key={each.values}
            $color={each.screen}
            style={{ background: each.screen }}
            aria-label={each.values}
            onPress={() => onTake(each.definition)}
          />
        ))}
      </Chips>
    </div>
  );
}
