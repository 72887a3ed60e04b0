import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { answered, client } from "../api/client";
import { useSteps } from "../api/steps";
import type { Asset, Publication, Schemas } from "../api/types";
import { hex } from "../color/spaces";
import { BoxFields } from "../scope/BoxFields";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Field } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { useStatus } from "../ui/Status";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { shownLength } from "../ui/length";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";
import { counted, numbersInWords } from "../ui/words";
import { Backings } from "./Backings";
import { Sides } from "./Sides";

type Recolor = Schemas["Recolor"];
type What = Recolor["what"][number];
type Box = NonNullable<Recolor["area"]>;
type Where = "file" | "page" | "area";
type OfFile = Schemas["OfFile"];
type Match = Schemas["Match"];

/** In the place of a swatch. */
const nothing = "nothing";

const whats: Record<What, [string, string, string]> = {
  TEXT: ["Text", "letter", "letters"],
  LINES: ["Lines", "line", "lines"],
  FILLS: ["Fills", "shape", "shapes"],
  PICTURES: ["Pixels of pictures", "picture", "pictures"],
};

const others: Record<string, [string, string]> = {
  PICTURES: ["picture", "pictures"],
  OTHER_PICTURES: ["picture that cannot change", "pictures that cannot change"],
  PATTERNS: ["pattern", "patterns"],
  GRADIENTS: ["gradient", "gradients"],
  ANNOTATIONS: ["annotation", "annotations"],
};

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: ${theme.space.three};
  @media ${theme.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const List = styled(Aria.ListBox)`
  max-height: 320px;
  overflow: auto;
  border: 1px solid ${theme.color.rule};
  outline-offset: -2px;
`;

const Row = styled(Aria.ListBoxItem)`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  min-height: 36px;
  padding: 2px ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
  cursor: pointer;
  outline-offset: -2px;
  &[data-hovered] {
    background: ${theme.color.activeSoft};
  }
  &[data-selected] {
    background: ${theme.color.activeSoft};
    font-weight: 600;
  }
  & > small {
    margin-left: auto;
    text-align: right;
    font-weight: 400;
  }
`;

const Fields = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
`;

const Taken = styled.li`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  min-height: ${theme.hit};
  & > button {
    margin-left: auto;
  }
`;

function things(colors: OfFile[]): string {
  return colors
    .map(({ what, count }) => counted(count, ...(names(what) ?? ["thing", "things"])))
    .join(", ");
}

/** How many of each kind there are in all colours. */
function totals(colors: OfFile[]): Match[] {
  return (Object.keys(whats) as What[]).flatMap((what) => {
    const count = colors
      .filter((each) => each.what === what)
      .reduce((sum, each) => sum + each.count, 0);
    return count === 0 ? [] : [{ what, count }];
  });
}

const inNumbers = (matches: Match[]) =>
  matches
    .map(({ what, count }) =>
      counted(count, ...(names(what) ?? others[what] ?? ["thing", "things"])),
    )
    .join(", ");

/** What would change, and what would stay. */
function Foretold({
  counts,
  error,
}: {
  counts: Schemas["FileMatches"] | undefined;
  error: Error | undefined;
}) {
  if (error) {
    return (
      <p role="alert">
        <Failed>Not counted.</Failed> {error.message}
      </p>
    );
  }
  if (!counts) {
    return <p role="status">Counting…</p>;
  }
  const { changed, pages, stays, read, asked } = counts;
  const cannot = stays.some(({ what }) => what === "OTHER_PICTURES");
  return (
    <>
      <p role="status">
        {changed.length === 0
          ? "Nothing is painted so."
          : `This changes ${inNumbers(changed)}, on ${numbersInWords(pages)} of the file.`}
        {read < asked &&
          ` Counted on the ${read} of ${counted(asked, "page", "pages")} that could be read in time.`}
      </p>
      {stays.length > 0 && <Quiet>{`Stay as they are: ${inNumbers(stays)}.`}</Quiet>}
      {cannot && (
        <Quiet>
          Pictures cannot change in spot inks, in Lab, in a profile other than sRGB, in more than 8
          bits, as stencils, and within the content of a page.
        </Quiet>
      )}
    </>
  );
}

function names(what: string): [string, string] | undefined {
  const found = whats[what as What] as [string, string, string] | undefined;
  return found ? [found[1], found[2]] : undefined;
}

function rgb(color: string): Recolor["from"] {
  const value = Number.parseInt(color.slice(1), 16);
  return { type: "rgb", red: value >> 16, green: (value >> 8) & 255, blue: value & 255 };
}

function inWords({ x, y, width, height }: Box, unit: Publication["setup"]["unit"]): string {
  const [left, top, wide, high] = [x, y, width, height].map((each) => shownLength(each, unit));
  return `${wide} × ${high} from ${left} across and ${top} down`;
}

/** The colours of a file, and which of them are others here. */
export function RecolorDialog({
  publication,
  asset,
  chosen,
  onClose,
}: {
  publication: Publication;
  asset: Asset;
  /** The numbers of its pages that one comes from, in their order. */
  chosen: number[];
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [page = 1] = chosen;
  const [from, setFrom] = useState<string>();
  const [what, setWhat] = useState<What[]>(["TEXT", "LINES", "FILLS"]);
  const [within, setWithin] = useState(0);
  const [here, setHere] = useState<Where>("file");
  const { setup } = publication;
  const seen = publication.pages.find(
    ({ imported }) => imported?.asset === asset.id && imported.number === page,
  );
  const { width, height } = seen?.size ?? setup.trim;
  const [area, setArea] = useState<Box>({ x: "0 mm", y: "0 mm", width, height });
  const [to, setTo] = useState<string>();
  const read = useQuery({
    queryKey: ["file colours", publication.id, asset.id, asset.sha256, page, from],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/files/{asset}/colors", {
          params: {
            path: { id: publication.id, asset: asset.id },
            query: { first: page, ...(from ? { near: from } : {}) },
          },
        }),
      ),
    placeholderData: (before) => before,
    staleTime: Infinity,
  });
  const pictured = what.includes("PICTURES");
  const counts = useQuery({
    queryKey: ["file matches", publication.id, asset.id, asset.sha256, from, within, what, here]
      .concat(here === "file" ? [] : [chosen.join()])
      .concat(here === "area" ? [JSON.stringify(area)] : []),
    queryFn: () =>
      answered(
        client.POST("/api/publications/{id}/files/{asset}/matches", {
          params: { path: { id: publication.id, asset: asset.id } },
          body: asked(to ?? publication.swatches[0]?.id ?? nothing),
        }),
      ),
    enabled: from !== undefined && what.length > 0 && (here !== "file" || pictured),
    staleTime: Infinity,
  });
  const asked = (into: string): Recolor => ({
    from: rgb(from ?? "#000000"),
    within,
    what,
    pages: here === "file" ? [] : chosen,
    ...(into === nothing ? {} : { to: { swatch: into, tint: 100 } }),
    ...(here === "area" ? { area } : {}),
  });
  const { recolored } = asset;
  const swatch = (id: string) => publication.swatches.find((each) => each.id === id);
  const colors = read.data?.colors ?? [];
  const each = [...new Set(colors.map(({ color }) => color))];
  const matched = colors.filter(
    (one) =>
      from !== undefined &&
      what.includes(one.what as What) &&
      one.difference <= within &&
      (here === "file" || one.pages.some((number) => chosen.includes(number))),
  );
  const stays = read.data?.others ?? [];
  const foretold =
    here === "file" && !pictured
      ? {
          changed: totals(matched),
          pages: [...new Set(matched.flatMap(({ pages }) => pages))].sort(
            (one, next) => one - next,
          ),
          stays: [],
          read: 0,
          asked: 0,
        }
      : counts.data;
  const isNone =
    what.length === 0 ||
    (foretold !== undefined && foretold.changed.length === 0 && foretold.read === foretold.asked);
  const apply = () => {
    if (from && to) {
      steps.make(
        {
          type: "recolorAsset",
          asset: asset.id,
          recolor: asked(to),
        },
        to === nothing
          ? `${from} of “${asset.name}” is see-through`
          : `${from} of “${asset.name}” is painted in “${swatch(to)?.name ?? ""}”`,
      );
      setFrom(undefined);
    }
  };
  return (
    <Modal title={`Colours of “${asset.name}”`} isOpen onClose={onClose} wide>
      {read.isError && (
        <p role="alert">
          <Failed>Not read.</Failed> {read.error.message}
        </p>
      )}
      {read.isPending && <p role="status">Reading the file…</p>}
      {read.data && (
        <Columns>
          <Fields>
            <Quiet>
              {read.data.read < read.data.pages
                ? `Colours on the ${read.data.read} of ${read.data.pages} pages that could be read in time`
                : `Colours on all of its ${counted(read.data.pages, "page", "pages")}`}
            </Quiet>
            <List
              aria-label="Colours of the file"
              selectionMode="single"
              selectedKeys={from ? [from] : []}
              onSelectionChange={(keys) => {
                const [first] = keys === "all" ? [] : [...keys];
                setFrom(first === undefined ? undefined : String(first));
              }}
              renderEmptyState={() => <p>It is painted in no colour that could be another one.</p>}
            >
              {each.map((color) => (
                <Row key={color} id={color} textValue={color}>
                  <Chip $color={color} $size={22} />
                  {color}
                  <small>{things(colors.filter((one) => one.color === color))}</small>
                </Row>
              ))}
            </List>
            <Field
              label="Another colour, such as one of its pictures (#rrggbb)"
              value={from !== undefined && !each.includes(from) ? from : ""}
              onCommit={(typed) => {
                const [, value] = /^\s*#?([\da-f]{6})\s*$/i.exec(typed) ?? [];
                if (value === undefined) {
                  status.fail(`“${typed}” is not a colour; write it as #rrggbb.`);
                  return false;
                }
                setFrom(`#${value.toLowerCase()}`);
                status.say(`Now choose what #${value.toLowerCase()} becomes`);
                return true;
              }}
            />
            {stays.length > 0 && (
              <Quiet>
                {`Stay as they are${
                  stays.some(({ what: kind }) => kind === "PICTURES")
                    ? ", pictures unless they are chosen"
                    : ""
                }: ${stays
                  .map(({ what: kind, count }) =>
                    counted(count, ...(others[kind] ?? ["thing", "things"])),
                  )
                  .join(", ")}.`}
              </Quiet>
            )}
          </Fields>
          <Fields>
            {from === undefined ? (
              <Quiet>
                Choose a colour to paint in another one. The file itself stays as it is.
              </Quiet>
            ) : (
              <>
                <Choice
                  label={`Paint ${from} in`}
                  value={to}
                  options={[
                    { id: nothing, label: "Nothing: see-through" },
                    ...swatchOptions(publication),
                  ]}
                  onChange={(id) => {
                    setTo(id);
                    if (id === nothing) {
                      setWhat(what.filter((kind) => kind !== "TEXT"));
                    }
                  }}
                />
                <Aria.Group aria-label="What is painted in it">
                  {(Object.keys(whats) as What[]).map((kind) => (
                    <Tick
                      key={kind}
                      label={whats[kind][0]}
                      checked={what.includes(kind)}
                      isDisabled={kind === "TEXT" && to === nothing}
                      onChange={(on) =>
                        setWhat(on ? [...what, kind] : what.filter((one) => one !== kind))
                      }
                    />
                  ))}
                </Aria.Group>
                <NumberField
                  label="And colours as near to it as (CIEDE2000)"
                  value={within}
                  onCommit={(typed) => {
                    setWithin(Math.min(50, Math.max(0, typed)));
                  }}
                />
                <Choice
                  label="Where"
                  value={here}
                  options={[
                    { id: "file", label: "On all pages of the file" },
                    { id: "page", label: `On its ${numbersInWords(chosen)} only` },
                    { id: "area", label: `In an area of its ${numbersInWords(chosen)}` },
                  ]}
                  onChange={(id) => setHere(id as Where)}
                />
                {here === "area" && (
                  <Aria.Group aria-label="The area">
                    <Sides>
                      <BoxFields
                        publication={publication}
                        owner={{ type: "onPage", id: seen?.id ?? "" }}
                        sides="BOTH"
                        box={area}
                        onChange={(changes) => setArea((last) => ({ ...last, ...changes }))}
                      />
                    </Sides>
                    <Quiet>
                      Shapes change whose middle lies there, and text that begins there.
                    </Quiet>
                  </Aria.Group>
                )}
                <Foretold counts={foretold} error={counts.error ?? undefined} />
                <Actions>
                  <MainButton isDisabled={to === undefined || isNone} onPress={apply}>
                    Paint it
                  </MainButton>
                </Actions>
              </>
            )}
            {recolored.length > 0 && (
              <>
                <h3>Painted in another colour</h3>
                <ul aria-label="Painted in another colour">
                  {recolored.map((one, at) => (
                    <Taken key={`${hex(one.from)} ${at}`}>
                      <Chip $color={hex(one.from)} />
                      <span aria-hidden>→</span>
                      {one.to && <Chip $color={swatch(one.to.swatch)?.screen ?? "transparent"} />}
                      <span>
                        {`${hex(one.from)} ${
                          one.to ? `in “${swatch(one.to.swatch)?.name ?? ""}”` : "see-through"
                        }, ${one.what
                          .map((kind) => whats[kind][0].toLowerCase())
                          .join(
                            ", ",
                          )}${one.pages.length > 0 ? `, ${numbersInWords(one.pages)}` : ""}${
                          one.area ? `, ${inWords(one.area, setup.unit)}` : ""
                        }`}
                      </span>
                      <Button
                        aria-label={`Take back ${hex(one.from)}`}
                        onPress={() =>
                          steps.make(
                            { type: "takeBackColor", asset: asset.id, recolor: one },
                            `${hex(one.from)} of “${asset.name}” is as it was`,
                          )
                        }
                      >
                        Take back
                      </Button>
                    </Taken>
                  ))}
                </ul>
              </>
            )}
            <Backings publication={publication} asset={asset} />
          </Fields>
        </Columns>
      )}
      <Actions>
        <Button onPress={onClose}>Close</Button>
      </Actions>
    </Modal>
  );
}
