import { useSteps } from "../api/steps";
import type { AnyFrame, Owner, Publication, Schemas } from "../api/types";
import { Choice } from "../ui/Choice";
import { Row, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";

type Hold = Schemas["Hold"];
type Way = Hold["across"];

function ways(near: string, far: string): { id: Way; label: string }[] {
  return [
    { id: "NEAR", label: `As far from the ${near}` },
    { id: "MIDDLE", label: "As far from the middle" },
    { id: "FAR", label: `As far from the ${far}` },
    { id: "BOTH", label: "Grows with the page" },
    { id: "SHARE", label: "In proportion" },
  ];
}

const across = ways("left", "right");
const down = ways("top", "bottom");

/** What a frame of a parent keeps to on pages of another size, where there are any. */
export function HoldFields({
  publication,
  owner,
  frame,
}: {
  publication: Publication;
  owner: Owner;
  frame: AnyFrame;
}) {
  const steps = useSteps(publication);
  const { hold } = frame;
  if (owner.type !== "onParent" || publication.pages.every((page) => !page.size)) {
    return null;
  }
  const change = (changes: Partial<Hold>) =>
    steps.make(
      { type: "holdFrame", frame: frame.id, hold: { ...hold, ...changes }, was: hold },
      "Place on pages of another size changed",
    );
  return (
    <Stack role="group" aria-label="On pages of another size">
      <Quiet>On pages of another size</Quiet>
      <Row $columns="minmax(0, 1fr)">
        <Choice
          label="Across"
          value={hold.across}
          options={across}
          onChange={(id) => change({ across: id as Way })}
        />
        <Choice
          label="Down"
          value={hold.down}
          options={down}
          onChange={(id) => change({ down: id as Way })}
        />
      </Row>
    </Stack>
  );
}
