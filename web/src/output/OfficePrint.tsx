import { keepPreviousData, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import styled from "styled-components";
import { answered, client } from "../api/client";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Quiet } from "../ui/Fold";
import { Failed } from "../ui/Notice";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";
import { Column, Parts } from "./Offer";

const Sheets = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: ${theme.space.two};
  max-height: 560px;
  margin: 0;
  padding: ${theme.space.two};
  overflow: auto;
  list-style: none;
  background: ${theme.color.desk};
`;

const Leaf = styled.li`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
  & img {
    width: 100%;
    border: 1px solid ${theme.color.edge};
    forced-color-adjust: none;
  }
  & > div {
    padding: 4px 6px;
    overflow-wrap: anywhere;
    background: ${theme.color.paper};
  }
`;

/** So many pages come out at once. */
const STEP = 100;
const MOST_WORDS = 3;

/** A simulated office printer: what comes out of it, page by page, before paper is spent. */
export function OfficePrint({ publication }: { publication: Publication }) {
  const [printer, setPrinter] = useState("slate");
  const [backgrounds, setBackgrounds] = useState(false);
  const [mono, setMono] = useState(false);
  const [saving, setSaving] = useState(false);
  const [duplex, setDuplex] = useState(false);
  const [spreads, setSpreads] = useState(false);
  const [from, setFrom] = useState(1);
  const shown = useQuery({
    queryKey: [
      "office-print",
      publication.id,
      publication.revision,
      { printer, backgrounds, mono, saving, duplex, spreads, from },
    ],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/office-print", {
          params: {
            path: { id: publication.id },
            query: { printer, backgrounds, mono, saving, duplex, spreads, from },
          },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  const pages = shown.data?.pages ?? [];
  // they are there, too, where what is wanted is refused
  const known = useQueryClient()
    .getQueriesData<NonNullable<typeof shown.data>>({ queryKey: ["office-print", publication.id] })
    .find(([, data]) => data !== undefined);
  const printers = shown.data?.printers ?? known?.[1]?.printers ?? [];
  const wrong = pages.filter((page) => page.troubles.length > 0).length;
  const model = printers.find(({ id }) => id === printer);
  const query = new URLSearchParams({
    printer,
    backgrounds: String(backgrounds),
    mono: String(mono),
    saving: String(saving),
    spreads: String(spreads),
    of: String(publication.revision),
  });
  return (
    <Parts $right="2fr" aria-label="A simulated office printer">
      <Column>
        <h2>What comes out of an office printer</h2>
        <p>Simulated, with the pages as they are now, so that no paper is spent.</p>
        <Choice
          label="Printer"
          value={printer}
          options={printers.map(({ id, name }) => ({ id, label: name }))}
          onChange={setPrinter}
        />
        {model && (
          <Quiet>
            It does not print {model.top} mm at the top, {model.bottom} mm at the bottom and{" "}
            {model.left} mm at the sides.
          </Quiet>
        )}
        <Tick label="Backgrounds are printed" checked={backgrounds} onChange={setBackgrounds} />
        {model?.color && <Tick label="Black toner only" checked={mono} onChange={setMono} />}
        <Tick label="Save toner" checked={saving} onChange={setSaving} />
        <Tick label="On both sides" checked={duplex} onChange={setDuplex} />
        {publication.setup.facing && (
          <Tick
            label="Facing pages on one side"
            checked={spreads}
            onChange={(on) => {
              setSpreads(on);
              setFrom(1);
            }}
          />
        )}
        {shown.isError && <Failed>✕ {shown.error.message}</Failed>}
        {shown.isPending && <p role="status">Printing…</p>}
        {shown.data && (
          <p role="status">
            {wrong === 0 ? (
              "✓ All words can be read."
            ) : (
              <Failed>
                ✕ On {counted(wrong, "page", "pages")} there are words that cannot be read.
              </Failed>
            )}
          </p>
        )}
        {publication.pages.length > STEP && (
          <div>
            <Button onPress={() => setFrom(from - STEP)} isDisabled={from === 1}>
              Pages before
            </Button>
            <Button
              onPress={() => setFrom(from + STEP)}
              isDisabled={from + STEP > publication.pages.length}
            >
              Pages after
            </Button>
          </div>
        )}
      </Column>
      {!shown.isError && (
        <Sheets tabIndex={0} aria-label="Pages as they come out">
          {pages.map((page) => (
            <Leaf key={page.number}>
              <img
                src={`/api/publications/${publication.id}/office-print/${page.number}?${query}`}
                alt={`Page ${page.label} as it comes out`}
                loading="lazy"
              />
              <div>
                Page {page.label} <Quiet as="span">{page.sheet}</Quiet>
                {page.troubles.slice(0, MOST_WORDS).map((trouble) => (
                  <div key={trouble.words + trouble.why}>
                    <Failed>✕ “{shortened(trouble.words)}”</Failed>: {trouble.why}.
                  </div>
                ))}
                {page.troubles.length > MOST_WORDS && (
                  <div>
                    <Failed>✕ {page.troubles.length - MOST_WORDS} more.</Failed>
                  </div>
                )}
              </div>
            </Leaf>
          ))}
        </Sheets>
      )}
    </Parts>
  );
}

const LONGEST = 40;

function shortened(words: string): string {
  return words.length > LONGEST ? `${words.slice(0, LONGEST - 1)}…` : words;
}
