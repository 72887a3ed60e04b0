import { useMove } from "react-aria";
import styled from "styled-components";
import { theme } from "../theme";

const Line = styled.div<{ $across: boolean }>`
  position: relative;
  z-index: 3;
  touch-action: none;
  cursor: ${({ $across }) => ($across ? "ew-resize" : "ns-resize")};
  ${({ $across }) => ($across ? "width: 7px; height: 100%;" : "height: 7px; width: 100%;")}
  outline-offset: -2px;
  &:hover {
    background: ${theme.color.edge};
  }
  @media ${theme.narrow} {
    display: none;
  }
`;

/** So far one press of an arrow key goes, in pixels. */
const STEP = 8;

/** The edge of a panel, which makes it larger or smaller by pointer and by arrow keys. */
export function Divider({
  label,
  axis,
  grows,
  size,
  least,
  most,
  onSize,
  className,
}: {
  label: string;
  axis: "width" | "height";
  /** Which way it goes when the panel grows: 1 to the right or down. */
  grows: 1 | -1;
  /** In pixels. */
  size: number;
  least: number;
  most: number;
  onSize: (change: (last: number) => number) => void;
  className?: string;
}) {
  const { moveProps } = useMove({
    onMove: ({ deltaX, deltaY, pointerType }) => {
      const way = (axis === "width" ? deltaX : deltaY) * grows;
      const by = pointerType === "keyboard" ? way * STEP : way;
      onSize((last) => Math.min(most, Math.max(least, last + by)));
    },
  });
  return (
    // a separator that is moved is a control (ARIA 1.2, "separator")

    <Line
      {...moveProps}
      className={className}
      role="separator"

      tabIndex={0}
      aria-label={label}
      aria-orientation={axis === "width" ? "vertical" : "horizontal"}
      aria-valuenow={Math.round(size)}
      aria-valuemin={least}
      aria-valuemax={most}
      $across={axis === "width"}
    />
  );
}
