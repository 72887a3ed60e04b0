import styled from "styled-components";
import type { Job, PageReport } from "../api/types";
import { theme } from "../theme";
import { counted } from "../ui/words";

/** More pages stand in the table only. */
const MOST = 12;

const Pages = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.two};
  margin: ${theme.space.one} 0;
  padding: 0;
  list-style: none;
`;

const Three = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.two};
  & figure {
    margin: 0;
  }
  & img {
    display: block;
    height: 200px;
    min-width: 100px;
    border: 1px solid ${theme.color.edge};
    forced-color-adjust: none;
  }
`;

/** Pages of two files that differ, beside each other, with where they do. */
export function Beside({ job, pages }: { job: Job; pages: PageReport[] }) {
  const [first, second] = job.compared;
  if (first === undefined || second === undefined || pages.length === 0) {
    return null;
  }
  return (
    <>
      <Pages aria-label="Pages that differ">
        {pages.slice(0, MOST).map((page) => (
          <li key={page.number}>
            <p>
              <strong>Page {page.other?.label ?? page.number}.</strong> {inWords(page)}
            </p>
            <Three>
              <Picture job={first} page={page.other?.number ?? page.number} of="First file" />
              <Picture job={second} page={page.number} of="Second file" />
              {page.painted.picture && (
                <figure>
                  <img
                    src={`data:image/png;base64,${page.painted.picture}`}
                    alt={`Where page ${page.other?.label ?? page.number} differs`}
                  />
                  <figcaption>Where they differ</figcaption>
                </figure>
              )}
            </Three>
          </li>
        ))}
      </Pages>
      {pages.length > MOST && (
        <p>{counted(pages.length - MOST, "more page differs", "more pages differ")}; see below.</p>
      )}
    </>
  );
}

function Picture({ job, page, of }: { job: string; page: number; of: string }) {
  return (
    <figure>
      <img
        src={`/api/jobs/${job}/pages/${page}/picture`}
        alt={`Page ${page} of the ${of.toLowerCase()}`}
        loading="lazy"
        onError={(event) => {
          event.currentTarget.hidden = true; // the file was removed meanwhile
        }}
      />
      <figcaption>{of}</figcaption>
    </figure>
  );
}

function inWords({ boxes, painted, problems }: PageReport): string {
  const size = boxes.some((box) => !box.matches) ? ["It has another size."] : [];
  const color = painted.matches
    ? []
    : [
        `Its colours differ on ${painted.share} % of it, the most at ${painted.x}, ${painted.y} mm: by ${painted.largest} % of ${painted.plate}.`,
      ];
  return [...size, ...problems, ...color].join(" ");
}
