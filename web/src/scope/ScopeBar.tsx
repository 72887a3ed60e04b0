import styled from "styled-components";
import { theme } from "../theme";
import { Choice } from "../ui/Choice";
import { useCommands } from "../ui/commands";
import { Quiet } from "../ui/Fold";
import { useBench } from "../bench/BenchState";
import { effectOf } from "./scope";

const Bar = styled.div`
  position: sticky;
  top: 0;
  z-index: 2;
  padding: ${theme.space.half} ${theme.space.one} ${theme.space.one};
  background: ${theme.color.ground};
  border-bottom: 1px solid ${theme.color.rule};
`;

const Line = styled.div`
  display: flex;
  justify-content: space-between;
  gap: ${theme.space.one};
  margin-bottom: 2px;
  white-space: nowrap;
  overflow: hidden;
`;

/** As high as the choice that it stands in for. */
const Instead = styled.strong`
  display: flex;
  align-items: center;
  min-height: ${theme.hit};
  padding: 0 7px;
`;

/** The one line that says what is being changed, in sight as long as something can be. */
export function ScopeBar() {
  const { scope, scopes, changeScope, editing } = useBench();
  useCommands(
    scopes.map(({ id, label }) => ({
      label: `Change ${label}`,
      isDisabled: id === scope.id,
      run: () => changeScope(id),
    })),
  );
  return (
    <Bar role="group" aria-label="What is being changed">
      <Line>
        <Quiet>Changing</Quiet>
        <Quiet role="status">{editing ? "Wherever it is used" : effectOf(scope)}</Quiet>
      </Line>
      {editing ? (
        <Instead>{editing}</Instead>
      ) : (
        <Choice
          label="Changing"
          hiddenLabel
          value={scope.id}
          options={scopes.map(({ id, label }) => ({ id, label }))}
          onChange={changeScope}
        />
      )}
    </Bar>
  );
}
