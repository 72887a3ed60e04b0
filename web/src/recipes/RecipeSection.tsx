import { Edits } from "../scope/Edits";
import { useMutation, useQuery } from "@tanstack/react-query";
import { Download, FileUp, Plus, Stamp, Trash2 } from "lucide-react";
import { useState } from "react";
import { useSteps } from "../api/steps";
import type { Edit, PageEntry, Publication, RecipeEntry } from "../api/types";
import { alone, BackgroundEditor, inWords } from "../scope/BackgroundEditor";
import { scopesOf } from "../scope/scope";
import { Button, ButtonLink, MainButton, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField, Field, Stack } from "../ui/Field";
import { Fold, Name, Quiet } from "../ui/Fold";
import { FileButton } from "../ui/FileButton";
import { Actions, Modal } from "../ui/Modal";
import { RemoveDialog } from "../ui/RemoveDialog";
import { Section } from "../ui/Section";
import { useStatus } from "../ui/Status";
import { counted, freeName } from "../ui/words";
import { ApplyRecipe } from "./ApplyRecipe";
import { broughtFromFile, broughtFromThere, elsewhere } from "./recipes";

/** Saved backgrounds, to be used again. */
export function RecipeSection({
  publication,
  page,
  chosen,
  recipes,
  searching,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  recipes: RecipeEntry[];
  searching: boolean;
}) {
  const [saving, setSaving] = useState(false);
  if (searching && recipes.length === 0) {
    return null;
  }
  return (
    <Section
      title="Recipes"
      note={String(publication.recipes.length)}
      action={
        <QuietButton aria-label="New recipe" onPress={() => setSaving(true)}>
          <Plus size={16} aria-hidden />
        </QuietButton>
      }
    >
      {publication.recipes.length === 0 && (
        <Quiet as="p">
          No recipes yet. Save the backgrounds of a page or parent to use them again.
        </Quiet>
      )}
      {recipes.map((entry) => (
        <Fold
          key={entry.recipe.id}
          head={
            <>
              <Name>{entry.recipe.name}</Name>
              <Quiet>{entry.on.length === 0 ? "unused" : `${entry.on.length} ×`}</Quiet>
            </>
          }
        >
          <RecipeEditor publication={publication} page={page} chosen={chosen} entry={entry} />
        </Fold>
      ))}
      {saving && (
        <NewRecipe
          publication={publication}
          page={page}
          chosen={chosen}
          onClose={() => setSaving(false)}
        />
      )}
    </Section>
  );
}

function RecipeEditor({
  publication,
  page,
  chosen,
  entry,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  entry: RecipeEntry;
}) {
  const steps = useSteps(publication);
  const [applying, setApplying] = useState(false);
  const [removing, setRemoving] = useState(false);
  const { recipe, on } = entry;

  return (
    <Edits what={`Recipe “${recipe.name}”: ${counted(on.length, "place", "places")}`}>
      <Stack>
        <Button onPress={() => setApplying(true)}>
          <Stamp size={15} aria-hidden />
          Put it on pages…
        </Button>
        <Quiet>
          {on.length === 0
            ? "On no page or parent yet"
            : `What is changed here changes ${counted(on.length, "place", "places")}`}
        </Quiet>
        {[...recipe.layer.backgrounds].reverse().map((background) => (
          <Fold key={background.id} head={<Name>{inWords(background, publication)}</Name>}>
            <BackgroundEditor
              publication={publication}
              owner={{ type: "onRecipe", id: recipe.id }}
              common={alone(background)}
            />
          </Fold>
        ))}
        <Field
          label="Name"
          value={recipe.name}
          onCommit={(name) => steps.make({ type: "renameRecipe", recipe: recipe.id, name })}
        />
        <ButtonLink href={`/api/publications/${publication.id}/recipes/${recipe.id}/file`} download>
          <Download size={15} aria-hidden />
          Export as a file
        </ButtonLink>
        {on.length > 0 && (
          <Button
            onPress={() =>
              steps.make(
                { type: "takeOffRecipe", recipe: recipe.id, owners: [] },
                `Taken off ${counted(on.length, "place", "places")}`,
              )
            }
          >
            Take it off everywhere
          </Button>
        )}
        <div>
          <Button onPress={() => setRemoving(true)}>
            <Trash2 size={15} aria-hidden />
            Remove recipe…
          </Button>
        </div>
        {applying && (
          <ApplyRecipe
            publication={publication}
            page={page}
            chosen={chosen}
            entry={entry}
            onClose={() => setApplying(false)}
          />
        )}
        {removing && (
          <RemoveDialog
            title={`Remove the recipe “${recipe.name}”?`}
            label={on.length > 0 ? "Remove, and leave that" : "Remove"}
            other={
              on.length > 0
                ? {
                    label: "Remove, with what it put there",
                    run: () => steps.make(removal(recipe.id, true), "Recipe removed"),
                  }
                : undefined
            }
            onRemove={() => steps.make(removal(recipe.id, false), "Recipe removed")}
            onClose={() => setRemoving(false)}
          >
            {on.length === 0
              ? "It is on no page or parent."
              : `It is on ${counted(on.length, "place", "places")}. What it put there can stay or go with it.`}
          </RemoveDialog>
        )}
      </Stack>
    </Edits>
  );
}

