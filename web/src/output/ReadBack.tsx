import styled from "styled-components";
import type { Job, PageReport } from "../api/types";
import { theme } from "../theme";
import { Fold, Name } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { counted } from "../ui/words";
import { Scroll, Table, Verdict } from "./ReportTable";

type Report = NonNullable<Job["report"]>;

const Difference = styled.img`
  width: 180px;
  border: 1px solid ${theme.color.edge};
`;

/** What was found when the file was opened again, page by page. */
export function ReadBack({
  report,
  open,
  compared,
}: {
  report: Report;
  open: number;
  /** Whether it was held against a later state of the publication. */
  compared?: boolean;
}) {
  const wrong = report.pages.filter((page) => !page.matches);
  const same = compared
    ? "✓ Nothing has changed since the file was made"
    : "✓ Read back: the file is what was composed";
  const other = compared
    ? "✕ The publication has changed since the file was made"
    : "✕ Read back: the file is not what was composed";
  return (
    <div>
      <Verdict>
        {report.matches ? (
          <>
            <strong>{same}</strong>, on all of each of its {report.pages.length} pages.
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
          <Failed>✕ It has {counted(open, "finding", "findings")} in it</Failed> that the
          publication has, too: look at them before you pass the file on.
        </p>
      )}
      {report.problems.map((problem) => (
        <p key={problem}>
          <Failed>✕ {problem}</Failed>
        </p>
      ))}
      <Fold head={<Name>Page by page</Name>}>
        <Scroll tabIndex={0} role="region" aria-label="Read-back page by page">
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
                <Row key={page.number} page={page} />
              ))}
            </tbody>
          </Table>
        </Scroll>
      </Fold>
    </div>
  );
}

function Row({ page }: { page: PageReport }) {
  const { painted } = page;
  return (
    <tr>
      <th scope="row">{page.number}</th>
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
            src={`data:image/png;base64,${painted.picture}`}
            alt={`Where page ${page.number} differs`}
          />
        )}
      </td>
      <td>
        {page.textColors.length === 0 && "No text"}
        {page.textColors.map((text, index) => (
          <div key={index}>
            {text.matches ? "" : "✕ "}
            {text.color}: {text.found} of {text.glyphs} glyphs
          </div>
        ))}
      </td>
      <td>
        {page.matches ? "✓ as composed" : <Failed>✕ differs</Failed>}
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
