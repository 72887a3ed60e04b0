import { useState } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { Quiet } from "../ui/Fold";
import { NumberField } from "../ui/NumberField";

const Line = styled.div<{ $label: string }>`
  display: grid;
  grid-template-columns: ${({ $label }) => $label} minmax(0, 1fr) 52px;
  gap: ${theme.space.one};
  align-items: center;
`;

const Track = styled(Aria.SliderTrack)`
  position: relative;
  height: ${theme.hit};
  cursor: pointer;
  & > img {
    position: absolute;
    left: 0;
    top: 6px;
    width: 100%;
    height: 16px;
    border: 1px solid ${theme.color.edge};
    pointer-events: none;
    forced-color-adjust: none;
  }
`;

const Thumb = styled(Aria.SliderThumb)`
  top: 50%;
  width: 12px;
  height: 26px;
  background: ${theme.color.paper};
  border: 2px solid ${theme.color.text};
  border-radius: 2px;
  &[data-focus-visible] {
    outline: 2px solid ${theme.color.text};
    outline-offset: 2px;
  }
`;

/** A component of a colour: a slider over a picture of where it leads, and the number itself. */
export function SlideField({
  label,
  name,
  value,
  least,
  most,
  step,
  picture,
  onTry,
  onCommit,
}: {
  label: string;
  /** What a screen reader calls the slider. */
  name: string;
  value: number;
  least: number;
  most: number;
  step: number;
  /** Address of the picture along the slider. */
  picture: string;
  onTry: (value: number | undefined) => void;
  onCommit: (value: number) => void;
}) {
  const [held, setHeld] = useState<number>();
  const shown = Math.min(most, Math.max(least, held ?? value));
  return (
    <Line $label={label.length < 5 ? "32px" : "62px"}>
      <Quiet aria-hidden>{label}</Quiet>
      <Aria.Slider
        aria-label={name}
        value={shown}
        minValue={least}
        maxValue={most}
        step={step}
        onChange={(to) => {
          setHeld(Number(to));
          onTry(Number(to));
        }}
        onChangeEnd={(to) => {
          setHeld(undefined);
          onTry(undefined);
          if (Number(to) !== value) {
            onCommit(Number(to));
          }
        }}
      >
        <Track>
          <img src={picture} alt="" />
          <Thumb />
        </Track>
      </Aria.Slider>
      <NumberField label={label} hiddenLabel value={held ?? value} onCommit={onCommit} />
    </Line>
  );
}
