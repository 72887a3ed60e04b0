import { noGiving } from "../story/useGiving";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import styled from "styled-components";
import type { PageEntry, Publication } from "../api/types";
import { BackgroundPanel } from "../scope/BackgroundPanel";
import { BenchProvider, type BenchState } from "../bench/BenchState";
import { PAGES, scopesOf } from "../scope/scope";
import { ScopeBar } from "../scope/ScopeBar";
import { ScopePanel } from "../scope/ScopePanel";
import { theme } from "../theme";
import { Section } from "../ui/Section";

const Column = styled.aside`
  flex: none;
  width: 256px;
  overflow: auto;
  background: ${theme.color.ground};
  border-left: 1px solid ${theme.color.rule};
  @media ${theme.narrow} {
    width: auto;
  }
`;

const nowhere = () => undefined;

/** What lies on the pages chosen, or on a parent, to be changed as it is on the Bench. */
export function ChosenPanel({
  publication,
  chosen,
}: {
  publication: Publication;
  chosen: PageEntry[];
}) {
  const ids = chosen.map((page) => page.id).join(" ");
  const [wanted, setWanted] = useState({ of: ids, id: PAGES });
  const [editing, setEditing] = useState<string>();
  const navigate = useNavigate();
  const [first] = chosen;
  const shared = useMemo((): BenchState | undefined => {
    const scopes = first ? scopesOf(publication, first, chosen) : [];
    // other pages chosen: they are what is changed
    const id = wanted.of === ids ? wanted.id : PAGES;
    const scope = scopes.find((each) => each.id === id) ?? scopes[0];
    return (
      scope && {
        scope,
        scopes,
        changeScope: (id) => setWanted({ of: ids, id }),
        look: nowhere,
        reveal: nowhere,
        editing,
        edits: setEditing,
        writing: undefined,
        turnTo: nowhere,
        caret: undefined,
        markCaret: nowhere,
        frame: undefined,
        chooseFrame: nowhere,
        joining: undefined,
        beginJoin: nowhere,
        join: nowhere,
        write: (story) =>
          void navigate(`/publications/${publication.id}?page=${scope.pages[0]?.number ?? 1}`, {
            state: { write: story },
          }),
        giving: noGiving,
        sampling: undefined,
        sample: nowhere,
        canSample: false,
      }
    );
  }, [publication, first, chosen, ids, wanted, editing, navigate]);
  return (
    <Column aria-label="Pages chosen">
      {shared ? (
        <BenchProvider value={shared}>
          <ScopeBar />
          <BackgroundPanel publication={publication} />
          <ScopePanel publication={publication} />
        </BenchProvider>
      ) : (
        <Section title="No page chosen">
          <p>
            Choose pages by a click, with Shift or Ctrl several, or by their numbers above. What
            lies on them is changed here, together.
          </p>
        </Section>
      )}
    </Column>
  );
}
