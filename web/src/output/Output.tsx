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
import { Actions, Modal } from "../ui/Modal";
import { Failed, Notice } from "../ui/Notice";
import { useStatus } from "../ui/Status";
import { Inner, Main } from "../ui/Sheet";
import { counted, dayAndTime, exactTime } from "../ui/words";
import { JobProgress } from "./JobProgress";
import { AboutFiles } from "./AboutFiles";
import { Compare, isComparable } from "./Compare";
import { FileResults } from "./FileResults";
import { MakeOutput, type Settings } from "./MakeOutput";
import { Offer } from "./Offer";
import { OfficePrint } from "./OfficePrint";
import { ReadBack } from "./ReadBack";
import { TakeOff } from "./TakeOff";

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
  & > :nth-child(2) {
    margin-left: auto;
  }
  & a {
    display: inline-flex;
    align-items: center;
    align-self: end;
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

type Kind = Job["kind"];

interface Wanted {
  kind?: Kind;
  settings?: Settings;
  /** What comes off files that something was added to before, and of which. */
  off?: string[];
  from?: string[];
  missingAccepted?: boolean;
}

/** Makes files of a publication, follows their making, and shows what was read back from them. */
export function Output() {
  const { publication } = useOpened();
  const exports = useExports(publication);
  const findings = useFindings(publication);
  const queries = useQueryClient();
  const status = useStatus();
  const [question, setQuestion] = useState<{ text: string; wanted: Wanted }>();
  const begin = useMutation({
    mutationFn: ({ settings, ...query }: Wanted) =>
      answered(
        settings
          ? client.POST("/api/publications/{id}/outputs", {
              params: {
                path: { id: publication.id },
                query: { missingAccepted: query.missingAccepted ?? false },
              },
              body: settings,
            })
          : client.POST("/api/publications/{id}/exports", {
              params: { path: { id: publication.id }, query },
            }),
      ),
    onError: (error, wanted) =>
      error instanceof ServerError && error.status === 428
        ? setQuestion({ text: error.message, wanted: { ...wanted, missingAccepted: true } })
        : status.fail(error.message),
    onSettled: () => queries.invalidateQueries({ queryKey: ["exports", publication.id] }),
  });
  const compare = useMutation({
    mutationFn: ({ job, other }: { job: string; other?: string }) =>
      answered(
        client.POST("/api/jobs/{job}/comparison", {
          params: { path: { job }, query: other ? { with: other } : {} },
        }),
      ),
    onError: (error) => status.fail(error.message),
    onSettled: () => queries.invalidateQueries({ queryKey: ["exports", publication.id] }),
  });
  const open = findings.data?.open ?? 0;

  return (
    <Main>
      <Inner>
        <h1>Output</h1>
        {publication.pages.some((page) => page.imported) && (
          <Offer aria-label="The files, with what was added">
            <div>
              <h2>The files, with what was added</h2>
              <p>{aboutFiles(publication)}</p>
              <AboutFiles publication={publication} />
              {open > 0 && (
                <p>
                  <Failed>✕ {counted(open, "finding is", "findings are")} still open.</Failed> They
                  will be in the file.
                </p>
              )}
            </div>
            <MainButton
              onPress={() => begin.mutate({ kind: "FILES" })}
              isDisabled={begin.isPending}
            >
              <FileOutput size={16} aria-hidden />
              Export files
            </MainButton>
          </Offer>
        )}
        <MakeOutput
          publication={publication}
          open={open}
          isDisabled={begin.isPending}
          onMake={(settings) => begin.mutate({ settings })}
        />
        <OfficePrinter publication={publication} />
        <TakeOff
          publication={publication}
          isDisabled={begin.isPending}
          onTakeOff={(what) => begin.mutate({ kind: "BARE_FILES", ...what })}
        />
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
          <One key={job.id} aria-label={landmark(job, exports.data)}>
            <Head>
              <div>
                <h3>{job.kind === "COMPARISON" ? comparison(job, exports.data) : job.fileName}</h3>
                <Quiet>
                  {dayAndTime(job.started)}
                  {job.revision === publication.revision
                    ? ", of the publication as it is now"
                    : ", of an earlier state of the publication"}
                </Quiet>
              </div>
              {isComparable(job) && (
                <Compare
                  job={job}
                  jobs={exports.data}
                  revision={publication.revision}
                  isDisabled={compare.isPending}
                  onCompare={(other) => compare.mutate({ job: job.id, other })}
                />
              )}
              {job.state === "DONE" && job.kind !== "COMPARISON" && (
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
            {job.files.length > 0 && <FileResults job={job} />}
            {job.report && (
              <ReadBack
                job={job}
                report={job.report}
                open={job.kind !== "COMPARISON" && job.revision === publication.revision ? open : 0}
              />
            )}
          </One>
        ))}
      </Inner>
    </Main>
  );
}

/** What a result is called among all, of which two may have been begun within a second. */
function landmark(job: Job, all: Job[]): string {
  const same = all.filter((each) => begun(each) === begun(job));
  return same.length > 1 ? `${begun(job)}, ${same.indexOf(job) + 1} of ${same.length}` : begun(job);
}

function begun({ kind, started }: Job): string {
  return `${kind === "COMPARISON" ? "Comparison" : "Export"} of ${exactTime(started)}`;
}

/** Opened when it is wanted: it draws and judges all pages. */
function OfficePrinter({ publication }: { publication: Publication }) {
  const [isOpen, setOpen] = useState(false);
  return isOpen ? (
    <OfficePrint publication={publication} />
  ) : (
    <div>
      <Button onPress={() => setOpen(true)}>Try an office printer…</Button>
    </div>
  );
}

/** Files of the same name are told apart by when they were made. */
function comparison(job: Job, jobs: Job[]): string {
  const made = job.compared.map((id) => jobs.find((each) => each.id === id));
  const [first, second] = made.map((each) =>
    each ? `${each.fileName} of ${dayAndTime(each.started)}` : undefined,
  );
  return job.compared.length > 1
    ? first && second
      ? `${first} and ${second}, compared`
      : `${job.fileName}, compared`
    : `${job.fileName}, compared with the publication`;
}

function aboutFiles({ pages }: Publication): string {
  const files = new Set(pages.flatMap((page) => (page.imported ? [page.imported.asset] : [])));
  const bare = pages.filter((page) => !page.imported).length;
  const left =
    bare > 0
      ? ` ${counted(bare, "page that is", "pages that are")} of no file will not be in them.`
      : "";
  return `${counted(files.size, "new file", "new files")} in a zip file, in the folders that they came in. What lies behind and over the pages is appended to each; all else in it stays as it came, and so do the originals. Each is opened again and held against the pages.${left}`;
}
