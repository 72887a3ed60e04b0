import styled from "styled-components";
import { theme } from "../theme";
import { useOwnTree } from "./useOwnTree";

const Desk = styled.div`
  padding: 12px;
  background: ${theme.color.desk};
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
  const desk = useOwnTree<HTMLDivElement>(picture, `${height}`);
  return <Desk ref={desk} role="img" aria-label={label} style={{ minHeight: height }} />;
}
