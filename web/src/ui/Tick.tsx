import styled from "styled-components";
import { theme } from "../theme";

const Line = styled.label`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  min-height: ${theme.hit};
  cursor: pointer;
  & input {
    width: 16px;
    height: 16px;
    margin: 0;
    accent-color: ${theme.color.active};
  }
`;

export function Tick({
  label,
  checked,
  onChange,
}: {
  label: string;
  checked: boolean;
  onChange: (checked: boolean) => unknown;
}) {
  return (
    <Line>
      <input
        type="checkbox"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {label}
    </Line>
  );
}
