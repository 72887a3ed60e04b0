import { Edits } from "../scope/Edits";
import { counted } from "../ui/words";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { useOptions } from "../api/queries";
import { useSteps } from "../api/steps";
import { useChanges } from "../api/useChanges";
import type { Look, LookEntry, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { SwatchChoice } from "../scope/SwatchChoice";
import { Field, Row, Stack, Wide } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { TintField } from "../ui/TintField";
import { RemoveDialog } from "../ui/RemoveDialog";
import { Fold, Name } from "../ui/Fold";
import { BasisFields } from "./BasisFields";
import { ListFields } from "./ListFields";
import { OutlineFields } from "./OutlineFields";
import { PanelFields } from "./PanelFields";
import { alignments, SettingFields } from "./SettingFields";
import { TabFields } from "./TabFields";
import { UsedIn } from "./UsedIn";

const overprints = [
  { id: "BLACK", label: "Plain black only" },
  { id: "ALWAYS", label: "Always, unless light" },
  { id: "NEVER", label: "Never" },
];

type Role = NonNullable<Look["role"]>;

const noRole = "NONE";

const roles: { id: Role | typeof noRole; label: string }[] = [
  { id: noRole, label: "None, plain text" },
  { id: "TITLE", label: "Title" },
  { id: "HEADING_1", label: "Heading 1" },
  { id: "HEADING_2", label: "Heading 2" },
  { id: "HEADING_3", label: "Heading 3" },
  { id: "HEADING_4", label: "Heading 4" },
  { id: "HEADING_5", label: "Heading 5" },
  { id: "HEADING_6", label: "Heading 6" },
  { id: "BODY", label: "Body text" },
  { id: "QUOTE", label: "Quote" },
  { id: "CAPTION", label: "Caption" },
];

/** Of the weights that a family has, the one that comes nearest. */
function nearestWeight(
  families: { name: string; weights: number[] }[],
  family: string,
  weight: number,
): number {
  const weights = families.find(({ name }) => name === family)?.weights ?? [];
  return weights.reduce(
    (best, each) => (Math.abs(each - weight) < Math.abs(best - weight) ? each : best),
    weights[0] ?? weight,
  );
}

/** A look with a property that it may do without, or no longer. */
export function having<K extends "outline" | "list" | "panel" | "basis" | "role">(
  look: Look,
  key: K,
  value: Look[K] | undefined,
): Look {
  const others = { ...look };
  // eslint-disable-next-line @typescript-eslint/no-dynamic-delete
  delete others[key];
  return value === undefined ? others : { ...others, [key]: value };
}

export function LookEditor({ publication, entry }: { publication: Publication; entry: LookEntry }) {
  const steps = useSteps(publication);
  const options = useOptions();
  const [removing, setRemoving] = useState(false);
  const [look, become] = useChanges(
    publication,
    entry.look.id,
    entry.look,
    ({ was, made }) => ({ type: "changeLook", look: made, was }),
    "Look changed",
  );
  const change = (changed: Partial<Look>) => become({ ...look, ...changed });
  const families = options.data?.families ?? [];
  const weights = families.find((family) => family.name === look.family)?.weights ?? [];
  const remove = (instead?: string) =>
    steps.make(
      { type: "removeLook", look: look.id, ...(instead ? { replacement: instead } : {}) },
      "Look removed",
    );

  return (
    <Edits what={`Look “${look.name}”: ${counted(entry.uses, "use", "uses")}`}>
      <Stack>
        <UsedIn publication={publication} id={look.id} />
        <Field label="Name" value={look.name} onCommit={(name) => change({ name })} />
        <BasisFields
          looks={publication.looks.map((each) => each.look)}
          look={look}
          onChange={(basis) => become(having(look, "basis", basis))}
        />
        <SwatchChoice
          publication={publication}
          label="Colour"
          forText
          naming={`look “${look.name}”`}
          value={look.color.swatch}
          begin={look.color.swatch}
          giving={(swatch, tint) => ({
            type: "changeLook",
            look: { ...look, color: { swatch, tint: tint ?? look.color.tint } },
            was: look,
          })}
        />
        <Row>
          <Choice
            label="Font"
            value={look.family}
            options={families.map(({ name }) => ({ id: name, label: name }))}
            onChange={(family) =>
              change({ family, weight: nearestWeight(families, family, look.weight) })
            }
          />
          <Choice
            label="Weight"
            value={String(look.weight)}
            options={weights.map((weight) => ({ id: String(weight), label: String(weight) }))}
            onChange={(weight) => change({ weight: Number(weight) })}
          />
          <Choice
            label="Slope"
            value={look.italic ? "ITALIC" : "UPRIGHT"}
            options={[
              { id: "UPRIGHT", label: "Upright" },
              { id: "ITALIC", label: "Italic" },
            ]}
            onChange={(id) => change({ italic: id === "ITALIC" })}
          />
          <LengthField
            label="Size"
            unit="PT"
            of={look.size}
            value={look.size}
            onCommit={(size) => change({ size })}
          />
          <LengthField
            label="Leading"
            unit="PT"
            of={look.size}
            multiple
            value={look.leading}
            onCommit={(leading) => change({ leading })}
          />
          <TintField
            tint={look.color.tint}
            onChange={(tint) => change({ color: { ...look.color, tint } })}
          />
          <LengthField
            label="Space above"
            unit="PT"
            of={look.size}
            value={look.before}
            onCommit={(before) => change({ before })}
          />
          <Choice
            label="Alignment"
            value={look.alignment}
            options={alignments}
            onChange={(id) => change({ alignment: id as Look["alignment"] })}
          />
          <Wide>
            <Choice
              label="Overprints"
              value={look.overprint}
              options={overprints}
              onChange={(id) => change({ overprint: id as Look["overprint"] })}
            />
          </Wide>
          <Wide>
            <Choice
              label="Next paragraph"
              value={look.next ?? look.id}
              options={[
                { id: look.id, label: "The same look" },
                ...publication.looks
                  .filter((other) => other.look.id !== look.id)
                  .map((other) => ({ id: other.look.id, label: other.look.name })),
              ]}
              onChange={(next) => change({ next })}
            />
          </Wide>
        </Row>
        <Choice
          label="Role for reading"
          value={look.role ?? noRole}
          options={roles}
          onChange={(id) =>
            void become(having(look, "role", id === noRole ? undefined : (id as Role)))
          }
        />
        <Fold head={<Name>Lines and spaces</Name>}>
          <SettingFields look={look} onChange={(setting) => change({ setting })} />
        </Fold>
        <Fold head={<Name>Tab stops</Name>}>
          <TabFields
            look={look}
            onChange={(tabs) => change({ setting: { ...look.setting, tabs } })}
          />
        </Fold>
        <Fold head={<Name>List</Name>}>
          <ListFields
            publication={publication}
            list={look.list}
            onChange={(list) => become(having(look, "list", list))}
          />
        </Fold>
        <Fold head={<Name>Shading and border</Name>}>
          <PanelFields
            publication={publication}
            naming={`look “${look.name}”`}
            panel={look.panel}
            size={look.size}
            onChange={(panel) => become(having(look, "panel", panel))}
            edit={(panel) => ({ type: "changeLook", look: { ...look, panel }, was: look })}
          />
        </Fold>
        <Fold head={<Name>Outline</Name>}>
          <OutlineFields
            publication={publication}
            naming={`look “${look.name}”`}
            outline={look.outline}
            size={look.size}
            onChange={(outline) => become(having(look, "outline", outline))}
            edit={(outline) => ({
              type: "changeLook",
              look: { ...look, outline },
              was: look,
            })}
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
            title={`Remove the look “${look.name}”?`}
            instead={{
              label: "Look instead",
              options: publication.looks
                .filter((other) => other.look.id !== look.id)
                .map((other) => ({ id: other.look.id, label: other.look.name })),
            }}
            onRemove={remove}
            onClose={() => setRemoving(false)}
          >
            It is used in {counted(entry.uses, "place", "places")}: by paragraphs, or as the next
            look of another. Choose the look that these get instead.
          </RemoveDialog>
        )}
      </Stack>
    </Edits>
  );
}
