import styled from "styled-components";
import { theme } from "../theme";

const Desk = styled.div<{ $height: number }>`
  padding: 12px;
  background: ${theme.color.desk};
  & svg {
    display: block;
    width: 100%;
    height: ${({ $height }) => $height}px;
  }
`;

/** A picture of pages on the desk, as tall as asked for. */
export function Drawn({
  label,
  picture,
  height,
}: {
  label: string;
  /** SVG; nothing while it is being drawn. */
  picture: string | undefined;
  height: number;
}) {
  return (
    <Desk
      $height={height}
      role="img"
      aria-label={label}
      // The picture is drawn by our own server from numbers and glyph outlines.
      dangerouslySetInnerHTML={{ __html: picture ?? "" }}
    />
  );
}
