import { Plus, Search } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { useSteps } from "../api/queries";
import type { PageEntry, Publication } from "../api/types";
import { theme } from "../theme";
import { QuietButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { useCommands } from "../ui/commands";
import { Fold, Name, Quiet } from "../ui/Fold";
import { Section } from "../ui/Section";
import { counted, freeName } from "../ui/words";
import { BackgroundPanel } from "./BackgroundPanel";
import { LookEditor } from "./LookEditor";
import { ParentEditor } from "./ParentEditor";
import { newSwatch } from "./newSwatch";
import { SwatchEditor } from "./SwatchEditor";
import { useBench } from "./BenchState";
import { useReorder } from "./useReorder";
import { PaletteDialog } from "../color/PaletteDialog";
import { PictureSection } from "../pictures/PictureSection";
import { RecipeSection } from "../recipes/RecipeSection";

const Column = styled.aside`
  grid-area: left;
  overflow: auto;
  background: ${theme.color.ground};
  border-right: 1px solid ${theme.color.rule};
  min-width: 0;
  @media ${theme.narrow} {
    border-right: 0;
    border-bottom: 1px solid ${theme.color.rule};
  }
`;

const Finder = styled.label`
  display: flex;
  align-items: center;
  gap: 6px;
  margin: ${theme.space.one};
  padding: 0 6px;
  min-height: ${theme.hit};
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.edge};
  border-radius: 3px;
  &:focus-within {
    outline: 2px solid ${theme.color.text};
    outline-offset: 2px;
  }
  & input {
    flex: 1;
    min-width: 0;
    border: 0;
    outline: 0;
    box-shadow: none;
    font: inherit;
    color: inherit;
    background: transparent;
  }
`;

const Movable = styled.div`
  border-block: 2px solid transparent;
  &[data-drop="before"] {
    border-top-color: ${theme.color.active};
  }
  &[data-drop="after"] {
    border-bottom-color: ${theme.color.active};
  }
`;

const Values = styled.span`
  display: block;
  font-size: 12px;
  font-weight: 400;
  color: ${theme.color.quiet};
`;

/** Everything with a name in one place, each with how often it is used. */
export function Catalogue({
  publication,
  page,
  chosen,
  hidden,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  hidden: boolean;
}) {
  const steps = useSteps(publication);
  const { reveal } = useBench();
  const [search, setSearch] = useState("");
  const [palette, setPalette] = useState(false);
  const addParent = () =>
    steps.make(
      {
        type: "addParent",
        parent: crypto.randomUUID(),
        name: freeName("New parent", publication.parents),
      },
      "Parent added",
    );
  const addSwatch = () =>
    steps.make(
      { type: "addSwatch", swatch: newSwatch(crypto.randomUUID(), publication) },
      "Swatch added; open it to give it its values",
    );
  const shown = (act: () => void) => {
    reveal("catalogue");
    act();
  };
  useCommands([
    { label: "New parent", run: () => shown(addParent) },
    { label: "New swatch", run: () => shown(addSwatch) },
    { label: "Palette: import and export swatches…", run: () => setPalette(true) },
  ]);
  const rowOf = useReorder(
    publication.swatches.map((swatch) => swatch.id),
    (swatch, after) => steps.make({ type: "moveSwatch", swatch, ...(after ? { after } : {}) }),
  );
  const wanted = search.trim().toLocaleLowerCase();
  const fits = (name: string) => name.toLocaleLowerCase().includes(wanted);
  const swatches = publication.swatches.filter((swatch) => fits(swatch.name));
  const parents = publication.parents.filter((parent) => fits(parent.name));
  const looks = publication.looks.filter((entry) => fits(entry.look.name));
  const pictures = publication.assets.filter((entry) => fits(entry.asset.name));
  const recipes = publication.recipes.filter((entry) => fits(entry.recipe.name));
  const found = swatches.length + parents.length + looks.length + pictures.length + recipes.length;

  return (
    <Column aria-label="Catalogue" hidden={hidden}>
      <BackgroundPanel publication={publication} page={page} chosen={chosen} />
      <Finder>
        <Search size={15} aria-hidden />
        <input
          type="search"
          aria-label="Search the catalogue"
          placeholder="Search the catalogue"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
      </Finder>
      {found === 0 && (
        <Section title="Nothing found" note="">
          <p>Nothing in the catalogue has “{search.trim()}” in its name.</p>
        </Section>
      )}
      {parents.length > 0 && (
        <Section
          title="Parents"
          note={String(publication.parents.length)}
          action={
            <QuietButton aria-label="New parent" onPress={addParent}>
              <Plus size={16} aria-hidden />
            </QuietButton>
          }
        >
          {parents.map((parent) => (
            <Fold
              key={parent.id}
              head={
                <>
                  <Name>{parent.name}</Name>
                  <Quiet>{counted(parent.pages, "page", "pages")}</Quiet>
                </>
              }
            >
              <ParentEditor publication={publication} parent={parent} />
            </Fold>
          ))}
        </Section>
      )}
      {swatches.length > 0 && (
        <Section
          title="Swatches"
          note={String(publication.swatches.length)}
          action={
            <>
              <QuietButton onPress={() => setPalette(true)}>Palette…</QuietButton>
              <QuietButton aria-label="New swatch" onPress={addSwatch}>
                <Plus size={16} aria-hidden />
              </QuietButton>
            </>
          }
        >
          {swatches.map((swatch) => (
            <Movable key={swatch.id} {...rowOf(swatch.id)}>
              <Fold
                head={
                  <>
                    <Chip $color={swatch.screen} $size={24} />
                    <Name>
                      {swatch.name}
                      <Values>{swatch.values}</Values>
                    </Name>
                    <Quiet>{swatch.uses === 0 ? "unused" : `${swatch.uses} ×`}</Quiet>
                  </>
                }
              >
                <SwatchEditor publication={publication} swatch={swatch} />
              </Fold>
            </Movable>
          ))}
        </Section>
      )}
      <RecipeSection
        publication={publication}
        page={page}
        chosen={chosen}
        recipes={recipes}
        searching={wanted !== ""}
      />
      <PictureSection
        publication={publication}
        page={page}
        chosen={chosen}
        pictures={pictures}
        searching={wanted !== ""}
      />
      {looks.length > 0 && (
        <Section
          title="Looks"
          note={String(publication.looks.length)}
          action={
            <QuietButton
              aria-label="New look"
              onPress={() => {
                const model = publication.looks[0]?.look;
                if (model) {
                  steps.make(
                    {
                      type: "addLook",
                      look: {
                        ...model,
                        id: crypto.randomUUID(),
                        name: freeName(
                          "New look",
                          publication.looks.map((entry) => entry.look),
                        ),
                      },
                    },
                    "Look added; open it to change it",
                  );
                }
              }}
            >
              <Plus size={16} aria-hidden />
            </QuietButton>
          }
        >
          {looks.map((entry) => (
            <Fold
              key={entry.look.id}
              head={
                <>
                  <Name>
                    {entry.look.name}
                    <Values>
                      {entry.look.family}, {entry.look.size}
                    </Values>
                  </Name>
                  <Quiet>{entry.uses === 0 ? "unused" : `${entry.uses} ×`}</Quiet>
                </>
              }
            >
              <LookEditor publication={publication} entry={entry} />
            </Fold>
          ))}
        </Section>
      )}
      {palette && <PaletteDialog publication={publication} onClose={() => setPalette(false)} />}
    </Column>
  );
}
