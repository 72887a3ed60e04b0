import { PaintBucket, Plus } from "lucide-react";
import { useCallback, useEffect, useState } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import type { Edit, Publication } from "../api/types";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { useCommands } from "../ui/commands";
import { Quiet } from "../ui/Fold";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { newBackground } from "./newBackground";
import { PAGES, type Scope } from "./scope";
import { newSwatch } from "../catalogue/newSwatch";
import { SwatchEditor } from "../catalogue/SwatchEditor";

const Panel = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  padding: ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
`;

const Wide = styled(MainButton)`
  width: 100%;
  min-height: 32px;
`;

const List = styled(Aria.ListBox)`
  max-height: 260px;
  overflow: auto;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  padding: 3px;
  outline-offset: -2px;
` as typeof Aria.ListBox;

const Row = styled(Aria.ListBoxItem)`
  display: grid;
  grid-template-columns: auto 1fr;
  align-items: center;
  column-gap: ${theme.space.one};
  padding: 3px 5px;
  border-radius: 2px;
  cursor: pointer;
  outline-offset: -2px;
  &[data-focused],
  &[data-hovered] {
    background: ${theme.color.activeSoft};
  }
  & small {
    display: block;
    font-size: 12px;
    color: ${theme.color.quiet};
  }
`;

const Wrapping = styled.span`
  white-space: normal;
  text-align: left;
`;

/** Puts a colour on a parent or on pages, out to the bleed, and shows it before it is done. */
export function BackgroundPanel({ publication }: { publication: Publication }) {
  const steps = useSteps(publication);
  const [open, setOpen] = useState(false);
  const [tried, setTried] = useState<string>();
  const [made, setMade] = useState<string>();
  const fresh = publication.swatches.find((swatch) => swatch.id === made);

  const close = () => {
    setOpen(false);
    setTried(undefined);
  };
  const toggle = () => {
    setOpen(!open);
    setTried(undefined);
  };

  const { reveal, scope, scopes, changeScope } = useBench();
  const { tryOut } = useTrying();
  useEffect(() => {
    tryOut(tried === undefined ? undefined : edit(scope, tried, false));
  }, [tryOut, scope, tried]);
  const begin = useCallback(() => {
    reveal("strata");
    setOpen(true);
  }, [reveal]);
  // once more: to the parent of the page, and back to the pages
  const other = scope.id === PAGES ? scopes.find(({ parent }) => parent) : scopes[0];
  const press = useCallback(() => {
    if (open && other) {
      changeScope(other.id);
    }
    begin();
  }, [open, other, changeScope, begin]);
  useCommands([{ label: "Colour to the bleed…", keys: "Alt + C", run: begin }]);

  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey && !event.ctrlKey && event.code === "KeyC") {
        event.preventDefault();
        press();
      }
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [press]);

  return (
    <Panel
      role="group"
      aria-label="Colour to the bleed"
      onKeyDown={(event) => {
        if (event.key === "Escape" && open) {
          event.stopPropagation();
          close();
        }
      }}
    >
      <Wide aria-expanded={open} aria-keyshortcuts="Alt+C" onPress={toggle}>
        <PaintBucket size={15} aria-hidden />
        Colour to the bleed…
      </Wide>
      {open && (
        <>
          <List
            aria-label={`Swatch for ${scope.label}`}
            // The list is what the button was pressed for; focus has to follow.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus="first"
            items={publication.swatches}
            onAction={(swatch) => {
              steps.makeSeen(edit(scope, String(swatch), true), "Coloured, out to the bleed");
              close();
            }}
          >
            {(swatch) => (
              <Row
                id={swatch.id}
                textValue={swatch.name}
                onHoverStart={() => setTried(swatch.id)}
                onFocus={() => setTried(swatch.id)}
              >
                <Chip $color={swatch.screen} $size={22} />
                <span>
                  {swatch.name}
                  <small>{swatch.values}</small>
                </span>
              </Row>
            )}
          </List>
          <Quiet>Enter or a click puts it there; Escape leaves.</Quiet>
          <Button
            onPress={() => {
              const id = crypto.randomUUID();
              setMade(id);
              close();
              steps.make(
                {
                  type: "several",
                  edits: [
                    { type: "addSwatch", swatch: newSwatch(id, publication) },
                    edit(scope, id, true),
                  ],
                },
                "New swatch, out to the bleed",
              );
            }}
          >
            <Plus size={15} aria-hidden />
            <Wrapping>New swatch for {scope.label}</Wrapping>
          </Button>
        </>
      )}
      {fresh && (
        <div role="group" aria-label={`New swatch “${fresh.name}”`}>
          <SwatchEditor publication={publication} swatch={fresh} />
          <Button onPress={() => setMade(undefined)}>Done with “{fresh.name}”</Button>
        </div>
      )}
    </Panel>
  );
}

const trial = "00000000-0000-4000-8000-000000000000";

/** Ids are new when it is done; a trial has a fixed one, so that it is asked for once. */
function edit(scope: Scope, swatch: string, real: boolean): Edit {
  return {
    type: "several",
    edits: scope.owners.map((owner, index) => ({
      type: "addBackground",
      owner,
      background: newBackground(
        real ? crypto.randomUUID() : trial.slice(0, -4) + String(index).padStart(4, "0"),
        swatch,
      ),
    })),
  };
}
