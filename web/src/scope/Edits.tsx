import { useEffect, type ReactNode } from "react";
import { useBench } from "../bench/BenchState";

/** Fields of something that is changed wherever it is used: said as long as one is in them. */
export function Edits({ what, children }: { what: string; children: ReactNode }) {
  const { edits } = useBench();
  // what goes away while one is in it does not say that one left it
  useEffect(() => () => edits(undefined), [edits]);
  return (
    <div
      onFocus={() => edits(what)}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) {
          edits(undefined);
        }
      }}
    >
      {children}
    </div>
  );
}
