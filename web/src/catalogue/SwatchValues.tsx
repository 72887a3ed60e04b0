import styled from "styled-components";
import type { SwatchEntry } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";

const List = styled.dl`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0 ${theme.space.one};
  font-size: ${theme.size.small};
  & dt {
    color: ${theme.color.quiet};
  }
`;

const Warning = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: ${theme.space.half} ${theme.space.one};
  align-items: center;
  font-size: ${theme.size.small};
  & > button {
    grid-column: 1 / -1;
  }
`;

/** A swatch in the other spaces, and whether the press can print it. */
export function SwatchValues({
  swatch,
  inkLimit,
  onUseNearest,
}: {
  swatch: SwatchEntry;
  inkLimit: number;
  onUseNearest: () => void;
}) {
  const { ink, lab } = swatch;
  return (
    <>
      <List aria-label={`${swatch.name} in other spaces`}>
        <dt>CMYK</dt>
        <dd>
          C {ink.cyan} M {ink.magenta} Y {ink.yellow} K {ink.black}, {swatch.totalInk} % in all
        </dd>
        <dt>sRGB</dt>
        <dd>
          {swatch.rgb.red} {swatch.rgb.green} {swatch.rgb.blue}, {swatch.screen}
        </dd>
        <dt>CIELAB</dt>
        <dd>
          {lab.lightness} {lab.a} {lab.b}
        </dd>
      </List>
      {swatch.tooMuchInk && (
        <p>
          <strong>△ {swatch.totalInk} % of ink.</strong> The press condition takes {inkLimit} %.
        </p>
      )}
      {!swatch.faithful && (
        <Warning>
          <Chip $color={swatch.nearest} $size={26} />
          <span>
            <strong>△ Not printable.</strong> The nearest that is lies {swatch.distance} CIEDE2000
            away.
          </span>
          <Button onPress={onUseNearest}>Use the nearest printable colour</Button>
        </Warning>
      )}
    </>
  );
}
