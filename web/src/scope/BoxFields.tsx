import type { AnyFrame, Owner, Publication } from "../api/types";
import { trimOf } from "../publication/sizes";
import { LengthField } from "../ui/LengthField";

type Box = AnyFrame["box"];

/** Where a frame lies, in numbers; four fields. */
export function BoxFields({
  publication,
  owner,
  sides,
  box,
  onChange,
}: {
  publication: Publication;
  owner: Owner;
  sides: AnyFrame["sides"];
  box: Box;
  onChange: (changes: Partial<Box>) => unknown;
}) {
  const { unit, facing } = publication.setup;
  const trim = trimOf(publication, owner);
  // on left pages it stands mirrored, so that it lies as far from the spine on both hands
  const mirrored = owner.type === "onParent" && facing && sides === "BOTH";
  return (
    <>
      <LengthField
        label={mirrored ? "From the inside" : "From the left"}
        unit={unit}
        of={trim.width}
        value={box.x}
        onCommit={(x) => onChange({ x })}
      />
      <LengthField
        label="From the top"
        unit={unit}
        of={trim.height}
        value={box.y}
        onCommit={(y) => onChange({ y })}
      />
      <LengthField
        label="Width"
        unit={unit}
        of={trim.width}
        value={box.width}
        onCommit={(width) => onChange({ width })}
      />
      <LengthField
        label="Height"
        unit={unit}
        of={trim.height}
        value={box.height}
        onCommit={(height) => onChange({ height })}
      />
    </>
  );
}
