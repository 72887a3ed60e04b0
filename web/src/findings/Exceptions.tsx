import { Link } from "react-router";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import type { Finding, Publication, Schemas } from "../api/types";
import { onBench } from "./FindingRow";
import { whys } from "./Except";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { ratio } from "../ui/words";

const List = styled.ul`
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  & > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${theme.space.one} ${theme.space.two};
    align-items: center;
    padding: ${theme.space.two};
    border-top: 1px solid ${theme.color.rule};
  }
  & > li:first-child {
    border-top: 0;
  }
  & .act {
    display: flex;
    align-items: center;
    gap: ${theme.space.two};
  }
`;

/** All exceptions with their reasons: those that hold, and those that ended by themselves. */
export function Exceptions({
  publication,
  exemptions,
  excepted,
}: {
  publication: Publication;
  exemptions: Schemas["ExemptionView"][];
  excepted: Finding[];
}) {
  const steps = useSteps(publication);
  if (exemptions.length === 0) {
    return (
      <p>
        Nothing is excepted. Text that is part of a logo, pure decoration or inactive can be: choose
        “Except it…” beside its finding.
      </p>
    );
  }
  return (
    <List aria-label="Exceptions">
      {exemptions.map((each) => {
        const finding = excepted.find(({ run }) => run === each.run);
        return (
          <li key={each.id}>
            <div>
              <h2>
                {each.ended && <Failed>✕ Ended: </Failed>}“{each.text}”
              </h2>
              <p>{each.reason}</p>
              <Quiet as="p">
                {whys.find(({ id }) => id === each.why)?.label}; {ratio(each.ratio)} was accepted
              </Quiet>
              {each.ended && <p>{each.ended}</p>}
            </div>
            <div className="act">
              {finding && <Link to={onBench(publication, finding)}>Page {finding.page}</Link>}
              <Button
                onPress={() =>
                  steps.make({ type: "endExemption", exemption: each.id }, "The exception is ended")
                }
              >
                End it
              </Button>
            </div>
          </li>
        );
      })}
    </List>
  );
}
