import { useMutation } from "@tanstack/react-query";
import { useRef } from "react";
import { answered, client } from "../api/client";
import { useSteps } from "../api/steps";
import type { Edit, Publication, Schemas } from "../api/types";
import { ElseFails } from "../strata/MendList";
import { Button } from "../ui/Button";
import { Quiet } from "../ui/Fold";

type Tried = Schemas["TriedView"];

const isHarmless = ({ worse, overset }: Tried) => worse.length === 0 && !overset;

/** Mends a finding at once; where other text would fail for it, that is said first. */
export function OfferButton({
  publication,
  label,
  edit,
}: {
  publication: Publication;
  label: string;
  edit: Edit;
}) {
  const steps = useSteps(publication);
  const make = () => steps.make(edit, `Mended: ${label}`);
  const tried = useMutation({
    mutationFn: () =>
      answered(
        client.POST("/api/publications/{id}/tried", {
          params: { path: { id: publication.id } },
          body: { edit },
        }),
      ),
    onSuccess: (found) => isHarmless(found) && make(),
    onError: make, // which says what is wrong with it
  });
  const button = useRef<HTMLButtonElement>(null);
  const leave = () => {
    tried.reset();
    button.current?.focus();
  };
  return (
    <>
      <Button ref={button} onPress={() => !tried.isPending && tried.mutate()}>
        {label}
      </Button>
      {tried.isPending && <Quiet role="status">Looking what else would come of it…</Quiet>}
      {tried.data && !isHarmless(tried.data) && (
        <div role="group" aria-label={`What else comes of it: ${label}`}>
          <div role="alert">
            <ElseFails mend={tried.data} />
          </div>
          <Button onPress={make}>Do it all the same</Button>{" "}
          <Button onPress={leave}>Leave it</Button>
        </div>
      )}
    </>
  );
}
