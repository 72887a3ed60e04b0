import { useMutation } from "@tanstack/react-query";
import { FileUp, ImagePlus, Trash2 } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import type { Asset, AssetEntry, Edit, Owner, PageEntry, Publication } from "../api/types";
import { backgroundOf } from "../scope/newBackground";
import { pictureInFront } from "../scope/front";
import { scopesOf } from "../scope/scope";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { ChoiceMenu } from "../ui/Choice";
import { Field, Stack } from "../ui/Field";
import { Fold, Name, Quiet } from "../ui/Fold";
import { FileButton } from "../ui/FileButton";
import { RemoveDialog } from "../ui/RemoveDialog";
import { Section } from "../ui/Section";
import { Rows } from "../ui/Rows";
import { useStatus } from "../ui/Status";
import { counted } from "../ui/words";
import { accepted, bring, factsOf, fillOf, thumbnail } from "./pictures";

const Thumb = styled.img`
  width: 36px;
  height: 28px;
  object-fit: contain;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
`;

const Large = styled.img`
  width: 100%;
  max-height: 160px;
  object-fit: contain;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
`;

/** The pictures and PDFs of the publication, and the way to bring more along. */
export function PictureSection({
  publication,
  page,
  chosen,
  pictures,
  searching,
  isImporting,
  onFiles,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  pictures: AssetEntry[];
  searching: boolean;
  isImporting: boolean;
  onFiles: (files: File[]) => void;
}) {
  if (searching && pictures.length === 0) {
    return null;
  }
  return (
    <Section
      title="Pictures"
      note={isImporting ? "importing…" : String(publication.assets.length)}
      action={
        <FileButton accepted={accepted} onFiles={onFiles} several>
          <QuietButton isDisabled={isImporting} aria-label="Import pictures and PDFs">
            <ImagePlus size={16} aria-hidden />
          </QuietButton>
        </FileButton>
      }
    >
      {publication.assets.length === 0 && (
        <Quiet as="p">
          No pictures yet. Drop PNG, JPEG, TIFF, SVG or PDF files here or on a page, or import them
          with the button above.
        </Quiet>
      )}
      <Rows entries={pictures} height={44}>
        {(entry) => (
          <Fold
            key={entry.asset.id}
            head={
              <>
                <Thumb src={thumbnail(publication, entry.asset, 72)} alt="" />
                <Name>{entry.asset.name}</Name>
                <Quiet>{entry.uses === 0 ? "unused" : `${entry.uses} ×`}</Quiet>
              </>
            }
          >
            <PictureEntry publication={publication} page={page} chosen={chosen} entry={entry} />
          </Fold>
        )}
      </Rows>
    </Section>
  );
}

function PictureEntry({
  publication,
  page,
  chosen,
  entry,
}: {
  publication: Publication;
  page: PageEntry;
  chosen: PageEntry[];
  entry: AssetEntry;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [removing, setRemoving] = useState(false);
  const { asset } = entry;
  const targets = scopesOf(publication, page, chosen);
  const ways: { name: string; label: string; edit: (owner: Owner) => Edit; done: string }[] = [
    {
      name: `Where to place ${asset.name}`,
      label: "Place it, to the bleed…",
      edit: (owner) => ({
        type: "addBackground",
        owner,
        background: backgroundOf(crypto.randomUUID(), fillOf(asset)),
      }),
      done: "Placed, out to the bleed",
    },
    {
      name: `Where to place ${asset.name} in front`,
      label: "Place it in front…",
      edit: (owner) => ({
        type: "addPicture",
        owner,
        picture: pictureInFront(publication, owner, asset),
      }),
      done: "Placed in front of the backgrounds, in the middle of the page",
    },
  ];
  const replace = useMutation({
    mutationFn: (file: File) => bring(publication, file),
    onSuccess: ({ sha256, content }) =>
      steps.make(
        { type: "replaceAsset", asset: asset.id, sha256, content },
        "Replaced wherever it is placed; its placing is kept",
      ),
    onError: (error) => status.fail(error.message),
  });

  return (
    <Stack>
      <Large src={thumbnail(publication, asset, 320)} alt={`Preview of ${asset.name}`} />
      <Quiet as="p">{factsOf(asset)}</Quiet>
      {ways.map(({ name, label, edit, done }) => (
        <ChoiceMenu
          key={label}
          label={name}
          trigger={
            <Button>
              <ImagePlus size={15} aria-hidden />
              {label}
            </Button>
          }
          options={targets.map(({ id, label: target }) => ({ id, label: target }))}
          onChoose={(id) => {
            const target = targets.find((each) => each.id === id);
            if (target) {
              steps.make({ type: "several", edits: target.owners.map(edit) }, done);
            }
          }}
        />
      ))}
      <FileButton accepted={accepted} onFiles={([file]) => file && replace.mutate(file)}>
        <Button isDisabled={replace.isPending}>
          <FileUp size={15} aria-hidden />
          Replace the file…
        </Button>
      </FileButton>
      <Field
        label="Name"
        value={asset.name}
        onCommit={(name) => steps.make({ type: "renameAsset", asset: asset.id, name })}
      />
      <div>
        <Button onPress={() => setRemoving(true)}>
          <Trash2 size={15} aria-hidden />
          Remove…
        </Button>
      </div>
      {removing && (
        <RemovePicture publication={publication} entry={entry} onClose={() => setRemoving(false)} />
      )}
    </Stack>
  );
}

function RemovePicture({
  publication,
  entry,
  onClose,
}: {
  publication: Publication;
  entry: AssetEntry;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const others = publication.assets
    .map((each) => each.asset)
    .filter((asset) => isLike(asset, entry.asset));
  const used = entry.uses > 0;
  const placed = `It is placed in ${counted(entry.uses, "place", "places")}.`;

  return (
    <RemoveDialog
      title={`Remove “${entry.asset.name}”?`}
      instead={
        used
          ? {
              label: "Instead",
              options: others.map(({ id, name }) => ({ id, label: name })),
              begin: others[0]?.id,
            }
          : undefined
      }
      onRemove={(replacement) =>
        steps.make(
          {
            type: "removeAsset",
            asset: entry.asset.id,
            ...(replacement ? { replacement } : {}),
          },
          "Picture removed",
        )
      }
      onClose={onClose}
    >
      {!used
        ? "It is placed nowhere."
        : others.length === 0
          ? `${placed} Remove those first, or import what takes its place.`
          : `${placed} Choose what takes its place.`}
    </RemoveDialog>
  );
}

/** Whether one can take the other's place. */
function isLike(asset: Asset, other: Asset): boolean {
  return (
    asset.id !== other.id &&
    (asset.content.type === "document") === (other.content.type === "document")
  );
}
