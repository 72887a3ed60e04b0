import { useEffect, useRef } from "react";
import styled from "styled-components";
import { theme } from "../theme";

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
  const desk = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = desk.current;
    if (!element) {
      return;
    }
    // All pictures name their parts alike: in a tree of its own each finds those that are its own.
    const tree = element.shadowRoot ?? element.attachShadow({ mode: "open" });
    // The picture is drawn by our own server from numbers and glyph outlines.
    tree.innerHTML = picture ?? "";
    const svg = tree.querySelector("svg");
    svg?.setAttribute("width", "100%");
    svg?.setAttribute("height", `${height}`);
    svg?.style.setProperty("display", "block");
  }, [picture, height]);
  return <Desk ref={desk} role="img" aria-label={label} style={{ minHeight: height }} />;
}
