import { createGlobalStyle } from "styled-components";
import { theme } from "./theme";

export const GlobalStyle = createGlobalStyle`
  :root { --desk: #9b9b9b; --on-desk: #1c1c1c; }
  :root[data-surround="dark"] { --desk: #2e2e2e; --on-desk: #f2f2f2; }
  *, *::before, *::after { box-sizing: border-box; }
  html, body, #root { height: 100%; margin: 0; }
  body {
    font-family: "Atkinson Hyperlegible Next", sans-serif;
    font-size: ${theme.size.body};
    line-height: 1.4;
    font-variant-numeric: tabular-nums;
    color: ${theme.color.text};
    background: ${theme.color.ground};
  }
  h1, h2, h3, p, ul, ol, dl, dd { margin: 0; padding: 0; }
  h1 { font-size: ${theme.size.title}; font-weight: 600; }
  h2 { font-size: ${theme.size.large}; font-weight: 600; }
  h3 { font-size: ${theme.size.body}; font-weight: 600; }
  ul, ol { list-style: none; }
  a { color: ${theme.color.active}; }
  [data-react-aria-pressable] { touch-action: pan-x pan-y pinch-zoom; }
  :focus-visible, [data-focus-visible] {
    outline: 2px solid ${theme.color.text};
    outline-offset: 2px;
    box-shadow: 0 0 0 2px ${theme.color.paper};
  }
  /* a part of the screen as a whole, within its edge: its neighbours hide what is around it */
  :is(header, main, aside, section)[tabindex="-1"]:focus-visible {
    outline-offset: -3px;
  }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { transition: none !important; animation: none !important; scroll-behavior: auto !important; }
  }
`;
