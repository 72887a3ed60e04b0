import { Copy } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { useStory } from "../api/story";
import { useCommonLayer, usePageDetail, useStrata, type Point } from "../api/queries";
import { CharacterLookEditor } from "../catalogue/CharacterLookEditor";
import { LookPanel } from "../catalogue/LookPanel";
import type {
  BehindTextStratum,
  CommonBackground,
  FileTextStratum,
  FillStratum,
  FrontStratum,
  StrokeStratum,
  Publication,
  Stratum,
  TextStratum,
  Viewing,
} from "../api/types";
import { RecolorDialog } from "../files/dialogs";
import { isDesigned } from "../publication/viewings";
import { theme } from "../theme";
import { Chip } from "../ui/Chip";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Parts } from "../ui/Parts";
import { mm } from "../ui/length";
import { Failed } from "../ui/Notice";
import { Section } from "../ui/Section";
import { counted, numbersInWords, ratio } from "../ui/words";
import { areaInWords } from "../scope/AreaFields";
import { alone, BackgroundEditor } from "../scope/BackgroundEditor";
import { FrameEditor } from "../scope/FrameEditor";
import { PictureFrameEditor } from "../scope/PictureFrameEditor";
import { MendList, NoMend } from "./MendList";
import { RunColor } from "./RunColor";
import { takenFrom } from "./sampler";
import { useBench, type Sampling } from "../bench/BenchState";
import { Button, MainButton } from "../ui/Button";

const Stack = styled.ol`
  display: flex;
  flex-direction: column;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  & > li {
    display: grid;
    grid-template-columns: 28px minmax(0, 1fr);
    gap: 0 ${theme.space.one};
    padding: ${theme.space.one};
    border-top: 1px solid ${theme.color.rule};
  }
  & > li:first-child {
    border-top: 0;
  }
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  gap: ${theme.space.one};
  & strong {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  & span {
    white-space: nowrap;
  }
`;

const Words = styled.blockquote`
  margin: 0;
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
`;

const Small = styled.div`
  font-size: ${theme.size.small};
  color: ${theme.color.quiet};
  overflow-wrap: anywhere;
`;

const InkLine = styled.p`
  margin-bottom: ${theme.space.half};
  font-size: ${theme.size.small};
`;

const ToPair = styled(Link)`
  display: inline-flex;
  align-items: center;
  min-height: ${theme.hit};
`;

const Sampler = styled.div`
  margin-bottom: ${theme.space.one};
  padding: ${theme.space.one};
  background: ${theme.color.paper};
  border: 2px solid ${theme.color.active};
`;

const Below = styled.div`
  grid-column: 1 / -1;
  margin-block: 2px;
`;

/** What is painted, but for the stock. */
type Painted =
  TextStratum | FileTextStratum | BehindTextStratum | StrokeStratum | FrontStratum | FillStratum;

/** Everything painted through one point, from the top text down to the stock. */
export function StrataPanel({
  publication,
  point,
  viewing,
}: {
  publication: Publication;
  point: Point | undefined;
  viewing: Viewing;
}) {
  const through = useStrata(publication, point, viewing);
  const bench = useBench();
  const title = "Strata";

  if (!point) {
    return (
      <Section title={title}>
        <SamplingNote />
        <p>
          Click a point of a page, or go there with the arrow keys, to see all that is painted
          through it.
        </p>
      </Section>
    );
  }
  if (through.isError) {
    return (
      <Section title={title}>
        <p role="alert">
          <Failed>Not read.</Failed> {through.error.message}
        </p>
      </Section>
    );
  }
  if (!through.data) {
    return (
      <Section title={title}>
        <p role="status">Reading what is painted here…</p>
      </Section>
    );
  }
  const { data } = through;
  return (
    <Section title={title} note={`page ${data.number}, ${mm(data.x)} × ${mm(data.y)} mm`}>
      <SamplingNote />
      <InkLine>
        {data.totalInk > data.inkLimit ? (
          <Failed>✕ {data.totalInk} % of ink here</Failed>
        ) : (
          <span>{data.totalInk} % of ink here</span>
        )}{" "}
        of {data.inkLimit} %
      </InkLine>
      <PairHere publication={publication} strata={data.strata} />
      <Stack aria-label="From the top down to the stock">
        {data.strata.map((stratum, index) => (
          <li key={keyOf(stratum, index)}>
            {bench.sampling && stratum.type !== "stockStratum" && (
              <TakeIt sampling={bench.sampling} stratum={stratum} />
            )}
            <One publication={publication} page={data.page} stratum={stratum} viewing={viewing} />
          </li>
        ))}
      </Stack>
    </Section>
  );
}

