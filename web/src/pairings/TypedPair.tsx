import { useState } from "react";
import styled from "styled-components";
import { useTypedPair } from "../api/queries";
import type { Publication, Viewing } from "../api/types";
import { theme } from "../theme";
import { viewings } from "../publication/viewings";
import { Chip } from "../ui/Chip";
import { DraftField } from "../ui/Field";
import { Failed } from "../ui/Notice";
import { ratio } from "../ui/words";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.one};
`;

const Picked = styled.div`
  display: flex;
  align-items: end;
  gap: 2px;
  width: 220px;
  & > :first-child {
    flex: 1;
  }
  & > input {
    flex: none;
    width: ${theme.hit};
    height: ${theme.hit};
    padding: 2px;
    background: ${theme.color.paper};
    border: 1px solid ${theme.color.edge};
    border-radius: 3px;
    cursor: pointer;
  }
`;

const Answer = styled.p`
  display: flex;
  align-items: center;
  gap: ${theme.space.half};
  min-height: ${theme.hit};
`;

const All = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.one} ${theme.space.four};
  padding-top: ${theme.space.one};
  & li {
    display: flex;
    align-items: center;
    gap: ${theme.space.half};
  }
`;

/** The browser's own way to choose a colour, which can also be taken from the screen. */
function Picker({
  label,
  of,
  onPick,
}: {
  label: string;
  of: string;
  onPick: (hex: string) => void;
}) {
  return (
    <input
      type="color"
      aria-label={label}
      title={label}
      value={/^#[0-9a-f]{6}$/i.test(of) ? of : "#808080"}
      onChange={(event) => onPick(event.target.value)}
    />
  );
}

/** Any two colours, tried on the spot: under all criteria and viewings at once. */
export function TypedPair({
  publication,
  viewing,
  sampled,
}: {
  publication: Publication;
  viewing: Viewing;
  /** What was taken from a page; empty where it was not. */
  sampled: { text: string; backdrop: string };
}) {
  const [text, setText] = useState(sampled.text);
  const [backdrop, setBackdrop] = useState(sampled.backdrop);
  const pair = useTypedPair(publication, text, backdrop, viewing);
  const labels = new Map(viewings(publication).map(({ id, label }) => [id, label]));
  return (
    <div>
      <Line role="group" aria-label="Try a pair">
        <Picked>
          <DraftField label="Try a text colour" value={text} onChange={setText} />
          <Picker label="Pick the text colour" of={text} onPick={setText} />
        </Picked>
        <Picked>
          <DraftField label="on a background" value={backdrop} onChange={setBackdrop} />
          <Picker label="Pick the background" of={backdrop} onPick={setBackdrop} />
        </Picked>
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
      {pair.data && (
        <All>
          <ul aria-label="Criteria">
            {pair.data.criteria.map((each) => (
              <li key={each.name}>
                {each.passes ? "✓" : each.fromSize ? "△" : <Failed>✕</Failed>} {each.name}:{" "}
                {each.passes ? "passes" : each.fromSize ? `passes ${each.fromSize}` : "fails"}
              </li>
            ))}
          </ul>
          <ul aria-label="Viewings">
            {pair.data.viewings.map((each) => (
              <li key={each.viewing}>
                <Chip $color={each.text} $size={14} />
                <Chip $color={each.backdrop} $size={14} />
                <strong>{ratio(each.ratio)}</strong> {labels.get(each.viewing) ?? each.viewing}
              </li>
            ))}
          </ul>
        </All>
      )}
    </div>
  );
}
