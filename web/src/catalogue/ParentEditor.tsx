import { Edits } from "../scope/Edits";
import { Layers, Trash2 } from "lucide-react";
import { useState } from "react";
import { useSteps } from "../api/steps";
import type { ParentEntry, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { RemoveDialog } from "../ui/RemoveDialog";
import { counted, numbersInWords } from "../ui/words";
import { useBench } from "../bench/BenchState";

const nothing = "none";

/** What has a parent: pages, and parents that are based on it. */
function users(pages: number[], based: ParentEntry[]): string {
  const parents = based.map((other) => `“${other.name}”`).join(", ");
  const some = pages.length > 0 ? numbersInWords(pages) : "";
  return some && parents ? `${some} and of ${parents}` : some || parents;
}

export function ParentEditor({
  publication,
  parent,
}: {
  publication: Publication;
  parent: ParentEntry;
}) {
  const steps = useSteps(publication);
  const { changeScope, reveal } = useBench();
  const [removing, setRemoving] = useState(false);
  const pages = publication.pages
    .filter((page) => page.parent === parent.id)
    .map((page) => page.number);
  const based = publication.parents.filter((other) => other.base === parent.id);
  const others = publication.parents.filter((other) => other.id !== parent.id);
  const used = pages.length + based.length > 0;
  const remove = (replacement = nothing) =>
    steps.make(
      {
        type: "removeParent",
        parent: parent.id,
        ...(replacement === nothing ? {} : { replacement }),
      },
      "Parent removed",
    );

  return (
    <Edits what={`Parent ${parent.name}: ${counted(parent.pages, "page", "pages")}`}>
      <Stack>
        <Quiet>
          {parent.pages === 0
            ? "On no page yet"
            : `What is done here changes ${counted(parent.pages, "page", "pages")}`}
        </Quiet>
        <Button
          onPress={() => {
            changeScope(parent.id);
            reveal("strata");
          }}
        >
          <Layers size={15} aria-hidden />
          Change what lies on it
        </Button>
        <Field
          label="Name"
          value={parent.name}
          onCommit={(name) => steps.make({ type: "renameParent", parent: parent.id, name })}
        />
        {others.length > 0 && (
          <Choice
            label="Based on"
            value={parent.base ?? nothing}
            options={[
              { id: nothing, label: "No other parent" },
              ...others.map((other) => ({ id: other.id, label: other.name })),
            ]}
            onChange={(base) =>
              steps.make(
                {
                  type: "setParentBase",
                  parent: parent.id,
                  ...(base === nothing ? {} : { base }),
                },
                base === nothing ? "Based on no other parent now" : "Based on that parent now",
              )
            }
          />
        )}
        <div>
          <Button onPress={() => setRemoving(true)}>
            <Trash2 size={15} aria-hidden />
            Remove parent…
          </Button>
        </div>
        {removing && (
          <RemoveDialog
            title={`Remove the parent “${parent.name}”?`}
            instead={
              used
                ? {
                    label: "Parent instead",
                    begin: nothing,
                    options: [
                      { id: nothing, label: "No parent" },
                      ...others.map((other) => ({ id: other.id, label: other.name })),
                    ],
                  }
                : undefined
            }
            onRemove={remove}
            onClose={() => setRemoving(false)}
          >
            {used
              ? `It is the parent of ${users(pages, based)}. Choose what they get instead.`
              : "No page has it."}
          </RemoveDialog>
        )}
      </Stack>
    </Edits>
  );
}
