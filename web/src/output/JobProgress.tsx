import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import styled from "styled-components";
import { answered, client } from "../api/client";
import type { Job } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { ProgressLine } from "../ui/ProgressLine";
import { useStatus } from "../ui/Status";
import { duration } from "../ui/words";

const Line = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.two};
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

  return (
    <Line>
      <ProgressLine
        label={now.phase || "Waiting for its turn"}
        words={
          now.phase
            ? `${now.phase}: page ${now.done} of ${now.all}${now.left === undefined ? "" : `, about ${duration(now.left)} left`}`
            : "Waiting for its turn"
        }
        done={now.done}
        all={now.all}
      />
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
      if (job.kind === "FILES" || job.kind === "BARE_FILES") {
        return job.files.some((file) => file.problem)
          ? "Exported, but not all files are as they should be"
          : "Exported; all is where it should be";
      }
      return job.report?.matches
        ? "Exported; the file is what was composed"
        : "Exported, but the file is not what was composed";
    case "FAILED":
      return `Export failed. ${job.message}`;
    default:
      return "Export cancelled";
  }
}
