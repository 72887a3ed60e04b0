import { Palette } from "lucide-react";
import { useState } from "react";
import { useCommonLayer } from "../api/queries";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication } from "../api/types";
import { RecolorDialog } from "../files/dialogs";
import { noParent, parentOptions } from "../pages/PageDialogs";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Parts } from "../ui/Parts";
import { shownLength } from "../ui/length";
import { Failed } from "../ui/Notice";
import { Section } from "../ui/Section";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";
import { useBench } from "../bench/BenchState";
import { alone } from "./BackgroundEditor";
import { LayerEditor } from "./LayerEditor";
import { PAGES } from "./scope";

/** What lies on what is being changed: the pages chosen, or a parent. */
export function ScopePanel({ publication }: { publication: Publication }) {
  const { scope } = useBench();
  const { parent, pages, owners } = scope;
  if (parent) {
    return (
      <Section title={`Parent ${parent.name}`}>
        <LayerEditor
          publication={publication}
          owners={owners}
          backgrounds={parent.layer.backgrounds.map(alone)}
          frames={parent.layer.frames}
        />
      </Section>
    );
  }
  return (
    <Section title={scope.label} note={noteOn(pages, publication)}>
      <Stack>
        <ParentFields publication={publication} pages={pages} />
        <FileButtons publication={publication} pages={pages} />
        <OwnLayer publication={publication} pages={pages} />
      </Stack>
    </Section>
  );
}

/** What can be done with the page of a file itself. */
function FileButtons({ publication, pages }: { publication: Publication; pages: PageEntry[] }) {
  const [isOpen, setIsOpen] = useState(false);
  const numbers = pages.flatMap(({ imported }) => (imported ? [imported.number] : []));
  const files = new Set(pages.map(({ imported }) => imported?.asset));
  const [only] = files;
  const file = publication.assets.find(({ asset }) => asset.id === only)?.asset;
  if (!file || files.size > 1) {
    return null;
  }
  return (
    <>
      <Button onPress={() => setIsOpen(true)}>
        <Palette size={16} aria-hidden />
        Colours of the file…
      </Button>
      {isOpen && (
        <Parts>
          <RecolorDialog
            publication={publication}
            asset={file}
            chosen={[...new Set(numbers)].sort((one, next) => one - next)}
            onClose={() => setIsOpen(false)}
          />
        </Parts>
      )}
    </>
  );
}

function noteOn(pages: PageEntry[], { setup, assets }: Publication): string {
  const [page] = pages;
  if (!page || pages.length > 1) {
    return "";
  }
  const side = page.side === "LEFT" ? "left-hand page" : "right-hand page";
  const own = page.size
    ? `${shownLength(page.size.width, setup.unit)} × ${shownLength(page.size.height, setup.unit)}`
    : "";
  const { imported } = page;
  const file = assets.find(({ asset }) => asset.id === imported?.asset)?.asset.name;
  const from = imported && file ? `page ${imported.number} of “${file}”` : "";
  return [from, setup.facing ? side : "", own].filter((each) => each !== "").join(", ");
}

function ParentFields({ publication, pages }: { publication: Publication; pages: PageEntry[] }) {
  const steps = useSteps(publication);
  const ids = pages.map((page) => page.id);
  const parents = new Set(pages.map((page) => page.parent ?? noParent));
  const withParent = pages.filter((page) => page.parent);
  const shown = withParent.filter((page) => page.parentShown).length;
  return (
    <>
      <Choice
        label="Parent"
        value={parents.size === 1 ? [...parents][0] : undefined}
        placeholder="differs"
        options={parentOptions(publication)}
        onChange={(id) =>
          steps.makeSeen(
            { type: "assignParent", pages: ids, ...(id === noParent ? {} : { parent: id }) },
            "Parent changed",
          )
        }
      />
      {withParent.length > 0 && (
        <Tick
          label="Show the parent’s backgrounds"
          checked={shown === withParent.length}
          partly={shown > 0 && shown < withParent.length}
          onChange={(show) =>
            steps.makeSeen(
              { type: "showParent", pages: withParent.map((page) => page.id), shown: show },
              show ? "The parent’s backgrounds show" : "The parent’s backgrounds are hidden",
            )
          }
        />
      )}
    </>
  );
}

function OwnLayer({ publication, pages }: { publication: Publication; pages: PageEntry[] }) {
  const { scope } = useBench();
  const layer = useCommonLayer(
    publication,
    pages.map((page) => page.id),
  );
  if (layer.isError) {
    return (
      <p role="alert">
        <Failed>Not read.</Failed> {layer.error.message}
      </p>
    );
  }
  if (!layer.data || scope.id !== PAGES) {
    return <p role="status">{`Reading ${pages.length === 1 ? "the page" : "the pages"}…`}</p>;
  }
  const { backgrounds, frames, frameCount } = layer.data;
  return (
    <>
      <LayerEditor
        publication={publication}
        owners={scope.owners}
        backgrounds={backgrounds}
        frames={frames}
      />
      {pages.length > 1 && frameCount > 0 && (
        <Quiet>
          {`${counted(frameCount, "text frame", "text frames")} on them; text is changed on its own page.`}
        </Quiet>
      )}
    </>
  );
}