function removal(recipe: string, takeOff: boolean): Edit {
  return { type: "removeRecipe", recipe, takeOff };
}

/** Saves one from here, or imports one. */
function NewRecipe({
  publication,
  page,
  chosen,
  onClose,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const sources = scopesOf(publication, page, chosen.slice(0, 1));
  const [source, setSource] = useState(sources[0]?.id);
  const [name, setName] = useState(
    freeName(
      "New recipe",
      publication.recipes.map((entry) => entry.recipe),
    ),
  );
  const others = useQuery({
    queryKey: ["recipes-elsewhere", publication.id],
    queryFn: () => elsewhere(publication),
  });
  const [other, setOther] = useState<string>();
  const wanted = others.data?.find((each) => each.recipe === other) ?? others.data?.[0];
  const bring = useMutation({
    mutationFn: (file: File | undefined) =>
      file || !wanted
        ? broughtFromFile(publication, file)
        : broughtFromThere(publication, wanted.publication, wanted.recipe),
    onSuccess: (brought) => {
      onClose();
      steps.make(brought.edit, `“${brought.name}” imported`);
    },
    onError: (error) => status.fail(error.message),
  });

  return (
    <Modal title="New recipe" isOpen onClose={onClose}>
      <h3>Save the backgrounds of a page or parent</h3>
      <Choice
        label="The backgrounds of"
        value={source}
        options={sources.map(({ id, label }) => ({ id, label }))}
        onChange={setSource}
      />
      <DraftField label="Name" value={name} onChange={setName} />
      <Actions>
        <MainButton
          onPress={() => {
            const from = sources.find((each) => each.id === source)?.owners[0];
            if (from) {
              onClose();
              steps.make(
                { type: "saveRecipe", recipe: crypto.randomUUID(), name, from },
                `“${name}” is saved`,
              );
            }
          }}
        >
          Save
        </MainButton>
      </Actions>
      <h3>Import a recipe</h3>
      {wanted && (
        <Choice
          label="From another publication"
          value={wanted.recipe}
          options={(others.data ?? []).map((each) => ({
            id: each.recipe,
            label: `${each.name}, from ${each.publicationName}`,
          }))}
          onChange={setOther}
        />
      )}
      <Actions>
        <FileButton accepted={[".json"]} onFiles={([file]) => file && bring.mutate(file)}>
          <Button isDisabled={bring.isPending}>
            <FileUp size={15} aria-hidden />
            From a file…
          </Button>
        </FileButton>
        {wanted && (
          <Button isDisabled={bring.isPending} onPress={() => bring.mutate(undefined)}>
            Import
          </Button>
        )}
        <Button onPress={onClose}>Cancel</Button>
      </Actions>
    </Modal>
  );
}
