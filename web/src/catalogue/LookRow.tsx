import type { ReactNode } from "react";
import { Fold, Name, Quiet, Values } from "../ui/Fold";

/** A look in the list of its kind; it unfolds to its editor. */
export function LookRow({
  name,
  values,
  because,
  uses,
  children,
}: {
  name: string;
  /** What it sets, in a few words. */
  values: string;
  /** Of one that only uses what is searched for, what that is. */
  because: string | undefined;
  uses: number;
  children: ReactNode;
}) {
  return (
    <Fold
      head={
        <>
          <Name>
            {name}
            <Values>{values}</Values>
            {because !== undefined && <Values>{`uses “${because}”`}</Values>}
          </Name>
          <Quiet>{uses === 0 ? "unused" : `${uses} ×`}</Quiet>
        </>
      }
    >
      {children}
    </Fold>
  );
}
