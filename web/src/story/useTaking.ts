import { useSteps } from "../api/steps";
import type { Publication } from "../api/types";
import { ofLook, type Chosen } from "./chosen";

/** Takes the colour that words have of their own into the look that they wear. */
export function useTaking(
  publication: Publication,
  chosen: Chosen,
  /** Stores what is typed. */
  commit: () => Promise<void> | undefined,
  /** Takes the colour off the words. */
  leave: () => void,
) {
  const steps = useSteps(publication);
  // the look that the colour of the chosen words could become that of: of their characters, or paragraph
  const worn = chosen.characters === ofLook ? undefined : chosen.characters;
  const taking =
    chosen.empty || chosen.swatch === ofLook || chosen.swatch === "" || chosen.characters === ""
      ? undefined
      : worn === undefined
        ? publication.looks.find((each) => each.look.id === chosen.look)?.look
        : publication.characterLooks.find((each) => each.look.id === worn)?.look;
  const takeIn = async () => {
    await commit();
    const color = { swatch: chosen.swatch, tint: 100 };
    const stored = await steps.stored(() => {
      const look = publication.looks.find((each) => each.look.id === taking?.id)?.look;
      if (look) {
        return { type: "changeLook", look: { ...look, color }, was: look };
      }
      const characters = publication.characterLooks.find(
        (each) => each.look.id === taking?.id,
      )?.look;
      if (!characters) {
        throw new Error("That look is gone; choose another.");
      }
      return { type: "changeCharacterLook", look: { ...characters, color }, was: characters };
    }, "The look has this colour now, wherever it is worn");
    if (stored) {
      leave();
    }
  };
  return { taking, takeIn };
}
