import { useState } from "react";
import { useLocation } from "react-router";
import styled from "styled-components";
import { usePairings } from "../api/queries";
import type { PairCell } from "../api/types";
import { useOpened } from "../publication/PublicationScreen";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Choice } from "../ui/Choice";
import { Quiet } from "../ui/Fold";
import { Failed, Notice } from "../ui/Notice";
import { Head, Inner, Main } from "../ui/Sheet";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";
import { Cell } from "./Cell";
import { TypedPair } from "./TypedPair";

const Wide = styled(Inner)`
  max-width: none;
`;

const Scroll = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  border-collapse: collapse;
  background: ${theme.color.paper};
  & th,
  & td {
    min-width: 176px;
    max-width: 200px;
    padding: ${theme.space.one};
    text-align: left;
    vertical-align: top;
    border: 1px solid ${theme.color.rule};
  }
  & th {
    font-weight: 600;
    background: ${theme.color.ground};
  }
  & th > span {
    display: flex;
    align-items: center;
    gap: ${theme.space.one};
  }
`;

type Shown = "all" | "used" | "failing";
type Order = "publication" | "ratio";

/** Every text colour against every colour behind something. */
export function Pairings() {
  const { publication, viewing } = useOpened();
  const { search } = useLocation();
  const given = new URLSearchParams(search);
  const [level, setLevel] = useState<"AA" | "AAA">(publication.setup.level);
  const [shown, setShown] = useState<Shown>("all");
  const [order, setOrder] = useState<Order>("publication");
  const [unused, setUnused] = useState(false);
  const pairings = usePairings(publication, level, viewing, unused);

  if (pairings.isPending) {
    return (
      <Main>
        <Notice role="status">Pairing every text colour with what may lie behind it…</Notice>
      </Main>
    );
  }
  if (pairings.isError) {
    return (
      <Main>
        <Notice role="alert">
          <Failed>The pairings could not be worked out.</Failed>
          {pairings.error.message}
          <Button onPress={() => void pairings.refetch()}>Try again</Button>
        </Notice>
      </Main>
    );
  }
  const { texts, backdrops, cells } = pairings.data;
  const failing = cells.filter(
    (cell) => !cell.passes && !cell.excepted && cell.pages.length > 0,
  ).length;
  const wanted = (cell: PairCell) =>
    shown === "all" || (cell.pages.length > 0 && (shown === "used" || !cell.passes));
  const at = (text: number, backdrop: number) =>
    cells.find((cell) => cell.text === text && cell.backdrop === backdrop);
  const rows = sorted(texts.length, order, (row) =>
    Math.min(
      ...cells.filter((cell) => cell.text === row && wanted(cell)).map((cell) => cell.ratio),
    ),
  ).filter((row) => cells.some((cell) => cell.text === row && wanted(cell)));
  const columns = sorted(backdrops.length, order, (column) =>
    Math.min(
      ...cells.filter((cell) => cell.backdrop === column && wanted(cell)).map((cell) => cell.ratio),
    ),
  ).filter((column) => cells.some((cell) => cell.backdrop === column && wanted(cell)));

  return (
    <Main>
      <Wide>
        <Head>
          <h1>Pairings</h1>
          <Choice
            label="Show"
            value={shown}
            options={[
              { id: "all", label: "All pairs" },
              { id: "used", label: "Pairs that occur" },
              { id: "failing", label: "Pairs that fail" },
            ]}
            onChange={(id) => setShown(id as Shown)}
          />
          <Choice
            label="Held to"
            value={level}
            options={[
              { id: "AA", label: "WCAG 2.2, AA" },
              { id: "AAA", label: "WCAG 2.2, AAA" },
            ]}
            onChange={(id) => setLevel(id as "AA" | "AAA")}
          />
          <Choice
            label="Order"
            value={order}
            options={[
              { id: "publication", label: "As they occur" },
              { id: "ratio", label: "Lowest ratio first" },
            ]}
            onChange={(id) => setOrder(id as Order)}
          />
          <Tick
            label="Swatches that might be used, too"
            checked={unused}
            onChange={(checked) => {
              setUnused(checked);
              setShown(checked ? "all" : shown);
            }}
          />
        </Head>
        <p>
          {counted(failing, "pair that occurs fails", "pairs that occur fail")}. A pair is judged by
          the smallest text set in it; one that does not occur, as normal text.
          {viewing === "AS_DESIGNED" ? "" : " Judged as seen under this viewing."}
        </p>
        <TypedPair
          key={search}
          publication={publication}
          viewing={viewing}
          sampled={{ text: given.get("text") ?? "", backdrop: given.get("backdrop") ?? "" }}
        />
        {rows.length === 0 ? (
          <p>No pair to show. {texts.length === 0 ? "Put text on a page first." : ""}</p>
        ) : (
          <Scroll tabIndex={0} role="region" aria-label="Matrix of text colours and backgrounds">
            <Table>
              <thead>
                <tr>
                  <th scope="col">Text on background</th>
                  {columns.map((column) => (
                    <th key={column} scope="col">
                      <span>
                        <Chip $color={backdrops[column]?.screen ?? "transparent"} $size={22} />
                        {backdrops[column]?.name}
                      </span>
                      <Quiet>{backdrops[column]?.values}</Quiet>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => (
                  <tr key={row}>
                    <th scope="row">
                      <span>
                        <Chip $color={texts[row]?.screen ?? "transparent"} $size={22} />
                        {texts[row]?.name}
                      </span>
                      <Quiet>{texts[row]?.values}</Quiet>
                    </th>
                    {columns.map((column) => {
                      const cell = at(row, column);
                      return (
                        <td key={column}>
                          {cell && wanted(cell) && (
                            <Cell
                              publication={publication}
                              cell={cell}
                              text={texts[row]}
                              backdrop={backdrops[column]}
                            />
                          )}
                        </td>
                      );
                    })}
                  </tr>
                ))}
              </tbody>
            </Table>
          </Scroll>
        )}
      </Wide>
    </Main>
  );
}

function sorted(count: number, order: Order, by: (index: number) => number): number[] {
  const indexes = Array.from({ length: count }, (_, index) => index);
  return order === "publication" ? indexes : indexes.sort((a, b) => by(a) - by(b));
}
