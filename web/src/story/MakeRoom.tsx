import { useSteps } from "../api/steps";
import { roomFor } from "../api/story";
import type { Publication } from "../api/types";
import { Button } from "../ui/Button";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";

/** Adds as many pages as a text needs that finds no room. */
export function MakeRoom({
  publication,
  story,
  before,
}: {
  publication: Publication;
  story: string;
  /** What has to be done first. */
  before?: () => Promise<void> | undefined;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const makeRoom = async () => {
    await before?.();
    try {
      const offer = await roomFor(publication, story);
      await steps.stored(offer.edit, "Room made for the rest");
    } catch (error) {
      status.fail(messageOf(error));
    }
  };
  return <Button onPress={() => void makeRoom()}>Make room for the rest</Button>;
}
