import styled from "styled-components";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Tick } from "../ui/Tick";
import { inWords } from "./differences";
import type { Carried, Picked } from "./picked";

const Bar = styled.div`
  flex: 1 0 100%;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${theme.space.two};
  padding: ${theme.space.half} ${theme.space.one};
  border: 2px solid ${theme.color.active};
  & > p {
    flex: 1 0 100%;
    margin: 0;
  }
  & > div {
    display: flex;
    gap: ${theme.space.one};
    padding: ${theme.space.half} 0;
  }
`;

/** What was picked up from text, what of it is carried over, and the way to other text. */
export function PickedLook({
  publication,
  picked,
  how,
  carried,
  onCarried,
  onGive,
  onPutDown,
}: {
  publication: Publication;
  picked: Picked;
  /** How it is given, in words. */
  how: string;
  carried: Carried;
  onCarried: (carried: Carried) => void;
  /** None where there is no text to give it to. */
  onGive: (() => void) | undefined;
  onPutDown: () => void;
}) {
  const look = publication.looks.find((each) => each.look.id === picked.look)?.look.name;
  const words = publication.characterLooks.find((each) => each.look.id === picked.characters)?.look
    .name;
  const swatch = publication.swatches.find(({ id }) => id === picked.color?.swatch)?.name;
  const differing = inWords({ ...picked.setting, ...picked.local });
  return (
    <Bar role="group" aria-label="Picked up look">
      <p>{how}</p>
      <Tick
        label={`Look ${look ?? "that is gone"}`}
        checked={carried.look}
        onChange={(on) => onCarried({ ...carried, look: on })}
      />
      <Tick
        label={words === undefined ? "Words as the look" : `Words ${words}`}
        checked={carried.characters}
        onChange={(on) => onCarried({ ...carried, characters: on })}
      />
      <Tick
        label={swatch === undefined ? "Colour as the look" : `Colour ${swatch}`}
        checked={carried.color}
        onChange={(on) => onCarried({ ...carried, color: on })}
      />
      <Tick
        label={differing === "" ? "No local differences" : `Local differences: ${differing}`}
        checked={carried.local}
        onChange={(on) => onCarried({ ...carried, local: on })}
      />
      <div>
        <MainButton isDisabled={!onGive} onPress={() => onGive?.()}>
          Give it
        </MainButton>
        <Button onPress={onPutDown}>Put it down</Button>
      </div>
    </Bar>
  );
}
