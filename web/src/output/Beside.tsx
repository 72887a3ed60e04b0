import { useState } from "react";
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

/**
 * Pages that differ, beside each other, with where they do: of two files, or of a file and the
 * publication as it is now.
 */
export function Beside({ job, pages }: { job: Job; pages: PageReport[] }) {
  const [first, second] = job.compared;
  if (first === undefined || pages.length === 0) {
    return null;
  }
  return (
    <>
      <Pages aria-label="Pages that differ">
        {pages.slice(0, MOST).map((page) => (
          <li key={page.number}>
            <p>
              <strong>Page {shownNumber(page)}.</strong> {moved(page)}
              {inWords(page)}
            </p>
            <Three>
              <Picture
                address={inFile(first, page.other?.number ?? page.number)}
                alt={`Page ${page.other?.number ?? page.number} of the ${second ? "first " : ""}file`}
                caption={second ? "First file" : "The file"}
              />
              {second ? (
                <Picture
                  address={inFile(second, page.number)}
                  alt={`Page ${page.number} of the second file`}
                  caption="Second file"
                />
              ) : (
                <Picture
                  address={inPublication(job, page)}
                  alt={`Page ${shownNumber(page)} as it is now`}
                  caption="Now"
                />
              )}
              {page.painted.picture && (
                <figure>
                  <img
                    src={`data:image/png;base64,${page.painted.picture}`}
                    alt={`Where page ${shownNumber(page)} differs`}
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

/** Of a file or a page that there is no more, there is no picture. */
function Picture({
  address,
  alt,
  caption,
}: {
  address: string | undefined;
  alt: string;
  caption: string;
}) {
  const [isGone, setGone] = useState(false);
  if (!address || isGone) {
    return null;
  }
  return (
    <figure>
      <img src={address} alt={alt} loading="lazy" onError={() => setGone(true)} />
      <figcaption>{caption}</figcaption>
    </figure>
  );
}

/** The address of a page of a file, cut at its trim. */
function inFile(job: string, number: number): string {
  return `/api/jobs/${job}/pages/${number}/picture`;
}

/** The same of a page of the publication. */
function inPublication(job: Job, { page, boxes }: PageReport): string | undefined {
  const trim = boxes.find((box) => box.box === "TrimBox")?.expected;
  return page && trim
    ? `/api/publications/${job.publication}/pages/${page}/region?x=0&y=0&width=${millimetresOf(trim.width)}&height=${millimetresOf(trim.height)}`
    : undefined;
}

function millimetresOf(points: number): number {
  return (points / 72) * 25.4;
}

/** Where it stood before, if that was elsewhere. */
export function moved(page: PageReport): string {
  const before = page.other?.label;
  return before && before !== shownNumber(page) ? `It was page ${before}. ` : "";
}

/** What readers show for it. */
export function shownNumber({ label, number }: PageReport): string {
  return label ?? String(number);
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
