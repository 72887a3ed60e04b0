import { useState } from "react";
import styled from "styled-components";
import type { Job, PageReport } from "../api/types";
import { theme } from "../theme";
import { counted } from "../ui/words";

/** More pages stand in the table only. */
const MOST = 12;

export const Differing = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.two};
  margin: ${theme.space.one} 0;
  padding: 0;
  list-style: none;
`;

/** Pictures beside each other, each with what it is. */
export const Three = styled.div`
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

const Joined = styled.div`
  display: flex;
  & img {
    min-width: 0;
  }
  & img:not(:last-child) {
    border-right: none;
  }
  & img + img {
    border-left: none;
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
      <Differing aria-label="Pages that differ">
        {pages.slice(0, MOST).map((page) => (
          <li key={page.number}>
            <p>
              <strong>Page {shownNumber(page)}.</strong> {moved(page)}
              {inWords(page)}
            </p>
            <Three>
              <Picture
                addresses={[inFile(first, page.other?.number ?? page.number)]}
                alt={`Page ${page.other?.number ?? page.number} of the ${second ? "first " : ""}file`}
                caption={second ? "First file" : "The file"}
              />
              {second ? (
                <Picture
                  addresses={[inFile(second, page.number)]}
                  alt={`Page ${page.number} of the second file`}
                  caption="Second file"
                />
              ) : (
                <Picture
                  addresses={inPublication(job, page)}
                  alt={`Page ${shownNumber(page)} as it is now`}
                  caption="Now"
                />
              )}
              {page.painted.picture && (
                <Picture
                  addresses={[inline(page.painted.picture)]}
                  alt={`Where page ${shownNumber(page)} differs`}
                  caption="Where they differ"
                />
              )}
            </Three>
          </li>
        ))}
      </Differing>
      {pages.length > MOST && (
        <p>{counted(pages.length - MOST, "more page differs", "more pages differ")}; see below.</p>
      )}
    </>
  );
}

/**
 * @param png in base64
 */
export function inline(png: string): string {
  return `data:image/png;base64,${png}`;
}

/** Of a file or a page that there is no more, there is no picture. */
export function Picture({
  addresses,
  alt,
  caption,
}: {
  /** From left to right: pages that face each other are one. */
  addresses: string[];
  alt: string;
  caption: string;
}) {
  const [isGone, setGone] = useState(false);
  if (addresses.length === 0 || isGone) {
    return null;
  }
  return (
    <figure>
      <Joined>
        {addresses.map((address, at) => (
          <img
            key={address}
            src={address}
            alt={at === 0 ? alt : ""}
            loading="lazy"
            onError={() => setGone(true)}
          />
        ))}
      </Joined>
      <figcaption>{caption}</figcaption>
    </figure>
  );
}

/** The address of a page of a file, cut at its trim. */
function inFile(job: string, number: number): string {
  return `/api/jobs/${job}/pages/${number}/picture`;
}

/** The same of a page of the publication. */
function inPublication(job: Job, { page, facing, boxes }: PageReport): string[] {
  const trim = boxes.find((box) => box.box === "TrimBox")?.expected;
  const pages = [page, facing].filter((each) => each !== undefined);
  return trim
    ? pages.map(
        (each) =>
          `/api/publications/${job.publication}/pages/${each}/region?x=0&y=0&width=${millimetresOf(trim.width / pages.length)}&height=${millimetresOf(trim.height)}`,
      )
    : [];
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
  const other = boxes.filter((box) => !box.matches);
  const resized = other.some(
    ({ expected, found }) =>
      Math.abs(expected.width - found.width) > 0.01 ||
      Math.abs(expected.height - found.height) > 0.01,
  );
  const size =
    other.length === 0
      ? []
      : [
          resized
            ? "It has another size."
            : "Its edges are elsewhere, as on the other side of a spread.",
        ];
  const color = painted.matches
    ? []
    : [
        `Its colours differ on ${painted.share} % of it, the most at ${painted.x}, ${painted.y} mm: by ${painted.largest} % of ${painted.plate}.`,
      ];
  return [...size, ...problems, ...color].join(" ");
}
