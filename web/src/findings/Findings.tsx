import { useRef, useState } from "react";
import styled from "styled-components";
import { useFindings } from "../api/queries";
import { ByCause } from "./ByCause";
import { ByPage } from "./ByPage";
import { ByViewing } from "./ByViewing";
import { matching } from "./causes";
import { checkedInWords } from "./counted";
import { Exceptions } from "./Exceptions";
import { MendAll } from "./MendAll";
import { Mended } from "./Mended";
import { NotJudged } from "./NotJudged";
import { ReportButtons } from "./ReportButtons";
import { titles } from "./titles";
import { useOpened } from "../publication/PublicationScreen";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField } from "../ui/Field";
import { useKept } from "../ui/kept";
import { Failed, Notice } from "../ui/Notice";
import { Head, Inner, Main } from "../ui/Sheet";
import { counted } from "../ui/words";

const Wide = styled(Inner)<{ $wide: boolean }>`
  max-width: ${({ $wide }) => ($wide ? "1240px" : "1040px")};
`;

const arrangements = [
  { id: "worst", label: "By cause, the worst first" },
  { id: "cause", label: "By cause, as pages come" },
  { id: "page", label: "Page by page" },
  { id: "viewing", label: "Text by viewings" },
];

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.one} ${theme.space.three};
`;

const Notes = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
`;

/** All findings, each with its reason and its mends. */
export function Findings() {
  const { publication } = useOpened();
  const findings = useFindings(publication);
  const [kind, setKind] = useState("all");
  const [search, setSearch] = useState("");
  const [{ arranged }, keepArranged] = useKept(localStorage, "findings", { arranged: "worst" });
  const main = useRef<HTMLElement>(null);

  if (findings.isPending) {
    return (
      <Main>
        <Notice role="status">Holding every word against what is behind it…</Notice>
      </Main>
    );
  }
  if (findings.isError) {
    return (
      <Main>
        <Notice role="alert">
          <Failed>The pages could not be checked.</Failed>
          {findings.error.message}
          <Button onPress={() => void findings.refetch()}>Try again</Button>
        </Notice>
      </Main>
    );
  }
  const {
    findings: all,
    open,
    excepted,
    exemptions,
    mended,
    notJudged,
    checked,
    pages,
    level,
  } = findings.data;
  const pictures = notJudged.filter(({ why }) => why.length === 0).length;
  const kinds = [...new Set(all.map((finding) => finding.kind))];
  const isViewing = arranged === "viewing";
  const shown = matching(
    all.filter((finding) => kind === "all" || finding.kind === kind),
    search,
  );
  return (
    <Main ref={main}>
      <Wide $wide={isViewing}>
        <Head>
          <h1>Findings</h1>
          <Choice
            label="Arranged"
            value={arranged}
            options={arrangements}
            onChange={(id) => keepArranged(() => ({ arranged: id }))}
          />
          {!isViewing && (
            <Choice
              label="Show"
              value={kind}
              options={[
                { id: "all", label: `All open, ${open}` },
                ...kinds.map((id) => ({
                  id,
                  label: `${titles[id]}, ${all.filter((each) => each.kind === id).length}`,
                })),
                { id: "excepted", label: `Excepted, ${exemptions.length}` },
                { id: "mended", label: `Mended, ${mended.length}` },
                { id: "not-judged", label: `Not judged, ${notJudged.length}` },
              ]}
              onChange={setKind}
            />
          )}
          <DraftField label="Search" value={search} onChange={setSearch} />
        </Head>
        {isViewing ? (
          <ByViewing publication={publication} search={search} scroller={main} />
        ) : kind === "excepted" ? (
          <Exceptions publication={publication} exemptions={exemptions} excepted={excepted} />
        ) : kind === "mended" ? (
          <Mended publication={publication} mended={mended} />
        ) : kind === "not-judged" ? (
          <NotJudged publication={publication} pictures={notJudged} />
        ) : (
          <>
            <Notes>
              {checked < pages && <p role="status">{checkedInWords(findings.data)}</p>}
              <p>
                {all.length === 0 && checked < pages
                  ? "Nothing found by now."
                  : all.length === 0
                    ? `Nothing found. Every run of text was held against what is really behind it, at WCAG 2.2 ${level}.`
                    : `${counted(open, "finding", "findings")}${open > all.length ? `, of which the first ${all.length} are listed, ` : ""} on ${counted(new Set(all.map((each) => each.page)).size, "page", "pages")}. Text is held to WCAG 2.2 ${level}, seen as designed: where there is no fill, the stock counts as white.`}
                {excepted.length > 0 &&
                  ` ${counted(excepted.length, "place is", "places are")} excepted.`}
                {all.length > 1 && " The arrow keys go from one to the next."}
                {pictures > 0 &&
                  ` Text inside ${counted(pictures, "picture", "pictures")} cannot be judged.`}
                {pictures < notJudged.length &&
                  ` Some of ${counted(notJudged.length - pictures, "file", "files")} cannot be judged.`}
              </p>
              <Line>
                {all.some((each) => each.kind === "contrast") && (
                  <MendAll publication={publication} />
                )}
                <ReportButtons publication={publication} isChecked={checked === pages} />
              </Line>
              {search !== "" && (
                <p role="status">
                  {counted(shown.length, "finding fits", "findings fit")} the search.
                </p>
              )}
            </Notes>
            {arranged === "page" ? (
              <ByPage publication={publication} findings={shown} scroller={main} />
            ) : (
              <ByCause
                publication={publication}
                findings={shown}
                worstFirst={arranged === "worst"}
                scroller={main}
              />
            )}
          </>
        )}
      </Wide>
    </Main>
  );
}
