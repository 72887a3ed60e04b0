import { Plus, Search } from "lucide-react";
import { memo, useMemo, useRef, useState } from "react";
import styled from "styled-components";
import { useUses } from "../api/queries";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication } from "../api/types";
import { theme } from "../theme";
import { Rows } from "../ui/Rows";
import { useArea } from "../ui/useArea";
import { QuietButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { useCommands } from "../ui/commands";
import { Fold, Name, Quiet, Values } from "../ui/Fold";
import { Section } from "../ui/Section";
import { dropping, useFileDrop } from "../ui/useFileDrop";
import { counted, freeName } from "../ui/words";
import { CharacterLooks } from "./CharacterLooks";
import { LookEditor } from "./LookEditor";
import { LookRow } from "./LookRow";
import { LookSheet } from "./LookSheet";
import { ParentEditor } from "./ParentEditor";
import { newSwatch } from "./newSwatch";
import { StorySection } from "./StorySection";
import { SwatchEditor } from "./SwatchEditor";
import { useBench } from "../bench/BenchState";
import { searched } from "./search";
import { PageLinks } from "./UsedIn";
import { TypedSwatch } from "./TypedSwatch";
import { TypefacesDialog } from "./TypefacesDialog";
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

/** About how high a folded entry is, in pixels. */
const ROW = 44;

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

/** Everything with a name in one place, each with how often it is used. */
/** Of so many things that are found it is looked up which pages they are on. */
const MOST = 20;

const hasPages = ({ pages }: { pages: number[] }) => pages.length > 0;

export const Catalogue = memo(Entries);

function Entries({
  publication,
  page,
  chosen,
  hidden,
  isImporting,
  onFiles,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  hidden: boolean;
  isImporting: boolean;
  /** Imports files. */
  onFiles: (files: File[]) => void;
}) {
  const column = useRef<HTMLElement>(null);
  const columnProps = useArea(column, "complementary", "Catalogue", hidden);
  const { isOver, dropProps } = useFileDrop(onFiles);
  const steps = useSteps(publication);
  const { reveal } = useBench();
  const [search, setSearch] = useState("");
  const [palette, setPalette] = useState(false);
  const [fonts, setFonts] = useState(false);
  const [sheet, setSheet] = useState(false);
  const [openSwatches, setOpenSwatches] = useState<ReadonlySet<string>>(new Set());
  const fold = (id: string, open: boolean) =>
    setOpenSwatches((last) => {
      const next = new Set(last);
      if (open) {
        next.add(id);
      } else {
        next.delete(id);
      }
      return next;
    });
  const addParent = () =>
    steps.make(
      {
        type: "addParent",
        parent: crypto.randomUUID(),
        name: freeName("New parent", publication.parents),
      },
      "Parent added",
    );
  const addSwatch = () => {
    const id = crypto.randomUUID();
    steps.make({ type: "addSwatch", swatch: newSwatch(id, publication) }, "Swatch added");
    fold(id, true);
  };
  const shown = (act: () => void) => {
    reveal("catalogue");
    act();
  };
  useCommands([
    { label: "New parent", run: () => shown(addParent) },
    { label: "New swatch", run: () => shown(addSwatch) },
    { label: "All looks with samples…", run: () => setSheet(true) },
    { label: "Fonts: import your own…", run: () => setFonts(true) },
    { label: "Palette: import and export swatches…", run: () => setPalette(true) },
  ]);
  const rowOf = useReorder(
    publication.swatches.map((swatch) => swatch.id),
    (swatch, after) => steps.make({ type: "moveSwatch", swatch, ...(after ? { after } : {}) }),
  );
  const wanted = search.trim();
  const { swatches, parents, looks, characterLooks, pictures, recipes, because } = useMemo(
    () => searched(publication, search),
    [publication, search],
  );
  const usesWhat = (id: string) =>
    because.has(id) && <Values>{`uses “${because.get(id)}”`}</Values>;
  const fitting = useMemo(
    () =>
      wanted === ""
        ? []
        : [
            ...swatches.map(({ id }) => id),
            ...pictures.map(({ asset }) => asset.id),
            ...looks.filter(({ look }) => !because.has(look.id)).map(({ look }) => look.id),
          ].slice(0, MOST),
    [wanted, swatches, pictures, looks, because],
  );
  const uses = useUses(publication, fitting);
  const onPages = fitting.length === 0 ? [] : (uses.data ?? []).filter(hasPages);
  const nameOf = (id: string) =>
    publication.swatches.find((each) => each.id === id)?.name ??
    publication.assets.find(({ asset }) => asset.id === id)?.asset.name ??
    publication.looks.find(({ look }) => look.id === id)?.look.name;
  const found =
    swatches.length +
    parents.length +
    looks.length +
    characterLooks.length +
    pictures.length +
    recipes.length;

  return (
    <Column ref={column} {...columnProps} style={isOver ? dropping : undefined} {...dropProps}>
      <Finder>
        <Search size={15} aria-hidden />
        <input
          type="search"
          aria-label="Search the catalogue"
          placeholder="Search the catalogue"
          title="A name, or values such as C82 or #0f4a38; a colour makes a new swatch"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
      </Finder>
      <TypedSwatch
        publication={publication}
        typed={wanted}
        onMade={(id) => {
          setSearch("");
          fold(id, true);
        }}
      />
      {found === 0 && (
        <Section title="Nothing found" note="">
          <p>
            Nothing in the catalogue has “{wanted}” in its name or values. A colour, such as
            “Harbour #0f4a38” or “Dusk C82 M64”, makes a new swatch.
          </p>
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
          <Rows entries={parents} height={ROW}>
            {(parent) => (
              <Fold
                key={parent.id}
                head={
                  <>
                    <Name>
                      {parent.name}
                      {usesWhat(parent.id)}
                    </Name>
                    <Quiet>{counted(parent.pages, "page", "pages")}</Quiet>
                  </>
                }
              >
                <ParentEditor publication={publication} parent={parent} />
              </Fold>
            )}
          </Rows>
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
          <Rows entries={swatches} height={ROW} isWanted={(swatch) => openSwatches.has(swatch.id)}>
            {(swatch) => (
              <Movable key={swatch.id} {...rowOf(swatch.id)}>
                <Fold
                  isExpanded={openSwatches.has(swatch.id)}
                  onExpandedChange={(open) => fold(swatch.id, open)}
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
            )}
          </Rows>
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
        isImporting={isImporting}
        onFiles={onFiles}
      />
      {looks.length > 0 && (
        <Section
          title="Looks"
          note={String(publication.looks.length)}
          action={
            <>
              <QuietButton onPress={() => setSheet(true)}>Sheet…</QuietButton>
              <QuietButton onPress={() => setFonts(true)}>Fonts…</QuietButton>
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
                          // all of it as in the first, until something is set
                          basis: { look: model.id, own: [] },
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
            </>
          }
        >
          <Rows entries={looks} height={ROW}>
            {(entry) => (
              <LookRow
                key={entry.look.id}
                name={entry.look.name}
                values={`${entry.look.family}, ${entry.look.size}`}
                because={because.get(entry.look.id)}
                uses={entry.uses}
              >
                <LookEditor publication={publication} entry={entry} />
              </LookRow>
            )}
          </Rows>
        </Section>
      )}
      <CharacterLooks
        publication={publication}
        looks={characterLooks}
        searching={wanted !== ""}
        because={because}
      />
      <StorySection publication={publication} page={page} search={wanted} />
      {onPages.length > 0 && (
        <Section title="Pages">
          <ul>
            {onPages.map(({ id, pages }) => (
              <li key={id}>
                “{nameOf(id)}”: <PageLinks publication={publication} pages={pages} />
              </li>
            ))}
          </ul>
        </Section>
      )}
      {sheet && <LookSheet publication={publication} onClose={() => setSheet(false)} />}
      {fonts && <TypefacesDialog onClose={() => setFonts(false)} />}
      {palette && <PaletteDialog publication={publication} onClose={() => setPalette(false)} />}
    </Column>
  );
}
