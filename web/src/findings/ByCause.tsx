import { useMemo, useState, type RefObject } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import type { Finding, Publication } from "../api/types";
import { byCause, type Cause } from "./causes";
import { FindingRow, onBench, Wrong } from "./FindingRow";
import { Group, Listed } from "./Listed";
import { MendAll } from "./MendAll";
import { titles } from "./titles";
import { theme } from "../theme";
import { QuietButton } from "../ui/Button";
import { Quiet } from "../ui/Fold";
import { capital, counted, numbersInWords } from "../ui/words";

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 ${theme.space.two};
  & h2 {
    margin-right: auto;
  }
`;

const Other = styled.div`
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr) 150px;
  gap: ${theme.space.two};
  align-items: center;
  padding: 2px ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  border-top: 0;
  & a {
    display: inline-flex;
    align-items: center;
    min-height: ${theme.hit};
  }
  &.last {
    margin-bottom: ${theme.space.two};
  }
  & q {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

type Entry = { key: string; cause: Cause } | { key: string; other: Finding; isLast: boolean };

const GROUP = 250;
const OTHER = 34;

/** What one change would mend stands together: the worst place, and the others on demand. */
export function ByCause({
  publication,
  findings,
  worstFirst,
  scroller,
}: {
  publication: Publication;
  findings: Finding[];
  worstFirst: boolean;
  scroller: RefObject<HTMLElement | null>;
}) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const entries = useMemo(() => {
    const all: Entry[] = [];
    for (const cause of byCause(findings, worstFirst)) {
      all.push({ key: cause.id, cause });
      if (open.has(cause.id)) {
        cause.findings.slice(1).forEach((other, at, others) =>
          all.push({
            key: `${cause.id} ${other.key} ${at}`,
            other,
            isLast: at === others.length - 1,
          }),
        );
      }
    }
    return all;
  }, [findings, worstFirst, open]);
  const turn = (id: string) => {
    const turned = new Set(open);
    if (!turned.delete(id)) {
      turned.add(id);
    }
    setOpen(turned);
  };
  return (
    <Listed
      entries={entries}
      keyOf={({ key }) => key}
      heightOf={(entry) => ("cause" in entry ? GROUP : OTHER)}
      scroller={scroller}
    >
      {(entry) =>
        "cause" in entry ? (
          <One
            publication={publication}
            cause={entry.cause}
            isOpen={open.has(entry.cause.id)}
            onTurn={() => turn(entry.cause.id)}
          />
        ) : (
          <Other className={entry.isLast ? "last" : ""}>
            <Link to={onBench(publication, entry.other)}>Page {entry.other.page}</Link>
            <q lang="en">{entry.other.text}</q>
            <span>
              <Wrong finding={entry.other} />
            </span>
          </Other>
        )
      }
    </Listed>
  );
}

function One({
  publication,
  cause,
  isOpen,
  onTurn,
}: {
  publication: Publication;
  cause: Cause;
  isOpen: boolean;
  onTurn: () => void;
}) {
  const [worst] = cause.findings;
  if (!worst) {
    return null;
  }
  const pages = [...new Set(cause.findings.map(({ page }) => page))];
  const places = counted(cause.findings.length, "place", "places");
  return (
    <Group
      aria-label={`${titles[worst.kind]}: ${cause.words}`}
      style={isOpen ? { marginBottom: 0 } : undefined}
    >
      <Head className="head">
        <h2>{cause.words}</h2>
        <Quiet>
          {cause.findings.length > 1 && `${places}, `}
          {pages.length > 12
            ? `${pages.length} pages`
            : cause.findings.length > 1
              ? numbersInWords(pages)
              : capital(numbersInWords(pages))}
        </Quiet>
        {cause.findings.length > 1 && worst.kind === "contrast" && (
          <MendAll publication={publication} cause={worst.cause} places={places} />
        )}
        {cause.findings.length > 1 && (
          <QuietButton aria-expanded={isOpen} onPress={onTurn}>
            {isOpen ? "Show the worst only" : `Show all ${places}`}
          </QuietButton>
        )}
      </Head>
      <FindingRow publication={publication} finding={worst} />
    </Group>
  );
}
