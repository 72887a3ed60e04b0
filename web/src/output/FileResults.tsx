import styled from "styled-components";
import type { Job } from "../api/types";
import { theme } from "../theme";
import { Failed } from "../ui/Notice";
import { counted, exactTime } from "../ui/words";
import { Differing, inline, Picture, Three } from "./Beside";
import { isOutput } from "./kinds";
import { Scroll, Table, Verdict } from "./ReportTable";

/** Drawn from the file that was exported. */
const Small = styled.img`
  display: block;
  width: 64px;
  height: 64px;
  object-fit: contain;
  forced-color-adjust: none;
`;

const Files = styled(Table)`
  & td {
    vertical-align: middle;
  }
`;

const Named = styled.span`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
`;

/** What became of each file of a set, or what differs where two are compared. */
export function FileResults({ job }: { job: Job }) {
  const { files } = job;
  const wrong = files.filter((file) => file.problem).length;
  const isComparison = job.kind === "COMPARISON";
  const drawn = isComparison ? job.compared[0] : job.id;
  return (
    <div>
      <Verdict>
        {isComparison ? (
          <Compared job={job} wrong={wrong} />
        ) : wrong === 0 ? (
          <>
            <strong>✓ Read back: all is where it should be</strong>, in{" "}
            {counted(files.length, "file", "files")}.
          </>
        ) : (
          <Failed>
            ✕ {counted(wrong, "file is", "files are")} missing or not as they should be, of{" "}
            {files.length}.
          </Failed>
        )}
      </Verdict>
      <Pictures job={job} />
      <Scroll tabIndex={0} role="region" aria-label={`Files, ${exactTime(job.started)}`}>
        <Files>
          <thead>
            <tr>
              <th scope="col">File</th>
              <th scope="col">{isComparison || isOutput(job.kind) ? "Pages" : "Pages changed"}</th>
              <th scope="col">Verdict</th>
            </tr>
          </thead>
          <tbody>
            {files.map((file, at) => (
              <tr key={file.name}>
                <th scope="row">
                  <Named>
                    {file.shown !== undefined && (
                      <Small
                        src={`/api/jobs/${drawn}/files/${at}/picture`}
                        alt={`Page ${file.shown} of the ${isComparison ? "first" : "new"} file`}
                        loading="lazy"
                        onError={(event) => {
                          event.currentTarget.hidden = true; // of a very large file there is none
                        }}
                      />
                    )}
                    {file.name}
                  </Named>
                </th>
                <td>{file.pages}</td>
                <td>
                  {file.problem ? (
                    <Failed>✕ {file.problem}</Failed>
                  ) : isComparison ? (
                    "✓ the same"
                  ) : (
                    "✓ as it should be"
                  )}
                  {file.repaired && (
                    <div>It came damaged, and was written again instead of added to.</div>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Files>
      </Scroll>
    </div>
  );
}

/** Of pictures and drawings that differ. */
function Pictures({ job }: { job: Job }) {
  const differing = job.files.flatMap((file, at) =>
    file.difference ? [{ file, at, difference: file.difference }] : [],
  );
  const first = job.compared[0];
  const isOfTwo = job.compared.length > 1;
  if (first === undefined || differing.length === 0) {
    return null;
  }
  return (
    <Differing aria-label="Files that differ">
      {differing.map(({ file, at, difference }) => (
        <li key={file.name}>
          <p>
            <strong>{file.name}.</strong> {file.problem}
          </p>
          <Three>
            <Picture
              addresses={[`/api/jobs/${first}/files/${at}/picture`]}
              alt={`${file.name} ${isOfTwo ? "of the first output" : "as it was made"}`}
              caption={isOfTwo ? "First output" : "In the file"}
            />
            <Picture
              addresses={[inline(difference.other)]}
              alt={`${file.name} ${isOfTwo ? "of the second output" : "as it is now"}`}
              caption={isOfTwo ? "Second output" : "Now"}
            />
            {difference.where && (
              <Picture
                addresses={[inline(difference.where)]}
                alt={`Where ${file.name} differs`}
                caption="Where they differ"
              />
            )}
          </Three>
        </li>
      ))}
    </Differing>
  );
}

function Compared({ job, wrong }: { job: Job; wrong: number }) {
  const all = counted(job.files.length, "file", "files");
  if (job.compared.length > 1) {
    return wrong === 0 ? (
      <>
        <strong>✓ Both are the same</strong>, in {all}.
      </>
    ) : (
      <Failed>
        ✕ {counted(wrong, "file differs", "files differ")}, of {job.files.length}.
      </Failed>
    );
  }
  return wrong === 0 ? (
    <>
      <strong>✓ Nothing has changed since it was made</strong>, in {all}.
    </>
  ) : (
    <Failed>
      ✕ The publication has changed since it was made:{" "}
      {counted(wrong, "file differs", "files differ")}, of {job.files.length}.
    </Failed>
  );
}
