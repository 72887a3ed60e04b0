import { useEffect, useRef, useState } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { afterPause } from "../ui/afterPause";
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

/** When no key was pressed for so long, in milliseconds, the value that the keys led to is taken. */
const PAUSE = 700;

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
  onCommit: (value: number) => unknown;
}) {
  const [held, setHeld] = useState<number>();
  const byKey = useRef(false);
  const waiting = useRef<{ giveUp: () => void; commit: () => void }>(undefined);
  const take = (to: number) => {
    waiting.current = undefined;
    setHeld(undefined);
    onTry(undefined);
    if (to !== value) {
      onCommit(to);
    }
  };
  /** What the keys led to is taken at once: the slider is left, or goes away. */
  const flush = () => {
    const last = waiting.current;
    if (last) {
      last.giveUp();
      last.commit();
    }
  };
  const flushed = useRef(flush);
  useEffect(() => {
    flushed.current = flush;
  });
  useEffect(() => () => flushed.current(), []);
  const shown = Math.min(most, Math.max(least, held ?? value));
  return (
    <Line
      $label={label.length < 5 ? "32px" : "62px"}
      onKeyDownCapture={(event) => {
        byKey.current = true;
        // a step of undo is to take back what the keys led to
        if (event.ctrlKey || event.metaKey) {
          flush();
        }
      }}
      onPointerDownCapture={() => {
        byKey.current = false;
        flush();
      }}
      onBlur={flush}
    >
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
          waiting.current?.giveUp();
          const commit = () => take(Number(to));
          if (byKey.current) {
            waiting.current = { giveUp: afterPause(PAUSE, commit), commit };
          } else {
            commit();
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
