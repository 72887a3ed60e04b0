import styled from "styled-components";
import type { Job, PageReport } from "../api/types";
import { theme } from "../theme";
import { Fold, Name } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { counted, exactTime } from "../ui/words";
import { Beside, inline, moved, shownNumber } from "./Beside";
import { Scroll, Table, Verdict } from "./ReportTable";

type Report = NonNullable<Job["report"]>;

const Difference = styled.img`
  width: 180px;
  border: 1px solid ${theme.color.edge};
`;

/** Of the file itself, of the file against the publication, and of one file against another. */
const VERDICTS = [
  ["✓ Read back: the file is what was composed", "✕ Read back: the file is not what was composed"],
  [
    "✓ Nothing has changed since the file was made",
    "✕ The publication has changed since the file was made",
  ],
  ["✓ Both files are the same", "✕ The second file differs from the first"],
] as const;

const SAME = ["✓ as composed", "✓ unchanged", "✓ the same"] as const;

/** What was found when the file was opened again, page by page. */
export function ReadBack({ job, report, open }: { job: Job; report: Report; open: number }) {
  const wrong = report.pages.filter((page) => !page.matches);
  const [same, other] = VERDICTS[job.compared.length] ?? VERDICTS[2];
  return (
    <div>
      <Verdict>
        {report.matches ? (
          <>
            <strong>{same}</strong>, over the whole of{" "}
            {report.pages.length === 1 ? "its page" : `each of its ${report.pages.length} pages`}.
          </>
        ) : (
          <Failed>
            {other}
            {wrong.length > 0 && `, on ${counted(wrong.length, "page", "pages")}`}.
          </Failed>
        )}
      </Verdict>
      {open > 0 && (
        <p>
          <Failed>✕ The publication has {counted(open, "finding", "findings")}</Failed>; those on
          the pages of this file are in it: look at them before you pass it on.
        </p>
      )}
      {report.problems.map((problem) => (
        <p key={problem}>
          <Failed>✕ {problem}</Failed>
        </p>
      ))}
      <Beside job={job} pages={wrong} />
      <Fold head={<Name>Page by page</Name>}>
        <Scroll
          tabIndex={0}
          role="region"
          aria-label={`${job.compared.length > 0 ? "Compared page" : "Page"} by page, ${exactTime(job.started)}`}
        >
          <Table>
            <thead>
              <tr>
                <th scope="col">Page</th>
                <th scope="col">Page boxes</th>
                <th scope="col">Painted, all of the page</th>
                <th scope="col">Text colours</th>
                <th scope="col">Verdict</th>
              </tr>
            </thead>
            <tbody>
              {report.pages.map((page) => (
                <Row
                  key={page.number}
                  page={page}
                  isOfTwo={job.compared.length === 2}
                  sameInWords={SAME[job.compared.length] ?? SAME[2]}
                />
              ))}
            </tbody>
          </Table>
        </Scroll>
      </Fold>
    </div>
  );
}

/** @param isOfTwo whether two files are compared, whose text is not counted by colours */
function Row({
  page,
  isOfTwo,
  sameInWords,
}: {
  page: PageReport;
  isOfTwo: boolean;
  sameInWords: string;
}) {
  const { painted } = page;
  return (
    <tr>
      <th scope="row">{shownNumber(page)}</th>
      <td>
        {page.boxes.map((box) => (
          <div key={box.box}>
            {box.matches ? "" : "✕ "}
            {box.box} {millimetres(box.found.width)} × {millimetres(box.found.height)} mm
          </div>
        ))}
      </td>
      <td>
        {painted.matches
          ? `Nowhere off by more than ${painted.largest} %, at ${painted.ppi} pixels per inch`
          : `✕ Off by ${painted.largest} % of ${painted.plate} at ${painted.x}, ${painted.y} mm; ${painted.share} % of the page differs`}
        {painted.picture && (
          <Difference
            src={inline(painted.picture)}
            alt={`Where page ${shownNumber(page)} differs`}
          />
        )}
      </td>
      <td>
        {page.textColors.length === 0 && (isOfTwo ? "See the verdict" : "No text")}
        {page.textColors.map((text, index) => (
          <div key={index}>
            {text.matches ? "" : "✕ "}
            {text.color}: {text.found} of {text.glyphs} glyphs
          </div>
        ))}
      </td>
      <td>
        {page.matches ? sameInWords : <Failed>✕ differs</Failed>}
        {moved(page) && <div>{moved(page)}</div>}
        {page.problems.map((problem) => (
          <div key={problem}>{problem}</div>
        ))}
      </td>
    </tr>
  );
}

function millimetres(points: number): string {
  return String(Number(((points * 25.4) / 72).toFixed(2)));
}
