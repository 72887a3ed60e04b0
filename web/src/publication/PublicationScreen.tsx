import { Redo2, Settings2, Undo2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import {
  NavLink,
  Outlet,
  useLocation,
  useNavigate,
  useOutletContext,
  useParams,
} from "react-router";
import styled from "styled-components";
import { useFindings, useHistory, usePublication } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Publication, Viewing } from "../api/types";
import { checkedInWords } from "../findings/counted";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { useCommands } from "../ui/commands";
import { lazily } from "../ui/lazily";
import { Failed, Notice, VisuallyHidden } from "../ui/Notice";
import { Parts } from "../ui/Parts";
import { toNextArea, useArea } from "../ui/useArea";
import { Wordmark } from "../ui/Wordmark";
import { useOthers } from "./useOthers";
import { useSurround } from "./useSurround";
import { viewings } from "./viewings";

const SetupDialog = lazily(async () => (await import("./SetupDialog")).SetupDialog);

const Page = styled.div`
  height: 100%;
  display: flex;
  flex-direction: column;
  @media ${theme.narrow} {
    height: auto;
    min-height: 100%;
  }
`;

const Top = styled.header`
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: ${theme.space.half} ${theme.space.two};
  min-height: 44px;
  padding: 2px ${theme.space.two};
  background: ${theme.color.paper};
  border-bottom: 1px solid ${theme.color.rule};
`;

