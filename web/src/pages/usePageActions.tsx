import { useState, type ReactNode } from "react";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication } from "../api/types";
import { HidingDialog } from "../files/dialogs";
import { newBackground } from "../scope/newBackground";
import { ApplyRecipe } from "../recipes/ApplyRecipe";
import type { Option } from "../ui/Choice";
import { Parts } from "../ui/Parts";
import { swatchOptions } from "../ui/colors";
import { useCommands } from "../ui/commands";
import { numbersInWords } from "../ui/words";
import { AddPages, MovePages, NamePart, noParent, parentOptions, RemovePages } from "./PageDialogs";
import { PageSizeDialog } from "./PageSizeDialog";
import { filesOf, partsOf, sizesOf } from "./parts";

/** Something that is done with the pages chosen, wherever pages are chosen. */
export interface PageAction {
  id: string;
  label: string;
  /** In the list of all actions, with what it is done to. */
  inFull: string;
  isDisabled: boolean;
  /** What there is to choose from first, if anything. */
  options?: Option[];
  run: (option: string) => void;
}

type Dialog = "hiding" | "size" | "add" | "move" | "remove" | "part" | { recipe: string };

/** All that can be done with the pages chosen, in one order, and the dialog that is open. */
export function usePageActions(
  publication: Publication,
  chosen: PageEntry[],
  onChoose: (pages: string[]) => void,
): { actions: PageAction[]; dialog: ReactNode } {
  const steps = useSteps(publication);
  const [asked, setAsked] = useState<Dialog>();
  const pages = chosen.map((page) => page.id);
  const words = numbersInWords(chosen.map((page) => page.number));
  const noPage = chosen.length === 0;
  const withParent = chosen.filter((page) => page.parent);
  const shown = withParent.some((page) => page.parentShown);
  const covered = chosen.filter((page) => page.backgrounds > 0);
  const parts = partsOf(publication);
  const files = filesOf(publication);
  const groups =
    files.length === 0
      ? []
      : [
          { id: "chooseFile", label: "Choose a file…", all: files },
          { id: "chooseSize", label: "Choose a size…", all: sizesOf(publication) },
        ];

  const actions: PageAction[] = [
    {
      id: "parent",
      label: "Give a parent…",
      inFull: `Give ${words} a parent`,
      isDisabled: noPage,
      options: parentOptions(publication),
      run: (id) =>
        steps.make(
          { type: "assignParent", pages, ...(id === noParent ? {} : { parent: id }) },
          `Parent of ${words} changed`,
        ),
    },
    {
      id: "showParent",
      label:
        shown || withParent.length === 0
          ? "Hide the parent’s backgrounds"
          : "Show the parent’s backgrounds",
      inFull: `${shown ? "Hide" : "Show"} the parent’s backgrounds on ${words}`,
      isDisabled: withParent.length === 0,
      run: () =>
        steps.make(
          { type: "showParent", pages: withParent.map((page) => page.id), shown: !shown },
          shown ? "The parent’s backgrounds are hidden" : "The parent’s backgrounds show",
        ),
    },
    {
      id: "color",
      label: "Give a colour…",
      inFull: `Colour ${words} to the bleed`,
      isDisabled: noPage,
      options: swatchOptions(publication),
      run: (swatch) =>
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
        ),
    },
    ...(files.length > 0
      ? [
          {
            id: "hiding",
            label: "What would hide a background…",
            inFull: `What would hide a background on ${words}…`,
            isDisabled: chosen.every((page) => !page.imported),
            run: () => setAsked("hiding"),
          },
        ]
      : []),
    {
      id: "recipe",
      label: "Give a recipe…",
      inFull: `Put a recipe on ${words}`,
      isDisabled: noPage || publication.recipes.length === 0,
      options: publication.recipes.map(({ recipe }) => ({ id: recipe.id, label: recipe.name })),
      run: (recipe) => setAsked({ recipe }),
    },
    {
      id: "clear",
      label: "Remove their own backgrounds",
      inFull: `Remove the own backgrounds of ${words}`,
      isDisabled: covered.length === 0,
      run: () =>
        steps.make(
          { type: "clearBackgrounds", pages: covered.map((page) => page.id) },
          "Their own backgrounds are removed",
        ),
    },
    {
      id: "part",
      label: "Begin a part here…",
      inFull: `Begin a part with page ${chosen[0]?.number ?? ""}…`,
      isDisabled: noPage,
      run: () => setAsked("part"),
    },
    {
      id: "chooseParts",
      label: "Choose a part…",
      inFull: "Choose the pages of a part",
      isDisabled: parts.length === 0,
      options: parts.map((part) => ({
        id: part.first.id,
        label: `${part.name}: ${numbersInWords(part.pages.map((page) => page.number))}`,
      })),
      run: (id) =>
        onChoose(parts.find((part) => part.first.id === id)?.pages.map((page) => page.id) ?? []),
    },
    ...groups.map(({ id, label, all }) => ({
      id,
      label,
      inFull: label.replace("…", ""),
      isDisabled: all.length < 2,
      options: all.map((group) => ({
        id: group.id,
        label: `${group.name}: ${numbersInWords(group.pages.map((page) => page.number))}`,
      })),
      run: (chosen: string) =>
        onChoose(all.find((group) => group.id === chosen)?.pages.map((page) => page.id) ?? []),
    })),
    {
      id: "add",
      label: "Add pages…",
      inFull: "Add pages…",
      isDisabled: false,
      run: () => setAsked("add"),
    },
    {
      id: "size",
      label: "Size…",
      inFull: `Size of ${words}…`,
      isDisabled: noPage,
      run: () => setAsked("size"),
    },
    {
      id: "move",
      label: "Move…",
      inFull: `Move ${words}…`,
      isDisabled: noPage,
      run: () => setAsked("move"),
    },
    {
      id: "remove",
      label: "Remove…",
      inFull: `Remove ${words}…`,
      isDisabled: noPage,
      run: () => setAsked("remove"),
    },
  ];

  useCommands(
    // colours stand where they are tried out, not one by one
    actions
      .filter(({ id }) => id !== "color")
      .flatMap(({ inFull, isDisabled, options, run }) =>
        options
          ? options.map(({ id, label }) => ({
              label: `${inFull}: ${label}`,
              isDisabled,
              run: () => run(id),
            }))
          : [{ label: inFull, isDisabled, run: () => run("") }],
      ),
  );

  return {
    actions,
    dialog: asked && (
      <Asked
        dialog={asked}
        publication={publication}
        chosen={chosen}
        onClose={() => setAsked(undefined)}
      />
    ),
  };
}

function Asked({
  dialog,
  ...asked
}: {
  dialog: Dialog;
  publication: Publication;
  chosen: PageEntry[];
  onClose: () => void;
}) {
  switch (dialog) {
    case "hiding":
      return (
        <Parts>
          <HidingDialog {...asked} />
        </Parts>
      );
    case "size":
      return <PageSizeDialog {...asked} />;
    case "add":
      return <AddPages {...asked} />;
    case "move":
      return <MovePages {...asked} />;
    case "remove":
      return <RemovePages {...asked} />;
    case "part":
      return <NamePart {...asked} />;
    default: {
      const entry = asked.publication.recipes.find(({ recipe }) => recipe.id === dialog.recipe);
      const first = asked.chosen[0];
      return entry && first ? <ApplyRecipe {...asked} page={first} entry={entry} /> : null;
    }
  }
}
