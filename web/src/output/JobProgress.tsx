import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
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

/** So often a running export is looked at, in case what is told of it is missed; milliseconds. */
const LOOK = 2000;

/** Follows a running export and offers to cancel it. */
export function JobProgress({ job }: { job: Job }) {
  const queries = useQueryClient();
  const status = useStatus();
  const { data: now } = useQuery({
    queryKey: ["job", job.id],
    queryFn: () => answered(client.GET("/api/jobs/{job}", { params: { path: { job: job.id } } })),
    initialData: job,
    refetchInterval: (query) => (query.state.data?.state === "RUNNING" ? LOOK : false),
  });

  useEffect(() => {
    if (now.state !== "RUNNING") {
      status.say(ended(now));
      void queries.invalidateQueries({ queryKey: ["exports", now.publication] });
    }
  }, [now, queries, status]);

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
