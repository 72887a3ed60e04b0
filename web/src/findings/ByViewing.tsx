import { useMemo, useState, type RefObject } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { useLegibility } from "../api/queries";
import type { Publication, Schemas, Viewing } from "../api/types";
import { viewings as labelled } from "../publication/viewings";
import { checkedInWords } from "./counted";
import { Listed } from "./Listed";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Quiet } from "../ui/Fold";
import { Failed, Notice } from "../ui/Notice";
import { counted } from "../ui/words";

type Row = Schemas["ViewingRow"];

const Line = styled.div<{ $columns: number }>`
  display: grid;
  grid-template-columns: minmax(180px, 1fr) repeat(${({ $columns }) => $columns}, 74px);
  gap: 0 ${theme.space.one};
  align-items: center;
  padding: 4px ${theme.space.two};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  border-top: 0;
  & > .ratio {
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  & .words {
    min-width: 0;
  }
  & q,
  & .words > span {
    display: block;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  & a {
    display: inline-flex;
    align-items: center;
    min-height: ${theme.hit};
  }
`;

const HeadLine = styled(Line)`
  position: sticky;
  top: 0;
  z-index: 1;
  align-items: end;
  border-top: 1px solid ${theme.color.rule};
  font-size: ${theme.size.small};
  font-weight: 600;
`;

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.two};
  & > div {
    width: 240px;
  }
`;

const HEIGHT = 54;

/** Each text that fails under some viewing, with its ratio under every one. */
export function ByViewing({
  publication,
  search,
  scroller,
}: {
  publication: Publication;
  search: string;
  scroller: RefObject<HTMLElement | null>;
}) {
  const table = useLegibility(publication);
  const [only, setOnly] = useState<Viewing | "ANY">("ANY");
  const labels = new Map(labelled(publication).map(({ id, label }) => [id, label]));
  const columns = table.data?.viewings;
  const rows = useMemo(() => {
    const at = columns?.findIndex(({ viewing }) => viewing === only) ?? -1;
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    return (table.data?.rows ?? []).filter((row) => {
      const all = `${row.text} ${row.color} ${row.behind} page ${row.page}`.toLowerCase();
      return (
        (at < 0 || (row.ratios[at] ?? 21) < row.required) &&
        words.every((word) => all.includes(word))
      );
    });
  }, [table.data, columns, only, search]);

  if (table.isPending) {
    return <Notice role="status">Judging every word under every viewing…</Notice>;
  }
  if (table.isError) {
    return (
      <Notice role="alert">
        <Failed>The pages could not be judged.</Failed>
        {table.error.message}
        <Button onPress={() => void table.refetch()}>Try again</Button>
      </Notice>
    );
  }
  const { viewings, failing, runs, checked, pages } = table.data;
  const label = (viewing: Viewing) => labels.get(viewing) ?? viewing;
  return (
    <>
      {checked < pages && <p role="status">{checkedInWords({ checked, pages })}</p>}
      <p>
        {failing === 0
          ? `All ${counted(runs, "text", "texts")} pass under every viewing.`
          : `${failing} of ${counted(runs, "text", "texts")} fail under some viewing, the worst first.`}
        {rows.length < failing &&
          only === "ANY" &&
          search === "" &&
          ` The worst ${rows.length} are listed.`}
      </p>
      {failing > 0 && (
        <>
          <Bar>
            <Choice
              label="Failing"
              value={only}
              options={[
                { id: "ANY", label: `Under any viewing, ${failing}` },
                ...viewings.map((each) => ({
                  id: each.viewing,
                  label: `${label(each.viewing)}, ${each.failing}`,
                })),
              ]}
              onChange={(id) => setOnly(id as Viewing | "ANY")}
            />
          </Bar>
          <div role="table" aria-label="Text by viewings" aria-rowcount={rows.length + 1}>
            <HeadLine $columns={viewings.length} role="row" aria-rowindex={1}>
              <span role="columnheader">Text</span>
              {viewings.map(({ viewing }) => (
                <span key={viewing} role="columnheader" className="ratio">
                  {label(viewing)}
                </span>
              ))}
            </HeadLine>
            <Listed
              entries={rows.map((row, at) => ({ row, at }))}
              keyOf={({ row }) => `${row.pageId} ${row.run}`}
              heightOf={() => HEIGHT}
              scroller={scroller}
            >
              {({ row, at }) => <One publication={publication} row={row} at={at} />}
            </Listed>
          </div>
        </>
      )}
    </>
  );
}

function One({ publication, row, at }: { publication: Publication; row: Row; at: number }) {
  const x = (row.where.x + Math.min(3, row.where.width / 2)).toFixed(1);
  const y = (row.where.y + 1.2).toFixed(1);
  return (
    <Line $columns={row.ratios.length} role="row" aria-rowindex={at + 2}>
      <span role="rowheader" className="words">
        <q lang="en">{row.text}</q>
        <Quiet>
          <Link to={`/publications/${publication.id}?page=${row.page}&x=${x}&y=${y}`}>
            Page {row.page}
          </Link>
          , needs {row.required} : 1, {row.color} on {row.behind}
          {row.exemption && !row.exemption.ended && "; excepted"}
        </Quiet>
      </span>
      {row.ratios.map((ratio, column) => (
        <span key={column} role="cell" className="ratio">
          {ratio === undefined || ratio === null ? (
            "none"
          ) : ratio < row.required ? (
            <Failed>✕ {ratio.toFixed(2)}</Failed>
          ) : (
            ratio.toFixed(2)
          )}
        </span>
      ))}
    </Line>
  );
}
