import { useState } from "react";
import styled from "styled-components";
import { useTypedPair } from "../api/queries";
import type { Publication, Viewing } from "../api/types";
import { theme } from "../theme";
import { Chip } from "../ui/Chip";
import { DraftField } from "../ui/Field";
import { ratio } from "../ui/words";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.one};
  & > :nth-child(-n + 2) {
    width: 190px;
  }
`;

const Answer = styled.p`
  display: flex;
  align-items: center;
  gap: ${theme.space.half};
  min-height: ${theme.hit};
`;

/** Any two colours, tried on the spot. */
export function TypedPair({
  publication,
  viewing,
}: {
  publication: Publication;
  viewing: Viewing;
}) {
  const [text, setText] = useState("");
  const [backdrop, setBackdrop] = useState("");
  const pair = useTypedPair(publication, text, backdrop, viewing);
  return (
    <Line role="group" aria-label="Try a pair">
      <DraftField label="Try a text colour" value={text} onChange={setText} />
      <DraftField label="on a background" value={backdrop} onChange={setBackdrop} />
      <Answer role="status">
        {pair.isError && pair.error.message}
        {pair.data && (
          <>
            <Chip $color={pair.data.text} $size={22} />
            <Chip $color={pair.data.backdrop} $size={22} />
            <strong>{ratio(pair.data.ratio)}</strong>
            {pair.data.verdict}
          </>
        )}
        {!pair.data && !pair.isError && "Write both, such as #1b2a49 and cmyk(4% 8% 20% 0%)."}
      </Answer>
    </Line>
  );
}
