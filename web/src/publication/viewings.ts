import type { Publication, Viewing } from "../api/types";

type Destination = Publication["setup"]["destination"];

/** Where a publication can go, as it stands in a choice. */
export const destinations: { id: Destination; label: string }[] = [
  { id: "PAPER", label: "Paper" },
  { id: "SCREEN", label: "Screen" },
  { id: "BOTH", label: "Paper and screen" },
];

/** The viewings that make sense for where a publication goes; the verdict's comes first. */
export function viewings({ setup }: Publication): { id: Viewing; label: string }[] {
  const all: { id: Viewing; label: string; where: Destination[] }[] = [
    {
      id: "AS_DESIGNED",
      label: setup.destination === "BOTH" ? "As designed, on paper" : "As designed",
      where: ["PAPER", "SCREEN", "BOTH"],
    },
    { id: "ON_SCREEN", label: "As designed, on screen", where: ["BOTH"] },
    { id: "ON_PRESS", label: "On press", where: ["PAPER", "BOTH"] },
    {
      id: "ON_STOCK",
      label: "On the chosen stock",
      where: setup.press.stock ? ["PAPER", "BOTH"] : [],
    },
    { id: "BACKGROUNDS_OFF", label: "Backgrounds off", where: ["PAPER", "SCREEN", "BOTH"] },
    { id: "GREY_COPY", label: "Grey copy", where: ["PAPER", "SCREEN", "BOTH"] },
    { id: "PROTAN", label: "Protan vision", where: ["PAPER", "SCREEN", "BOTH"] },
    { id: "DEUTAN", label: "Deutan vision", where: ["PAPER", "SCREEN", "BOTH"] },
    { id: "TRITAN", label: "Tritan vision", where: ["PAPER", "SCREEN", "BOTH"] },
  ];
  return all
    .filter((each) => each.where.includes(setup.destination))
    .map(({ id, label }) => ({ id, label }));
}

/** Whether what is seen is what mends go by. */
export function isDesigned(viewing: Viewing): boolean {
  return viewing === "AS_DESIGNED" || viewing === "ON_SCREEN";
}
