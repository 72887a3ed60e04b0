import { useFindings, useSteps } from "../api/queries";
import type { Owner, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { counted } from "../ui/words";

/** The two ways out of a stock that is only simulated: print it, or say that it is the paper. */
export function StockAnswers({ publication }: { publication: Publication }) {
  const steps = useSteps(publication);
  const findings = useFindings(publication);
  const { setup } = publication;
  const { stock } = setup.press;
  if (!stock) {
    return null;
  }
  const pages = new Set(
    (findings.data?.findings ?? [])
      .filter((finding) => finding.kind === "stock-not-printed")
      .map((finding) => finding.pageId),
  );
  const owners = ownersOf(publication, pages);
  const swatch = crypto.randomUUID();

  return (
    <>
      <Button
        onPress={() =>
          steps.make(
            {
              type: "several",
              edits: [
                {
                  type: "addSwatch",
                  swatch: {
                    id: swatch,
                    name: "Stock, printed",
                    definition: { type: "plain", color: { ...stock, type: "lab" } },
                  },
                },
                ...owners.map((owner) => ({
                  type: "addBackground" as const,
                  owner,
                  background: {
                    id: crypto.randomUUID(),
                    sides: "BOTH" as const,
                    area: { type: "wholePage" as const },
                    fill: { type: "solid" as const, color: { swatch, tint: 100 } },
                  },
                })),
              ],
            },
            "The stock’s colour is a real background now, out to the bleed",
          )
        }
      >
        Make it a background of {counted(pages.size, "page", "pages")}
      </Button>
      <Button
        onPress={() =>
          steps.make(
            {
              type: "changeSetup",
              setup: { ...setup, press: { ...setup.press, stockIsReal: true } },
            },
            "Answered: the paper really is this colour",
          )
        }
      >
        The paper really is this colour
      </Button>
    </>
  );
}

/** The parents of these pages where their backgrounds show, or else the pages themselves. */
function ownersOf(publication: Publication, pages: Set<string>): Owner[] {
  const parents = new Set<string>();
  const alone: string[] = [];
  publication.pages
    .filter((page) => pages.has(page.id))
    .forEach((page) => {
      if (page.parent && page.parentShown) {
        parents.add(page.parent);
      } else {
        alone.push(page.id);
      }
    });
  return [
    ...[...parents].map((id) => ({ type: "onParent" as const, id })),
    ...alone.map((id) => ({ type: "onPage" as const, id })),
  ];
}
