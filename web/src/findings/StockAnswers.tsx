import { useState } from "react";
import { newBackground } from "../scope/newBackground";
import { useFindings } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Owner, Publication } from "../api/types";
import { Button } from "../ui/Button";
import { Fold, Name } from "../ui/Fold";
import { Tick } from "../ui/Tick";
import { counted, freeName } from "../ui/words";

/** The two ways out of a stock that is only simulated: print it, or say that it is the paper. */
export function StockAnswers({ publication }: { publication: Publication }) {
  const steps = useSteps(publication);
  const findings = useFindings(publication);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
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
  const targets = targetsOf(publication, pages);
  const chosen = targets.filter((target) => !left.has(target.owner.id));

  const make = () => {
    const swatch = crypto.randomUUID();
    steps.make(
      {
        type: "several",
        edits: [
          {
            type: "addSwatch",
            swatch: {
              id: swatch,
              name: freeName("Stock, printed", publication.swatches),
              definition: { type: "plain", color: { ...stock, type: "lab" } },
            },
          },
          ...chosen.map(({ owner }) => ({
            type: "addBackground" as const,
            owner,
            background: newBackground(crypto.randomUUID(), swatch),
          })),
        ],
      },
      "The stock’s colour is a real background now, out to the bleed",
    );
  };

  return (
    <>
      <Fold head={<Name>Make it a real background…</Name>}>
        <div role="group" aria-label="Where the background goes">
          {targets.map(({ owner, label }) => (
            <Tick
              key={owner.id}
              label={label}
              checked={!left.has(owner.id)}
              onChange={(checked) => {
                const next = new Set(left);
                if (checked) {
                  next.delete(owner.id);
                } else {
                  next.add(owner.id);
                }
                setLeft(next);
              }}
            />
          ))}
        </div>
        <Button isDisabled={chosen.length === 0} onPress={make}>
          {chosen.length === 0
            ? "Choose a parent or page"
            : `Make it a background in ${counted(chosen.length, "place", "places")}`}
        </Button>
      </Fold>
      <Button
        onPress={() =>
          steps.make(
            {
              type: "changeSetup",
              setup: { ...setup, press: { ...setup.press, stockIsReal: true } },
              was: setup,
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

interface Target {
  owner: Owner;
  label: string;
}

/** The parents of these pages where their backgrounds show, and those pages that have none. */
function targetsOf(publication: Publication, pages: Set<string>): Target[] {
  const under = publication.pages.filter((page) => pages.has(page.id));
  const parents = publication.parents.filter((parent) =>
    under.some((page) => page.parent === parent.id && page.parentShown),
  );
  const alone = under.filter((page) => !page.parent || !page.parentShown);
  return [
    ...parents.map((parent) => ({
      owner: { type: "onParent" as const, id: parent.id },
      label: `Parent ${parent.name}: ${counted(parent.uses, "page", "pages")}`,
    })),
    ...alone.map((page) => ({
      owner: { type: "onPage" as const, id: page.id },
      label: `Page ${page.number} alone`,
    })),
  ];
}