const Title = styled(QuietButton)`
  max-width: 240px;
  font-size: ${theme.size.large};
  & span {
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;

const Screens = styled.nav`
  display: flex;
  gap: ${theme.space.half};
  margin: 0 auto;
  & a {
    min-height: 32px;
    padding: 4px 12px;
    display: inline-flex;
    align-items: center;
    gap: 6px;
    color: ${theme.color.text};
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  & a:hover {
    background: ${theme.color.ground};
  }
  & a.active {
    font-weight: 600;
    border-bottom-color: ${theme.color.active};
  }
  @media ${theme.narrow} {
    margin: 0;
    flex-wrap: wrap;
  }
`;

const Tally = styled.span<{ $some: boolean }>`
  min-width: 22px;
  padding: 0 5px;
  text-align: center;
  font-size: ${theme.size.small};
  font-weight: 600;
  color: ${({ $some }) => ($some ? theme.color.fail : theme.color.text)};
  border: 1px solid ${({ $some }) => ($some ? theme.color.fail : theme.color.edge)};
  border-radius: 3px;
`;

const Tools = styled.div`
  position: relative;
  display: flex;
  align-items: center;
  gap: ${theme.space.half};
`;

const Others = styled.span`
  max-width: 168px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-size: ${theme.size.small};
  /* where there is room, what comes and goes moves nothing else */
  @media (min-width: 1240px) {
    position: absolute;
    right: 100%;
    margin-right: ${theme.space.half};
  }
`;

const Viewing = styled.div`
  width: 184px;
`;

/** The frame around every screen of one publication. */
export function PublicationScreen() {
  const { id = "" } = useParams();
  const publication = usePublication(id);

  if (publication.isPending) {
    return (
      <Page>
        <Top>
          <Wordmark />
        </Top>
        <Notice role="status">Opening the publication…</Notice>
      </Page>
    );
  }
  if (publication.isError) {
    return (
      <Page>
        <Top>
          <Wordmark />
        </Top>
        <Notice role="alert">
          <Failed>This publication could not be opened.</Failed>
          {publication.error.message}
          <Button onPress={() => void publication.refetch()}>Try again</Button>
        </Notice>
      </Page>
    );
  }
  return <Opened publication={publication.data} />;
}

interface Shared {
  publication: Publication;
  viewing: Viewing;
  /** Whether pages stand on a dark grey. */
  dark: boolean;
  onDark: (dark: boolean) => void;
}

export function useOpened(): Shared {
  return useOutletContext();
}

function Opened({ publication }: { publication: Publication }) {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const steps = useSteps(publication);
  const history = useHistory(publication.id, publication.revision);
  const findings = useFindings(publication);
  const others = useOthers(publication.id);
  const [dark, onDark] = useSurround();
  const top = useRef<HTMLElement>(null);
  const topProps = useArea(top, "banner", "Yewberry");
  const [setup, setSetup] = useState(false);
  const [chosen, setViewing] = useState<Viewing>("AS_DESIGNED");
  const offered = viewings(publication);
  const viewing = offered.some((each) => each.id === chosen) ? chosen : "AS_DESIGNED";
  const count = findings.data?.open;
  const partial = findings.data !== undefined && findings.data.checked < findings.data.pages;
  const counting = findings.isFetching || partial || count === undefined;

  useEffect(() => {
    document.title = `${publication.name}, Yewberry`;
  }, [publication.name]);

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") {
        return;
      }
      event.preventDefault();
      if (event.shiftKey) {
        steps.redo();
      } else {
        steps.undo();
      }
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  });

  const path = `/publications/${publication.id}`;
  const screens = [
    { label: "Flatplan", to: `${path}/flatplan` },
    { label: "Bench", to: path },
    { label: "Pairings", to: `${path}/pairings` },
    { label: "Findings", to: `${path}/findings` },
    { label: "Output", to: `${path}/output` },
    { label: "Shelf", to: "/" },
  ];
  useCommands([
    {
      label: "Undo",
      keys: "Ctrl + Z",
      isDisabled: !history.data?.canUndo,
      run: steps.undo,
    },
    {
      label: "Redo",
      keys: "Ctrl + Shift + Z",
      isDisabled: !history.data?.canRedo,
      run: steps.redo,
    },
    { label: dark ? "Light surround" : "Dark surround", run: () => onDark(!dark) },
    { label: "Next part of the screen", keys: "F6", run: toNextArea },
    { label: "Setup of the publication", run: () => setSetup(true) },
    ...screens.map(({ label, to }) => ({
      label: `Go to ${label}`,
      isDisabled: to === pathname,
      run: () => void navigate(to),
    })),
    ...offered.map(({ id, label }) => ({
      label: `View: ${label}`,
      isDisabled: id === viewing,
      run: () => setViewing(id),
    })),
  ]);
  return (
    <Page>
      <Top ref={top} {...topProps}>
        <Wordmark />
        <Title onPress={() => setSetup(true)} aria-label={`Setup of ${publication.name}`}>
          <span>{publication.name}</span>
          <Settings2 size={15} aria-hidden />
        </Title>
        <Screens aria-label="Screens">
          <NavLink to={`${path}/flatplan`}>Flatplan</NavLink>
          <NavLink to={path} end>
            Bench
          </NavLink>
          <NavLink to={`${path}/pairings`}>Pairings</NavLink>
          <NavLink to={`${path}/findings`}>
            Findings
            <Tally
              $some={(count ?? 0) > 0}
              title={partial ? checkedInWords(findings.data) : undefined}
            >
              {counting ? "…" : count}
            </Tally>
          </NavLink>
          <NavLink to={`${path}/output`}>Output</NavLink>
        </Screens>
        <VisuallyHidden role="status">
          {counting ? "" : `${count} ${count === 1 ? "finding" : "findings"}`}
        </VisuallyHidden>
        <Tools>
          <Others role="status" title={others}>
            {others}
          </Others>
          <QuietButton aria-label="Undo" onPress={steps.undo} isDisabled={!history.data?.canUndo}>
            <Undo2 size={17} aria-hidden />
          </QuietButton>
          <QuietButton aria-label="Redo" onPress={steps.redo} isDisabled={!history.data?.canRedo}>
            <Redo2 size={17} aria-hidden />
          </QuietButton>
          <Viewing>
            <Choice
              label="Viewing"
              hiddenLabel
              value={viewing}
              options={offered}
              onChange={(id) => setViewing(id as Viewing)}
            />
          </Viewing>
        </Tools>
      </Top>
      <Parts>
        <Outlet context={{ publication, viewing, dark, onDark } satisfies Shared} />
      </Parts>
      {setup && (
        <Parts>
          <SetupDialog publication={publication} onClose={() => setSetup(false)} />
        </Parts>
      )}
    </Page>
  );
}
