import { Trash2 } from "lucide-react";
import { useState } from "react";
import { useSteps } from "../api/queries";
import type { ParentEntry, Publication } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { LayerEditor } from "./LayerEditor";

const nothing = "none";

export function ParentEditor({
  publication,
  parent,
}: {
  publication: Publication;
  parent: ParentEntry;
}) {
  const steps = useSteps(publication);
  const [removing, setRemoving] = useState(false);
  const [replacement, setReplacement] = useState(nothing);
  const pages = publication.pages
    .filter((page) => page.parent === parent.id)
    .map((page) => page.number);
  const remove = () => {
    setRemoving(false);
    steps.make(
      {
        type: "removeParent",
        parent: parent.id,
        ...(replacement === nothing ? {} : { replacement }),
      },
      "Parent removed",
    );
  };

  return (
    <Stack>
      <Quiet>
        {pages.length === 0
          ? "On no page yet"
          : `What is done here changes ${pages.length} ${pages.length === 1 ? "page" : "pages"}`}
      </Quiet>
      <LayerEditor
        publication={publication}
        owner={{ type: "onParent", id: parent.id }}
        layer={parent.layer}
      />
      <Field
        label="Name"
        value={parent.name}
        onCommit={(name) => steps.make({ type: "renameParent", parent: parent.id, name })}
      />
      <div>
        <Button onPress={() => setRemoving(true)}>
          <Trash2 size={15} aria-hidden />
          Remove parent…
        </Button>
      </div>
      <Modal
        title={`Remove the parent “${parent.name}”?`}
        isOpen={removing}
        onClose={() => setRemoving(false)}
      >
        <p>
          {pages.length === 0
            ? "No page has it."
            : `It is the parent of pages ${pages.join(", ")}. Choose what they get instead.`}
        </p>
        {pages.length > 0 && (
          <Choice
            label="Parent instead"
            value={replacement}
            options={[
              { id: nothing, label: "No parent" },
              ...publication.parents
                .filter((other) => other.id !== parent.id)
                .map((other) => ({ id: other.id, label: other.name })),
            ]}
            onChange={setReplacement}
          />
        )}
        <Actions>
          <Button onPress={() => setRemoving(false)}>Keep it</Button>
          <MainButton onPress={remove}>Remove</MainButton>
        </Actions>
      </Modal>
    </Stack>
  );
}