/** The way to the pair tool, with what is seen here. */
function PairHere({ publication, strata }: { publication: Publication; strata: Stratum[] }) {
  const [top] = strata;
  if (!top) {
    return null;
  }
  const sampled = new URLSearchParams({ backdrop: written(top) });
  const isText = top.type === "textStratum" || top.type === "fileTextStratum";
  if (isText) {
    const below = strata[1];
    const isWhole = top.type === "fileTextStratum" || top.tint === 100;
    sampled.set("text", isWhole ? written(top) : top.screen);
    sampled.set("backdrop", below?.screen === top.below ? written(below) : top.below);
  }
  return (
    <InkLine>
      <ToPair to={`/publications/${publication.id}/pairings?${sampled.toString()}`}>
        {isText ? "Try this pair by itself" : "Try a text colour on this"}
      </ToPair>
    </InkLine>
  );
}

const READABLE = /^(#[0-9a-f]{6}|C[\d.]+ M[\d.]+ Y[\d.]+ K[\d.]+)$/i;

/** A colour as it was defined, where the pair tool can read that; else as it is seen. */
function written(stratum: Stratum): string {
  const isMixed = stratum.type === "fillStratum" && stratum.mixed !== undefined;
  const values = "values" in stratum && !isMixed ? stratum.values : "";
  return READABLE.test(values) ? values : stratum.screen;
}

/** What a colour is being taken for, and the way out. */
function SamplingNote() {
  const bench = useBench();
  if (!bench.sampling) {
    return null;
  }
  return (
    <Sampler role="status">
      <p>
        Taking a colour for <strong>{bench.sampling.naming}</strong>. Go to a point of a page, then
        take what is painted there.
      </p>
      <Button onPress={() => bench.sample(undefined)}>Leave it as it is</Button>
    </Sampler>
  );
}

function TakeIt({ sampling, stratum }: { sampling: Sampling; stratum: Painted }) {
  const bench = useBench();
  const taken = takenFrom(stratum);
  const refusal = sampling.refuses(taken);
  return (
    <Below>
      {refusal ? (
        <Quiet>{refusal}</Quiet>
      ) : (
        <MainButton
          onPress={() => {
            sampling.take(taken);
            bench.sample(undefined);
          }}
        >
          Take “{nameOf(stratum)}”
        </MainButton>
      )}
    </Below>
  );
}

function nameOf(stratum: Painted): string {
  switch (stratum.type) {
    case "frontStratum":
      return stratum.name;
    case "fileTextStratum":
      return stratum.values;
    default:
      return stratum.swatchName;
  }
}

function keyOf(stratum: Stratum, index: number): string {
  switch (stratum.type) {
    case "textStratum":
      return `${stratum.run} ${index}`;
    case "fileTextStratum":
      return `file ${index}`;
    case "strokeStratum":
      return `${stratum.look} ${index}`;
    case "behindTextStratum":
      return `${stratum.look} ${index}`;
    case "frontStratum":
      return stratum.frame;
    case "fillStratum":
      return stratum.background;
    case "stockStratum":
      return "stock";
  }
}

function One({
  publication,
  page,
  stratum,
  viewing,
}: {
  publication: Publication;
  page: string;
  stratum: Stratum;
  viewing: Viewing;
}) {
  switch (stratum.type) {
    case "textStratum":
      return <Text publication={publication} page={page} stratum={stratum} viewing={viewing} />;
    case "fileTextStratum":
      return <FileText publication={publication} stratum={stratum} viewing={viewing} />;
    case "strokeStratum":
      return (
        <>
          <Chip $color={stratum.screen} $size={28} />
          <div>
            <Head>
              <strong>{stratum.swatchName}</strong>
              <span>outline</span>
            </Head>
            <Small>
              {stratum.values}
              <br />
              Look {stratum.lookName}. {onOrigin(stratum)}
            </Small>
          </div>
        </>
      );
    case "behindTextStratum":
      return <BehindText publication={publication} stratum={stratum} />;
    case "frontStratum":
      return <Front publication={publication} page={page} stratum={stratum} />;
    case "fillStratum":
      return <AreaStratum publication={publication} page={page} stratum={stratum} />;
    case "stockStratum":
      return (
        <>
          <Chip $color={stratum.screen} $size={28} />
          <div>
            <Head>
              <strong>Stock</strong>
              <span>never printed</span>
            </Head>
            <Small>{stratum.note}</Small>
          </div>
        </>
      );
  }
}

function onOrigin(stratum: Exclude<Painted, FileTextStratum>): string {
  return stratum.owner.type === "onParent"
    ? `On ${stratum.origin}: changes ${counted(stratum.changesPages, "page", "pages")}`
    : "On this page only";
}

function Text({
  publication,
  page,
  stratum,
  viewing,
}: {
  publication: Publication;
  page: string;
  stratum: TextStratum;
  viewing: Viewing;
}) {
  const layer = useLayer(publication, page, stratum);
  const { pickUp } = useBench().giving;
  const frame = layer?.frames.find((each) => each.id === stratum.frame);
  const story = useStory(publication, stratum.story);
  const run = story.data?.paragraphs
    .flatMap((paragraph) => paragraph.runs)
    .find((each) => each.id === stratum.run);
  return (
    <>
      <Chip $color={stratum.screen} $size={28} />
      <div>
        <Head>
          <strong>{stratum.swatchName}</strong>
          {stratum.passes ? (
            <span>✓ {ratio(stratum.ratio)}</span>
          ) : (
            <Failed>✕ {ratio(stratum.ratio)}</Failed>
          )}
        </Head>
        <Words lang="en">{stratum.text}</Words>
        <Small>
          {stratum.values}
          {stratum.overprints ? ", overprints" : ""}
          <br />
          {stratum.chosen !== undefined && (
            <>
              {stratum.chosen}
              <br />
            </>
          )}
          Look {stratum.lookName}. {onOrigin(stratum)}
          <br />
          {`${stratum.passes ? "Passes" : "Fails"}${viewing === "AS_DESIGNED" ? "" : " as seen this way"}: needs ${stratum.required} : 1, ${stratum.sizeReason}`}
        </Small>
      </div>
      <Below>
        {isDesigned(viewing) && !stratum.passes && (
          <Fold head={<Name>Mend it…</Name>}>
            <MendList
              publication={publication}
              of={{ run: stratum.run }}
              nothing={<NoMend inFile={false} />}
            />
          </Fold>
        )}
        {run && (
          <Fold head={<Name>Colour these words…</Name>}>
            <RunColor publication={publication} stratum={stratum} color={run.color} />
          </Fold>
        )}
        {frame?.type === "textFrame" && (
          <Fold head={<Name>Change the text and its frame…</Name>}>
            <FrameEditor publication={publication} owner={stratum.owner} frame={frame} />
          </Fold>
        )}
        {run && (
          <Button onPress={() => pickUp(stratum)}>
            <Copy size={15} aria-hidden />
            Pick up its look
          </Button>
        )}
      </Below>
    </>
  );
}

/** What is written in the page of a file: its colours are changed in all of the file. */
function FileText({
  publication,
  stratum,
  viewing,
}: {
  publication: Publication;
  stratum: FileTextStratum;
  viewing: Viewing;
}) {
  const [isOpen, setIsOpen] = useState(false);
  const { file } = stratum;
  const asset = publication.assets.find((each) => each.asset.id === file?.asset)?.asset;
  return (
    <>
      <Chip $color={stratum.screen} $size={28} />
      <div>
        <Head>
          <strong>{stratum.values}</strong>
          {stratum.passes ? (
            <span>✓ {ratio(stratum.ratio)}</span>
          ) : (
            <Failed>✕ {ratio(stratum.ratio)}</Failed>
          )}
        </Head>
        <Words>{stratum.text}</Words>
        <Small>
          {`Written in ${stratum.origin}, ${stratum.face}.`}
          <br />
          {`${stratum.passes ? "Passes" : "Fails"}${viewing === "AS_DESIGNED" ? "" : " as seen this way"}: needs ${stratum.required} : 1, ${stratum.sizeReason}`}
        </Small>
      </div>
      {file && asset && (
        <Below>
          {isDesigned(viewing) && !stratum.passes && (
            <Fold head={<Name>Mend it…</Name>}>
              <MendList
                publication={publication}
                of={{ run: stratum.run }}
                nothing={<NoMend inFile />}
              />
            </Fold>
          )}
          <Button onPress={() => setIsOpen(true)}>Colours of the file…</Button>
          {isOpen && (
            <Parts>
              <RecolorDialog
                publication={publication}
                asset={asset}
                chosen={[file.number]}
                onClose={() => setIsOpen(false)}
              />
            </Parts>
          )}
        </Below>
      )}
    </>
  );
}

/** A shading, a border or a highlight, which is changed in the look that says it. */
function BehindText({
  publication,
  stratum,
}: {
  publication: Publication;
  stratum: BehindTextStratum;
}) {
  const paragraphs = publication.looks.find(({ look }) => look.id === stratum.look);
  const characters = publication.characterLooks.find(({ look }) => look.id === stratum.look);
  return (
    <>
      <Chip $color={stratum.screen} $size={28} />
      <div>
        <Head>
          <strong>{stratum.swatchName}</strong>
          <span>{stratum.words.toLowerCase()}</span>
        </Head>
        <Small>
          {stratum.values}
          <br />
          Look {stratum.lookName}. {onOrigin(stratum)}
        </Small>
      </div>
      <Below>
        {paragraphs && (
          <Fold head={<Name>Change it in look “{paragraphs.look.name}”…</Name>}>
            <LookPanel publication={publication} entry={paragraphs} />
          </Fold>
        )}
        {characters && (
          <Fold head={<Name>Change it in look “{characters.look.name}”…</Name>}>
            <CharacterLookEditor publication={publication} entry={characters} />
          </Fold>
        )}
      </Below>
    </>
  );
}

/** A picture or a word in front, changed where it is. */
function Front({
  publication,
  page,
  stratum,
}: {
  publication: Publication;
  page: string;
  stratum: FrontStratum;
}) {
  const frame = useLayer(publication, page, stratum)?.frames.find(
    (each) => each.id === stratum.frame,
  );
  return (
    <>
      <Chip $color={stratum.screen} $size={28} />
      <div>
        <Head>
          <strong>{stratum.name}</strong>
          <span>{stratum.kind.toLowerCase()}</span>
        </Head>
        <Small>
          {stratum.values}
          {stratum.ppi === undefined ? "" : `; ${stratum.ppi} pixels per inch`}
          <br />
          {onOrigin(stratum)}
          <br />
          {stratum.meaning}
          <br />
          {stratum.goesTo}
        </Small>
      </div>
      <Below>
        {frame?.type === "pictureFrame" && (
          <Fold
            head={
              <Name>
                {`Change it on ${stratum.owner.type === "onParent" ? stratum.origin : "this page"}…`}
              </Name>
            }
          >
            <PictureFrameEditor publication={publication} owner={stratum.owner} frame={frame} />
          </Fold>
        )}
      </Below>
    </>
  );
}

function AreaStratum({
  publication,
  page,
  stratum,
}: {
  publication: Publication;
  page: string;
  stratum: FillStratum;
}) {
  const common = useChanged(publication, page, stratum);
  const background = common?.background;
  return (
    <>
      <Chip $color={stratum.screen} $size={28} />
      <div>
        <Head>
          <strong>{stratum.swatchName}</strong>
          <span>{background && areaInWords(background.area)}</span>
        </Head>
        <Small>
          {stratum.values}
          {stratum.ppi === undefined ? "" : `; ${stratum.ppi} pixels per inch`}
          <br />
          {onOrigin(stratum)}
          <br />
          {stratum.bleed}
          <br />
          {stratum.goesTo}
        </Small>
      </div>
      <Below>
        {common && (
          <Fold
            head={
              <Name>
                {stratum.owner.type === "onParent"
                  ? `Change it on ${stratum.origin}…`
                  : `Change it on ${common.pages.length > 1 ? numbersInWords(common.pages) : "this page"}…`}
              </Name>
            }
          >
            {stratum.owner.type === "onParent" && (
              <Quiet as="p">Changes {counted(stratum.changesPages, "page", "pages")}.</Quiet>
            )}
            <BackgroundEditor publication={publication} owner={stratum.owner} common={common} />
          </Fold>
        )}
      </Below>
    </>
  );
}

/** The background of a stratum, and what is changed with it. */
function useChanged(
  publication: Publication,
  page: string,
  stratum: FillStratum,
): CommonBackground | undefined {
  const common = useCommonLayer(publication, [page]);
  if (stratum.owner.type === "onPage") {
    return common.data?.backgrounds.find((each) => each.ids.includes(stratum.background));
  }
  const parent = publication.parents.find((each) => each.id === stratum.owner.id);
  const background = parent?.layer.backgrounds.find((each) => each.id === stratum.background);
  return background && alone(background);
}

/** What lies where the stratum comes from. */
function useLayer(
  publication: Publication,
  page: string,
  stratum: TextStratum | FillStratum | FrontStratum,
) {
  const detail = usePageDetail(publication, page);
  return stratum.owner.type === "onParent"
    ? publication.parents.find((parent) => parent.id === stratum.owner.id)?.layer
    : detail.data?.id === page
      ? detail.data.layer
      : undefined;
}
