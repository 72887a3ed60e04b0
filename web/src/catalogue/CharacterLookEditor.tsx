import { Trash2 } from "lucide-react";
import { useState } from "react";
import { useOptions } from "../api/queries";
import { useSteps } from "../api/steps";
import type { CharacterLook, CharacterLookEntry, Publication } from "../api/types";
import { useChanges } from "../api/useChanges";
import { Edits } from "../scope/Edits";
import { SwatchChoice } from "../scope/SwatchChoice";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row, Stack, Wide } from "../ui/Field";
import { Fold, Name } from "../ui/Fold";
import { OptionalNumber } from "../ui/OptionalNumber";
import { RemoveDialog } from "../ui/RemoveDialog";
import { TintField } from "../ui/TintField";
import { counted } from "../ui/words";
import { BasisFields } from "./BasisFields";
import { HighlightFields } from "./HighlightFields";
import { OutlineFields } from "./OutlineFields";
import { capitals, figures, Lacking } from "./SettingFields";
import { UsedIn } from "./UsedIn";

/** What is not set is as the paragraph has it. */
const unset = "AS_PARAGRAPH";

const asParagraph = { id: unset, label: "As the paragraph" };

const slopes = [
  asParagraph,
  { id: "UPRIGHT", label: "Upright" },
  { id: "ITALIC", label: "Italic" },
];

const none = "NONE";

const emphases = [
  { id: none, label: "None" },
  { id: "EMPHASIS", label: "Emphasis" },
  { id: "STRONG", label: "Strong emphasis" },
];

/** What a look of characters sets, in a few words. */
export function setInWords({
  family,
  weight,
  italic,
  size,
  color,
  highlight,
  capitals: shown,
}: CharacterLook): string {
  const parts = [
    ...(family === undefined ? [] : [family]),
    ...(weight === undefined ? [] : [String(weight)]),
    ...(italic === undefined ? [] : [italic ? "italic" : "upright"]),
    ...(size === undefined ? [] : [`${size} %`]),
    ...(shown === undefined
      ? []
      : [(capitals.find(({ id }) => id === shown)?.label ?? "").toLowerCase()]),
    ...(color === undefined ? [] : ["own colour"]),
    ...(highlight === undefined ? [] : ["highlight"]),
  ];
  return parts.join(", ") || "nothing set yet";
}

/** A look with a property set, or no longer. */
function having<K extends keyof CharacterLook>(
  look: CharacterLook,
  key: K,
  value: CharacterLook[K] | undefined,
): CharacterLook {
  const others = { ...look };
  // eslint-disable-next-line @typescript-eslint/no-dynamic-delete
  delete others[key];
  return value === undefined ? others : { ...others, [key]: value };
}

