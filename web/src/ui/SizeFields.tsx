import { useOptions } from "../api/queries";
import type { Schemas } from "../api/types";
import { Choice } from "./Choice";
import { DraftField, Row } from "./Field";

type Size = Schemas["PageSize"];

const custom = "Custom";

/** A size of pages: one that has a name, or any width and height. */
export function SizeFields({ size, onChange }: { size: Size; onChange: (size: Size) => void }) {
  const sizes = useOptions().data?.sizes ?? [];
  const named = sizes.find(
    (each) => each.size.width === size.width && each.size.height === size.height,
  );
  return (
    <Row $columns="repeat(auto-fit, minmax(120px, 1fr))">
      <Choice
        label="Trim size"
        value={named?.name ?? custom}
        options={[...sizes.map((each) => each.name), custom].map((id) => ({ id, label: id }))}
        onChange={(chosen) => {
          const known = sizes.find((each) => each.name === chosen);
          if (known) {
            onChange(known.size);
          }
        }}
      />
      <DraftField
        label="Width"
        value={size.width}
        onChange={(width) => onChange({ ...size, width })}
      />
      <DraftField
        label="Height"
        value={size.height}
        onChange={(height) => onChange({ ...size, height })}
      />
    </Row>
  );
}
