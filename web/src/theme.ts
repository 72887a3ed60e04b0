/**
 * Every colour, space and size of the interface. Greys are neutral (equal R, G and B), because a
 * tinted surround shifts how a colour on the page is judged (ISO 3664).
 */
export const theme = {
  color: {
    ground: "#f2f2f2",
    paper: "#ffffff",
    text: "#1c1c1c",
    quiet: "#525252",
    rule: "#c8c8c8",
    edge: "#767676",
    /** What surrounds pages: light or dark, as one chooses. */
    desk: "var(--desk)",
    onDesk: "var(--on-desk)",
    active: "#0f4a38",
    onActive: "#ffffff",
    activeSoft: "#e4e4e4",
    fail: "#c2183f",
  },
  size: { small: "13px", body: "14px", large: "15px", title: "20px" },
  space: { half: "4px", one: "8px", two: "16px", three: "24px", four: "32px" },
  hit: "28px",
  narrow: "(max-width: 900px)",
} as const;
