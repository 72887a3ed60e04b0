import styled from "styled-components";
import { theme } from "../theme";

/** A patch of colour. It never stands without words beside it. */
export const Chip = styled.span.attrs<{ $color: string; $size?: number }>(({ $color }) => ({
  "aria-hidden": true,
  style: { background: $color },
}))<{ $color: string; $size?: number }>`
  flex: none;
  width: ${({ $size }) => $size ?? 18}px;
  height: ${({ $size }) => $size ?? 18}px;
  border: 1px solid ${theme.color.edge};
  forced-color-adjust: none;
`;