export function CharacterLookEditor({
  publication,
  entry,
}: {
  publication: Publication;
  entry: CharacterLookEntry;
}) {
  const steps = useSteps(publication);
  const options = useOptions();
  const [removing, setRemoving] = useState(false);
  const [look, become] = useChanges(
    publication,
    entry.look.id,
    entry.look,
    ({ was, made }) => ({ type: "changeCharacterLook", look: made, was }),
    "Look changed",
  );
  const families = options.data?.families ?? [];
  const weights = [
    ...new Set(
      families
        .filter(({ name }) => look.family === undefined || name === look.family)
        .flatMap((family) => family.weights),
    ),
  ];
  const naming = `character look “${look.name}”`;
  const edit = (made: CharacterLook) => ({
    type: "changeCharacterLook" as const,
    look: made,
    was: look,
  });
  const remove = (instead?: string) =>
    steps.make(
      {
        type: "removeCharacterLook",
        look: look.id,
        ...(instead && instead !== unset ? { replacement: instead } : {}),
      },
      "Character look removed",
    );
  return (
    <Edits what={`Character look “${look.name}”: ${counted(entry.uses, "use", "uses")}`}>
      <Stack>
        <UsedIn publication={publication} id={look.id} />
        <Field label="Name" value={look.name} onCommit={(name) => become({ ...look, name })} />
        <BasisFields
          looks={publication.characterLooks.map((each) => each.look)}
          look={look}
          onChange={(basis) => become(having(look, "basis", basis))}
        />
        <SwatchChoice
          publication={publication}
          label="Colour"
          forText
          naming={naming}
          value={look.color?.swatch ?? unset}
          others={[asParagraph]}
          begin={look.color?.swatch}
          giving={(swatch, tint) =>
            edit({ ...look, color: { swatch, tint: tint ?? look.color?.tint ?? 100 } })
          }
          onOther={() => void become(having(look, "color", undefined))}
        />
        <Row>
          <Choice
            label="Font"
            value={look.family ?? unset}
            options={[asParagraph, ...families.map(({ name }) => ({ id: name, label: name }))]}
            onChange={(id) => void become(having(look, "family", id === unset ? undefined : id))}
          />
          <Choice
            label="Weight"
            value={look.weight === undefined ? unset : String(look.weight)}
            options={[
              asParagraph,
              ...weights.map((weight) => ({ id: String(weight), label: String(weight) })),
            ]}
            onChange={(id) =>
              void become(having(look, "weight", id === unset ? undefined : Number(id)))
            }
          />
          <Choice
            label="Slope"
            value={look.italic === undefined ? unset : look.italic ? "ITALIC" : "UPRIGHT"}
            options={slopes}
            onChange={(id) =>
              void become(having(look, "italic", id === unset ? undefined : id === "ITALIC"))
            }
          />
          <OptionalNumber
            label="Size %"
            value={look.size}
            onCommit={(size) => become(having(look, "size", size))}
          />
          <OptionalNumber
            label="Tracking ‰"
            value={look.tracking}
            onCommit={(tracking) => become(having(look, "tracking", tracking))}
          />
          <Wide>
            <Choice
              label="Capitals"
              value={look.capitals ?? unset}
              options={[asParagraph, ...capitals]}
              onChange={(id) =>
                void become(
                  having(
                    look,
                    "capitals",
                    id === unset ? undefined : (id as CharacterLook["capitals"]),
                  ),
                )
              }
            />
            <Choice
              label="Figures"
              value={look.figures ?? unset}
              options={[asParagraph, ...figures]}
              onChange={(id) =>
                void become(
                  having(
                    look,
                    "figures",
                    id === unset ? undefined : (id as CharacterLook["figures"]),
                  ),
                )
              }
            />
            <Lacking family={look.family} letters={look} />
          </Wide>
          {look.color && (
            <TintField
              tint={look.color.tint}
              onChange={(tint) => look.color && become({ ...look, color: { ...look.color, tint } })}
            />
          )}
          <Wide>
            <Choice
              label="Emphasis for reading"
              value={look.emphasis ?? none}
              options={emphases}
              onChange={(id) =>
                void become(
                  having(
                    look,
                    "emphasis",
                    id === none ? undefined : (id as CharacterLook["emphasis"]),
                  ),
                )
              }
            />
          </Wide>
        </Row>
        <Fold head={<Name>Highlight</Name>}>
          <HighlightFields
            publication={publication}
            naming={naming}
            highlight={look.highlight}
            onChange={(highlight) => become(having(look, "highlight", highlight))}
            edit={(highlight) => edit({ ...look, highlight })}
          />
        </Fold>
        <Fold head={<Name>Outline</Name>}>
          <OutlineFields
            publication={publication}
            naming={naming}
            outline={look.outline}
            size="12 pt"
            onChange={(outline) => become(having(look, "outline", outline))}
            edit={(outline) => edit({ ...look, outline })}
          />
        </Fold>
        <div>
          <Button onPress={() => (entry.uses > 0 ? setRemoving(true) : remove())}>
            <Trash2 size={15} aria-hidden />
            Remove…
          </Button>
        </div>
        {removing && (
          <RemoveDialog
            title={`Remove the character look “${look.name}”?`}
            instead={{
              label: "Look instead",
              begin: unset,
              options: [
                asParagraph,
                ...publication.characterLooks
                  .filter((other) => other.look.id !== look.id)
                  .map((other) => ({ id: other.look.id, label: other.look.name })),
              ],
            }}
            onRemove={remove}
            onClose={() => setRemoving(false)}
          >
            {counted(entry.uses, "stretch of text wears", "stretches of text wear")} it. Choose what
            they get instead.
          </RemoveDialog>
        )}
      </Stack>
    </Edits>
  );
}
