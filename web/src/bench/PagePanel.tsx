import { usePageDetail, useSteps } from "../api/queries";
import type { PageEntry, Publication } from "../api/types";
import { Choice } from "../ui/Choice";
import { Stack } from "../ui/Field";
import { shownLength } from "../ui/length";
import { Failed } from "../ui/Notice";
import { Section } from "../ui/Section";
import { Tick } from "../ui/Tick";
import { LayerEditor } from "./LayerEditor";

const none = "none";

/** The open page: its parent, and what lies on the page itself. */
export function PagePanel({ publication, page }: { publication: Publication; page: PageEntry }) {
  const steps = useSteps(publication);
  const detail = usePageDetail(publication, page.id);
  const side = publication.setup.facing
    ? page.side === "LEFT"
      ? "left-hand page"
      : "right-hand page"
    : "";

  const { unit } = publication.setup;
  const own = page.size
    ? `${shownLength(page.size.width, unit)} × ${shownLength(page.size.height, unit)}`
    : "";

  return (
    <Section
      title={`Page ${page.number}`}
      note={[side, own].filter((each) => each !== "").join(", ")}
    >
      <Stack>
        <Choice
          label="Parent"
          value={page.parent ?? none}
          options={[
            { id: none, label: "No parent" },
            ...publication.parents.map((parent) => ({ id: parent.id, label: parent.name })),
          ]}
          onChange={(id) =>
            steps.make(
              {
                type: "assignParent",
                pages: [page.id],
                ...(id === none ? {} : { parent: id }),
              },
              "Parent changed",
            )
          }
        />
        {page.parent && (
          <Tick
            label="Show the parent’s backgrounds"
            checked={page.parentShown}
            onChange={(shown) =>
              steps.make(
                { type: "showParent", pages: [page.id], shown },
                shown ? "The parent’s backgrounds show" : "The parent’s backgrounds are hidden",
              )
            }
          />
        )}
        {detail.isError && (
          <p role="alert">
            <Failed>Not read.</Failed> {detail.error.message}
          </p>
        )}
        {detail.data?.id === page.id ? (
          <LayerEditor
            publication={publication}
            owner={{ type: "onPage", id: page.id }}
            layer={detail.data.layer}
          />
        ) : (
          <p role="status">Fetching the page…</p>
        )}
      </Stack>
    </Section>
  );
}
