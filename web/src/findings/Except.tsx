import { useState } from "react";
import { useQuery } from "@tanstack/react-query";
import { answered, client } from "../api/client";
import { useSteps } from "../api/steps";
import type { Finding, Publication, Schemas } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { ratio } from "../ui/words";

type Why = Schemas["Exemption"]["why"];

/** What WCAG 2.2 excepts from its contrast. */
export const whys: { id: Why; label: string }[] = [
  { id: "LOGOTYPE", label: "It is part of a logo or brand name" },
  { id: "DECORATION", label: "It is pure decoration" },
  { id: "INACTIVE", label: "It belongs to something inactive" },
];

/** Lets a text stay as it is, with a reason. */
export function Except({ publication, finding }: { publication: Publication; finding: Finding }) {
  const [open, setOpen] = useState(false);
  if (finding.onPicture) {
    return <Quiet>It stands on a picture: no exception is possible, so move it or mend it.</Quiet>;
  }
  return (
    <>
      <Button onPress={() => setOpen(true)}>Except it…</Button>
      {open && (
        <Dialog publication={publication} finding={finding} onClose={() => setOpen(false)} />
      )}
    </>
  );
}

function Dialog({
  publication,
  finding,
  onClose,
}: {
  publication: Publication;
  finding: Finding;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const [why, setWhy] = useState<Why>("LOGOTYPE");
  const [reason, setReason] = useState("");
  const run = finding.run ?? "";
  const written = useQuery({
    queryKey: ["run", publication.id, publication.revision, run],
    enabled: !finding.file,
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/runs/{run}", {
          params: { path: { id: publication.id, run } },
        }),
      ),
  });
  const text = finding.file ? finding.text : written.data?.text;
  const except = () => {
    if (text !== undefined) {
      steps.make(
        {
          type: "addExemption",
          exemption: {
            id: crypto.randomUUID(),
            run,
            why,
            reason,
            page: finding.file,
            text,
            ratio: finding.ratio ?? 1,
          },
        },
        "The text is excepted; it stands under Excepted, with the reason",
      );
      onClose();
    }
  };
  return (
    <Modal title="Except this text" isOpen onClose={onClose}>
      <p>
        “{finding.text}” has a contrast of {ratio(finding.ratio ?? 1)}. It may stay so while the
        text is the same and its contrast no lower; then it is a finding again by itself.
      </p>
      <Choice
        label="Why it may stay"
        value={why}
        options={whys}
        onChange={(id) => setWhy(id as Why)}
      />
      <DraftField label="Reason, in your words" value={reason} onChange={setReason} />
      <Quiet>The report lists it. Only these three are exceptions (WCAG 2.2, 1.4.3).</Quiet>
      {written.isError && <p role="alert">{written.error.message}</p>}
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton isDisabled={reason.trim() === "" || text === undefined} onPress={except}>
          Except it
        </MainButton>
      </Actions>
    </Modal>
  );
}
