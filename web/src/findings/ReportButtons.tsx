import { useState } from "react";
import styled from "styled-components";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${theme.space.one};
`;

const formats = ["PDF", "CSV", "JSON"] as const;

type Format = (typeof formats)[number];

/** All findings and exceptions with their reasons as a file, once every page is checked. */
export function ReportButtons({
  publication,
  isChecked,
}: {
  publication: Publication;
  isChecked: boolean;
}) {
  const status = useStatus();
  const [writing, setWriting] = useState(false);
  const save = (format: Format) => {
    setWriting(true);
    void saved(publication.id, format)
      .then((name) => status.say(`The report is saved as ${name}`))
      .catch((error: unknown) => status.fail(messageOf(error)))
      .finally(() => setWriting(false));
  };
  return (
    <Line role="group" aria-label="Report">
      <span>Report as</span>
      {formats.map((format) => (
        <Button key={format} isDisabled={!isChecked || writing} onPress={() => save(format)}>
          {format}
        </Button>
      ))}
    </Line>
  );
}

/** Hands a report to the browser; what it is saved as. */
async function saved(publication: string, format: Format): Promise<string> {
  const answer = await fetch(`/api/publications/${publication}/report/${format}`);
  if (!answer.ok) {
    const problem = (await answer.json()) as { detail?: string };
    throw new Error(problem.detail ?? "The report could not be written.");
  }
  const named = /filename="?([^";]+)/.exec(answer.headers.get("Content-Disposition") ?? "");
  const address = URL.createObjectURL(await answer.blob());
  const link = document.createElement("a");
  link.href = address;
  link.download = named?.[1] ?? `legibility.${format.toLowerCase()}`;
  link.click();
  URL.revokeObjectURL(address);
  return link.download;
}
