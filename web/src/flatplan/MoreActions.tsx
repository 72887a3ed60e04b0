import { useState } from "react";
import styled from "styled-components";
import { useSteps } from "../api/queries";
import type { PageEntry, Publication, RecipeEntry } from "../api/types";
import { newBackground } from "../bench/newBackground";
import { ApplyRecipe } from "../recipes/ApplyRecipe";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { ChoiceMenu } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { DraftField } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { numbersInWords } from "../ui/words";
import { partsOf } from "./parts";

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: flex-end;
  gap: ${theme.space.half} ${theme.space.one};
  padding: ${theme.space.half} ${theme.space.two} 0;
`;

/** What the pages chosen in the flatplan can be given, and the parts. */
export function MoreActions({
  publication,
  chosen,
  onChoose,
}: {
  publication: Publication;
  chosen: PageEntry[];
  onChoose: (pages: string[]) => void;
}) {
  const steps = useSteps(publication);
  const [applying, setApplying] = useState<RecipeEntry>();
  const [naming, setNaming] = useState(false);
  const [name, setName] = useState("");
  const first = chosen[0];
  const parts = partsOf(publication);
  const words = numbersInWords(chosen.map((page) => page.number));
  const grounded = chosen.filter((page) => page.backgrounds > 0);

  return (
    <Bar role="group" aria-label="More for the pages chosen">
      {parts.length > 0 && (
        <ChoiceMenu
          label="Parts"
          trigger={<Button>Choose a part…</Button>}
          options={parts.map((part) => ({
            id: part.first.id,
            label: `${part.name}: ${numbersInWords(part.pages.map((page) => page.number))}`,
          }))}
          onChoose={(id) =>
            onChoose(parts.find((part) => part.first.id === id)?.pages.map((page) => page.id) ?? [])
          }
        />
      )}
      <Button
        isDisabled={!first}
        onPress={() => {
          setName(first?.part ?? "");
          setNaming(true);
        }}
      >
        Begin a part here…
      </Button>
      <ChoiceMenu
        label="Colour of the pages chosen, to the bleed"
        trigger={<Button isDisabled={!first}>Give a colour…</Button>}
        options={swatchOptions(publication)}
        onChoose={(swatch) =>
          steps.make(
            {
              type: "several",
              edits: chosen.map((page) => ({
                type: "addBackground",
                owner: { type: "onPage", id: page.id },
                background: newBackground(crypto.randomUUID(), swatch),
              })),
            },
            `Coloured ${words}, out to the bleed`,
          )
        }
      />
      {publication.recipes.length > 0 && (
        <ChoiceMenu
          label="Recipe for the pages chosen"
          trigger={<Button isDisabled={!first}>Give a recipe…</Button>}
          options={publication.recipes.map(({ recipe }) => ({ id: recipe.id, label: recipe.name }))}
          onChoose={(id) => setApplying(publication.recipes.find(({ recipe }) => recipe.id === id))}
        />
      )}
      <Button
        isDisabled={grounded.length === 0}
        onPress={() =>
          steps.make(
            { type: "clearBackgrounds", pages: grounded.map((page) => page.id) },
            "Their own backgrounds are off",
          )
        }
      >
        Take their own backgrounds off
      </Button>
      {applying && first && (
        <ApplyRecipe
          publication={publication}
          page={first}
          chosen={chosen}
          entry={applying}
          onClose={() => setApplying(undefined)}
        />
      )}
      <Modal
        title={`A part that begins with page ${first?.number ?? ""}`}
        isOpen={naming}
        onClose={() => setNaming(false)}
      >
        <DraftField label="Name" value={name} onChange={setName} />
        <Quiet>It goes on to the page where the next part begins.</Quiet>
        <Actions>
          <Button onPress={() => setNaming(false)}>Cancel</Button>
          {first?.part && (
            <Button
              onPress={() => {
                setNaming(false);
                steps.make({ type: "namePart", page: first.id }, "No part begins here any more");
              }}
            >
              Let no part begin here
            </Button>
          )}
          <MainButton
            isDisabled={!name.trim()}
            onPress={() => {
              setNaming(false);
              if (first) {
                steps.make(
                  { type: "namePart", page: first.id, name },
                  `Part “${name}” begins here`,
                );
              }
            }}
          >
            Begin it
          </MainButton>
        </Actions>
      </Modal>
    </Bar>
  );
}
