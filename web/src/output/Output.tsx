import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Download, FileOutput } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { answered, client, ServerError } from "../api/client";
import { useExports, useFindings } from "../api/queries";
import type { Job, Publication } from "../api/types";
import { useOpened } from "../publication/PublicationScreen";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Quiet } from "../ui/Fold";
import { shownLength } from "../ui/length";
import { Actions, Modal } from "../ui/Modal";
import { Failed, Notice } from "../ui/Notice";
import { useStatus } from "../ui/Status";
import { Inner, Main } from "../ui/Sheet";
import { counted, dayAndTime } from "../ui/words";
import { JobProgress } from "./JobProgress";
import { ReadBack } from "./ReadBack";

const Offer = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${theme.space.two};
  align-items: center;
  padding: ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const One = styled.section`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.two};
  padding: ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: ${theme.space.one};
  & h3 {
    overflow-wrap: anywhere;
  }
  & a {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: ${theme.hit};
    padding: 2px 10px;
    color: ${theme.color.text};
    text-decoration: none;
    border: 1px solid ${theme.color.edge};
    border-radius: 3px;
  }
  & a:hover {
    background: ${theme.color.activeSoft};
  }
`;

type Medium = Job["medium"];

interface Wanted {
  medium: Medium;
  missingAccepted?: boolean;
}

const names: Record<Medium, string> = { PAPER: "Press PDF", SCREEN: "Screen PDF" };

function media(destination: Publication["setup"]["destination"]): Medium[] {
  return destination === "BOTH" ? ["PAPER", "SCREEN"] : [destination];
}

/** Makes the PDF for where the publication goes, follows its making, and shows what was read back from it. */
export function Output() {
  const { publication } = useOpened();
  const exports = useExports(publication);
  const findings = useFindings(publication);
  const queries = useQueryClient();
  const status = useStatus();
  const [question, setQuestion] = useState<{ text: string; wanted: Wanted }>();
  const begin = useMutation({
    mutationFn: (wanted: Wanted) =>
      answered(
        client.POST("/api/publications/{id}/exports", {
          params: { path: { id: publication.id }, query: wanted },
        }),
      ),
    onError: (error, wanted) =>
      error instanceof ServerError && error.status === 428
        ? setQuestion({ text: error.message, wanted: { ...wanted, missingAccepted: true } })
        : status.fail(error.message),
    onSettled: () => queries.invalidateQueries({ queryKey: ["exports", publication.id] }),
  });
  const { setup } = publication;
  const open = findings.data?.open ?? 0;
  const running = exports.data?.some((job) => job.state === "RUNNING") ?? false;

  return (
    <Main>
      <Inner>
        <h1>Output</h1>
        {media(setup.destination).map((medium) => (
          <Offer key={medium} aria-label={names[medium]}>
            <div>
              <h2>{names[medium]}</h2>
              <p>
                {counted(publication.pages.length, "page", "pages")} of{" "}
                {shownLength(setup.trim.width, setup.unit).split(" ")[0]} ×{" "}
                {shownLength(setup.trim.height, setup.unit)},{" "}
                {medium === "PAPER"
                  ? `each out to its bleed, in CMYK for ${publication.pressCondition.toLowerCase()}`
                  : "cropped to the trim, in sRGB"}
                , with embedded fonts. The file is opened again and held against the pages.
              </p>
              {open > 0 && (
                <p>
                  <Failed>✕ {counted(open, "finding is", "findings are")} still open.</Failed> They
                  will be in the file.
                </p>
              )}
            </div>
            <MainButton
              onPress={() => begin.mutate({ medium })}
              isDisabled={begin.isPending || running}
            >
              <FileOutput size={16} aria-hidden />
              Export {names[medium].replace("Press", "press").replace("Screen", "screen")}
            </MainButton>
          </Offer>
        ))}
        {question && (
          <Modal title="Characters are missing" isOpen onClose={() => setQuestion(undefined)}>
            <p>{question.text}</p>
            <Actions>
              <Button onPress={() => setQuestion(undefined)}>Cancel</Button>
              <MainButton
                onPress={() => {
                  begin.mutate(question.wanted);
                  setQuestion(undefined);
                }}
              >
                Export all the same
              </MainButton>
            </Actions>
          </Modal>
        )}
        {exports.isPending && <Notice role="status">Fetching earlier exports…</Notice>}
        {exports.isError && (
          <Notice role="alert">
            <Failed>Earlier exports could not be read.</Failed>
            {exports.error.message}
            <Button onPress={() => void exports.refetch()}>Try again</Button>
          </Notice>
        )}
        {exports.data?.length === 0 && (
          <p>No file yet. The first export stands here with what was read back from it.</p>
        )}
        {exports.data?.map((job) => (
          <One key={job.id} aria-label={`Export of ${dayAndTime(job.started)}`}>
            <Head>
              <div>
                <h3>{job.fileName}</h3>
                <Quiet>
                  {dayAndTime(job.started)}
                  {job.revision === publication.revision
                    ? ", of the publication as it is now"
                    : ", of an earlier state of the publication"}
                </Quiet>
              </div>
              {job.state === "DONE" && (
                <a href={`/api/jobs/${job.id}/file`} download={job.fileName}>
                  <Download size={16} aria-hidden />
                  Download
                </a>
              )}
            </Head>
            {job.state === "RUNNING" && <JobProgress job={job} />}
            {(job.state === "FAILED" || job.state === "CANCELLED") && (
              <p>
                {job.state === "FAILED" ? <Failed>✕ Failed.</Failed> : "Cancelled."} {job.message}
              </p>
            )}
            {job.report && (
              <ReadBack
                report={job.report}
                open={job.revision === publication.revision ? open : 0}
              />
            )}
          </One>
        ))}
      </Inner>
    </Main>
  );
}
