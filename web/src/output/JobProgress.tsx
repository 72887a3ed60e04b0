import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { answered, client } from "../api/client";
import type { Job } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { useStatus } from "../ui/Status";

const Line = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.two};
`;

const Bar = styled(Aria.ProgressBar)`
  flex: 1;
`;

const Track = styled.div`
  height: 10px;
  border: 1px solid ${theme.color.edge};
  background: ${theme.color.paper};
  & > div {
    height: 100%;
    background: ${theme.color.active};
    forced-color-adjust: none;
  }
`;

/** Follows a running export and offers to cancel it. */
export function JobProgress({ job }: { job: Job }) {
  const [now, setNow] = useState(job);
  const queries = useQueryClient();
  const status = useStatus();

  useEffect(() => {
    const events = new EventSource(`/api/jobs/${job.id}/events`);
    events.addEventListener("job", (event) => {
      const next = JSON.parse(event.data as string) as Job;
      setNow(next);
      if (next.state !== "RUNNING") {
        events.close();
        status.say(ended(next));
        void queries.invalidateQueries({ queryKey: ["exports", job.publication] });
      }
    });
    return () => events.close();
  }, [job.id, job.publication, queries, status]);

  const percent = now.all === 0 ? 0 : Math.round((100 * now.done) / now.all);
  return (
    <Line>
      <Bar aria-label={now.phase || "Waiting"} value={percent}>
        <span>
          {now.phase || "Waiting"}: page {now.done} of {now.all}
        </span>
        <Track>
          <div style={{ width: `${percent}%` }} />
        </Track>
      </Bar>
      <Button
        onPress={() =>
          void answered(
            client.DELETE("/api/jobs/{job}", { params: { path: { job: job.id } } }),
          ).catch((error: Error) => status.fail(error.message))
        }
      >
        Cancel
      </Button>
    </Line>
  );
}

function ended(job: Job): string {
  switch (job.state) {
    case "DONE":
      return job.report?.matches
        ? "Exported; the file is what was composed"
        : "Exported, but the file is not what was composed";
    case "FAILED":
      return `Export failed. ${job.message}`;
    default:
      return "Export cancelled";
  }
}
