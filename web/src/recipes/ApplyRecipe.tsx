import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { pagesIn, usePreview } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Edit, Owner, PageEntry, Publication, RecipeEntry } from "../api/types";
import { scopesOf } from "../scope/scope";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { SMALL_PPI } from "../stage/zoom";
import { Drawn } from "../ui/Drawn";
import { Field, Row, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { NumberField } from "../ui/NumberField";
import { useStatus } from "../ui/Status";
import { Tick } from "../ui/Tick";
import { counted, messageOf, numbersInWords } from "../ui/words";

const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  gap: ${theme.space.three};
  @media ${theme.narrow} {
    grid-template-columns: 1fr;
  }
`;

const Stepper = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
`;

/** Pages by their numbers, as they were written. */
interface Ranged {
  text: string;
  pages: string[];
}

async function rangeOf(publication: Publication, text: string): Promise<Ranged | undefined> {
  return text.trim() ? { text, pages: await pagesIn(publication, text) } : undefined;
}

/** Where a recipe goes and with what set anew; each page is seen before anything is done. */
export function ApplyRecipe({
  publication,
  page,
  chosen,
  entry,
  onClose,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  entry: RecipeEntry;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const { recipe } = entry;
  const [ranged, setRanged] = useState<Ranged>();
  const targets = scopesOf(publication, page, chosen);
  const [target, setTarget] = useState(targets.find((each) => each.id === "pages")?.id);
  const [opacity, setOpacity] = useState<number>();
  const [instead, setInstead] = useState<Record<string, string>>({});
  const [at, setAt] = useState(0);

  const owners: Owner[] = ranged
    ? ranged.pages.map((id) => ({ type: "onPage", id }))
    : (targets.find((each) => each.id === target)?.owners ?? []);
  const edit: Edit = {
    type: "applyRecipe",
    recipe: recipe.id,
    owners,
    ...(opacity === undefined ? {} : { opacity }),
    colors: Object.entries(instead).map(([swatch, replacement]) => ({ swatch, replacement })),
  };
  const first = publication.pages.find((each) => owners.some((owner) => owner.id === each.id));
  const under = publication.pages.find((each) => owners.some((owner) => owner.id === each.parent));
  const start = (first ?? under ?? page).id;
  const touched = usePreview(publication, start, edit, "AS_DESIGNED", SMALL_PPI);
  const pages = touched.data?.pages ?? [];
  const seen = pages[Math.min(at, pages.length - 1)] ?? start;
  const preview = usePreview(publication, seen, edit, "AS_DESIGNED", SMALL_PPI);
  const number = (id: string) => publication.pages.find((each) => each.id === id)?.number ?? 0;

  const range = async (text: string) => {
    try {
      setRanged(await rangeOf(publication, text));
      setAt(0);
    } catch (error) {
      status.fail(messageOf(error));
    }
  };

  return (
    <Modal title={`Put “${recipe.name}” on pages`} isOpen onClose={onClose} wide>
      <Halves>
        <Stack>
          <Choice
            label="On"
            value={ranged ? undefined : target}
            placeholder={ranged ? `Pages ${ranged.text}` : "Choose"}
            options={targets.map(({ id, label }) => ({ id, label }))}
            onChange={(id) => {
              setRanged(undefined);
              setTarget(id);
              setAt(0);
            }}
          />
          <Field
            label="Or pages such as 3-7, 12, odd, all"
            value={ranged?.text ?? ""}
            onCommit={(text) => void range(text)}
          />
          <Row $columns="minmax(0, 1fr) 84px">
            <Tick
              label="One opacity for all of it"
              checked={opacity !== undefined}
              onChange={(on) => setOpacity(on ? 100 : undefined)}
            />
            {opacity !== undefined && (
              <NumberField label="Opacity %" value={opacity} onCommit={setOpacity} />
            )}
          </Row>
          {colorsOf(entry).map((swatch) => (
            <Choice
              key={swatch}
              label={`Instead of ${publication.swatches.find((each) => each.id === swatch)?.name}`}
              value={instead[swatch] ?? swatch}
              options={swatchOptions(publication)}
              onChange={(replacement) =>
                setInstead(
                  Object.fromEntries(
                    Object.entries({ ...instead, [swatch]: replacement }).filter(
                      ([from, to]) => from !== to,
                    ),
                  ),
                )
              }
            />
          ))}
          <Quiet>
            Each value is what it then is there; nothing is multiplied. It can be changed later,
            here or everywhere.
          </Quiet>
        </Stack>
        <Stack>
          <Drawn
            label={`Page ${number(seen)} as it would be`}
            picture={preview.data?.picture}
            height={340}
          />
          <Stepper>
            <Button
              aria-label="Page before"
              isDisabled={at === 0}
              onPress={() => setAt(Math.max(0, at - 1))}
            >
              <ChevronLeft size={15} aria-hidden />
            </Button>
            <span role="status">
              {pages.length === 0
                ? "It changes no page"
                : `Page ${number(seen)}: ${Math.min(at, pages.length - 1) + 1} of ${counted(pages.length, "page", "pages")} it changes`}
            </span>
            <Button
              aria-label="Page after"
              isDisabled={at >= pages.length - 1}
              onPress={() => setAt(at + 1)}
            >
              <ChevronRight size={15} aria-hidden />
            </Button>
          </Stepper>
          {preview.data && (
            <Quiet>{counted(preview.data.findings.length, "finding", "findings")} there</Quiet>
          )}
        </Stack>
      </Halves>
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton
          isDisabled={owners.length === 0}
          onPress={() => {
            onClose();
            steps.make(
              edit,
              `“${recipe.name}” is on ${pages.length === 0 ? "it" : numbersInWords(pages.map(number))}`,
            );
          }}
        >
          Put it there
        </MainButton>
      </Actions>
    </Modal>
  );
}

/** The swatches that a recipe is made of, each once. */
function colorsOf(entry: RecipeEntry): string[] {
  const all = entry.recipe.layer.backgrounds.flatMap(({ fill }) => {
    switch (fill.type) {
      case "solid":
        return [fill.color.swatch];
      case "gradient":
        return fill.stops.map((stop) => stop.color.swatch);
      default:
        return [];
    }
  });
  return [...new Set(all)];
}
