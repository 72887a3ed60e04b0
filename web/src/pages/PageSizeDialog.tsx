import { useState } from "react";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Quiet } from "../ui/Fold";
import { shownLength, typedLength } from "../ui/length";
import { Actions, Modal } from "../ui/Modal";
import { SizeFields } from "../ui/SizeFields";
import { numbersInWords } from "../ui/words";

/** The size of some pages, such as one that folds out. */
export function PageSizeDialog({
  publication,
  chosen,
  onClose,
}: {
  publication: Publication;
  chosen: PageEntry[];
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const { trim, unit } = publication.setup;
  const [size, setSize] = useState(chosen[0]?.size ?? trim);
  const pages = chosen.map((page) => page.id);
  const words = numbersInWords(chosen.map((page) => page.number));

  return (
    <Modal title={`Size of ${words}`} isOpen onClose={onClose}>
      <SizeFields size={size} onChange={setSize} />
      <Quiet>
        {`All pages are ${shownLength(trim.width, unit)} × ${shownLength(trim.height, unit)} unless they have a size of their own. Bleed, safe area and margins stay as they are.`}
      </Quiet>
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        {chosen.some((page) => page.size) && (
          <Button
            onPress={() => {
              onClose();
              steps.make({ type: "sizePages", pages }, `The size of ${words} is the usual one`);
            }}
          >
            As all pages
          </Button>
        )}
        <MainButton
          onPress={() => {
            onClose();
            steps.make(
              {
                type: "sizePages",
                pages,
                size: {
                  width: typedLength(size.width, unit),
                  height: typedLength(size.height, unit),
                },
              },
              `Size of ${words} changed`,
            );
          }}
        >
          Give this size
        </MainButton>
      </Actions>
    </Modal>
  );
}
