import styled from "styled-components";
import { theme } from "../theme";
import { useDiffers } from "./differing";

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
  partly,
  way,
  isDisabled,
  onChange,
}: {
  label: string;
  checked: boolean;
  /** Where it is for several, whether it is so for some of them. */
  partly?: boolean;
  way?: string;
  isDisabled?: boolean;
  onChange: (checked: boolean) => unknown;
}) {
  const { differs, settle } = useDiffers(way);
  const between = (partly ?? false) || differs;
  return (
    <Line>
      <input
        type="checkbox"
        ref={(input) => {
          if (input) {
            input.indeterminate = between;
          }
        }}
        checked={checked && !between}
        disabled={isDisabled ?? false}
        onChange={(event) => {
          settle();
          onChange(event.target.checked);
        }}
      />
      {label}
    </Line>
  );
}
