import styled from "styled-components";
import type { Job } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { dayAndTime } from "../ui/words";
import { isOutput } from "./kinds";

const Since = styled(Button)`
  align-self: end;
`;

const Wide = styled.div`
  align-self: end;
  width: 240px;
`;

/** What the file of an export can be held against: the publication as it is now, and other files. */
export function Compare({
  job,
  jobs,
  revision,
  isDisabled,
  onCompare,
}: {
  job: Job;
  /** All exports of the publication. */
  jobs: Job[];
  /** Of the publication as it is now. */
  revision: number;
  isDisabled: boolean;
  /** @param other the export that it is compared with; nothing for the publication */
  onCompare: (other?: string) => void;
}) {
  const others = jobs.filter(
    (each) =>
      each.id !== job.id &&
      isComparable(each) &&
      (each.kind === job.kind || (isPdf(each) && isPdf(job))),
  );
  return (
    <>
      <Since onPress={() => onCompare()} isDisabled={isDisabled || job.revision === revision}>
        Has this changed since?
      </Since>
      {others.length > 0 && (
        <Wide>
          <Choice
            label="Compare with"
            value={undefined}
            options={others.map((each) => ({
              id: each.id,
              label: `${each.fileName}, ${dayAndTime(each.started)}`,
            }))}
            onChange={(other) => onCompare(other)}
          />
        </Wide>
      )}
    </>
  );
}

/** Whether it was made of the pages. */
export function isComparable(job: Job): boolean {
  return job.state === "DONE" && isOutput(job.kind);
}

function isPdf(job: Job): boolean {
  return job.kind.endsWith("_PDF");
}
