import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, client } from "../api/client";
import { type Point } from "../api/queries";
import { useSteps } from "../api/steps";
import { readStory } from "../api/story";
import type { Publication, TextStratum } from "../api/types";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";
import type { Carried, Picked } from "./picked";

/** A look that was picked up, on the page or in the editor, and what of it is given on. */
export interface Giving {
  /** Nothing while none is. */
  picked: Picked | undefined;
  setPicked: (picked: Picked | undefined) => void;
  carried: Carried;
  setCarried: (carried: Carried) => void;
  /** Picks up what text on the page looks like. */
  pickUp: (text: TextStratum) => void;
  /** Gives it to the paragraph at a point of the page. */
  giveAt: (point: Point) => void;
}

/** Everything is carried at first. */
const everything: Carried = { look: true, characters: true, color: true, local: true };

/** Where there is no page to pick anything up from. */
export const noGiving: Giving = {
  picked: undefined,
  setPicked: () => undefined,
  carried: everything,
  setCarried: () => undefined,
  pickUp: () => undefined,
  giveAt: () => undefined,
};

const helpers = () => import("./giving");

export function useGiving(publication: Publication): Giving {
  const queries = useQueryClient();
  const status = useStatus();
  const steps = useSteps(publication);
  const [picked, setPicked] = useState<Picked>();
  const [carried, setCarried] = useState(everything);

  /** Tells what went wrong, in words. */
  const orFail = (act: Promise<void>) =>
    void act.catch((error: unknown) => status.fail(messageOf(error)));
  const pick = async ({ story, paragraph, run }: TextStratum) => {
    const read = await readStory(queries, publication, story);
    const { pickedOf } = await helpers();
    setPicked(pickedOf(read, paragraph, run));
  };
  const give = async ({ page, x, y }: Point) => {
    const { strata } = await answered(
      client.GET("/api/publications/{id}/pages/{page}/strata", {
        params: { path: { id: publication.id, page }, query: { x, y, viewing: "AS_DESIGNED" } },
      }),
    );
    const text = strata.find((each): each is TextStratum => each.type === "textStratum");
    if (!text || !picked) {
      status.say("There is no text here that it could be given to");
      return;
    }
    const story = await readStory(queries, publication, text.story);
    const { giving } = await helpers();
    const edit = giving(story, text.paragraph, picked, carried);
    if (edit) {
      steps.makeSeen(edit, `“${shortened(text.text)}” has it now`);
    } else {
      status.say("This text has it already");
    }
  };
  return {
    picked,
    setPicked,
    carried,
    setCarried,
    pickUp: (text) => orFail(pick(text)),
    giveAt: (point) => orFail(give(point)),
  };
}

function shortened(text: string): string {
  return text.length > 40 ? `${text.slice(0, 39)}…` : text;
}
