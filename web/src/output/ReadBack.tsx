import styled from "styled-components";
import type { Job, PageReport } from "../api/types";
import { theme } from "../theme";
import { Fold, Name } from "../ui/Fold";
import { Failed } from "../ui/Notice";

type Report = NonNullable<Job["report"]>;

const Scroll = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: ${theme.size.small};
  & th,
  & td {
    padding: ${theme.space.half} ${theme.space.one};
    text-align: left;
    vertical-align: top;
    border-top: 1px solid ${theme.color.rule};
  }
  & td:not(:nth-child(3)) {
    white-space: nowrap;
  }
  & thead th {
    font-weight: 600;
    border-top: 0;
  }
`;

const Verdict = styled.p`
  font-size: ${theme.size.large};
`;

/** What was found when the file was opened again, page by page. */
export function ReadBack({ report }: { report: Report }) {
  const wrong = report.pages.filter((page) => !page.matches);
  return (
    <div>
      <Verdict>
        {report.matches ? (
          <>
            <strong>✓ Read back: all {report.pages.length} pages match.</strong> Page boxes, what
            stands in each corner of the bleed, and every text colour are as composed.
          </>
        ) : (
          <Failed>✕ Read back: {wrong.length} pages differ from what was composed.</Failed>
        )}
      </Verdict>
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
                <th scope="col">Corners of the bleed</th>
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
  const corners = new Map<string, string[]>();
  page.corners.forEach((corner) => {
    const key = corner.matches
      ? inWords(corner.found)
      : `${inWords(corner.found)} instead of ${inWords(corner.expected)}`;
    corners.set(key, [...(corners.get(key) ?? []), corner.corner]);
  });
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
        {[...corners].map(([ink, where]) => (
          <div key={ink}>
            {where.length === 4 ? "All four" : where.join(", ")}: {ink}
          </div>
        ))}
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
        {page.matches ? "✓ matches" : <Failed>✕ differs</Failed>}
        {page.problems.map((problem) => (
          <div key={problem}>{problem}</div>
        ))}
      </td>
    </tr>
  );
}

function inWords(ink: string | undefined): string {
  return ink ?? "bare stock";
}

function millimetres(points: number): string {
  return String(Number(((points * 25.4) / 72).toFixed(2)));
}
