import { useMemo, type RefObject } from "react";
import styled from "styled-components";
import type { Finding, Publication } from "../api/types";
import { FindingRow } from "./FindingRow";
import { Group, Listed } from "./Listed";
import { theme } from "../theme";

const Rows = styled.ul`
  & > li {
    border-top: 1px solid ${theme.color.rule};
  }
  & > li:first-child {
    border-top: 0;
  }
`;

/** About so high is a finding, and what stands around those of a page, in pixels. */
const FINDING = 170;
const AROUND = 60;

/** Pages in their order, each with what was found on it. */
function byPage(findings: Finding[]): [number, Finding[]][] {
  const pages = new Map<number, Finding[]>();
  for (const finding of findings) {
    const found = pages.get(finding.page);
    if (found) {
      found.push(finding);
    } else {
      pages.set(finding.page, [finding]);
    }
  }
  return [...pages];
}

export function ByPage({
  publication,
  findings,
  scroller,
}: {
  publication: Publication;
  findings: Finding[];
  scroller: RefObject<HTMLElement | null>;
}) {
  const pages = useMemo(() => byPage(findings), [findings]);
  return (
    <Listed
      entries={pages}
      keyOf={([page]) => String(page)}
      heightOf={([, found]) => AROUND + FINDING * found.length}
      scroller={scroller}
    >
      {([page, found]) => (
        <Group aria-label={`Page ${page}`}>
          <h2>Page {page}</h2>
          <Rows>
            {found.map((finding) => (
              <li key={finding.key}>
                <FindingRow publication={publication} finding={finding} />
              </li>
            ))}
          </Rows>
        </Group>
      )}
    </Listed>
  );
}
