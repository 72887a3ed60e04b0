import { useState, type ReactNode } from "react";
import { useNear } from "./useNear";

/** So many rows come together. */
const TOGETHER = 20;

/**
 * Rows of any number. Of many, those that were never near to what is seen are not drawn; what was
 * drawn stays, with all that is open or typed in it.
 */
export function Rows<T>({
  entries,
  height,
  isWanted,
  children,
}: {
  entries: T[];
  /** About how high a row is, in pixels. */
  height: number;
  /** Whether one is needed wherever it stands, because it is open. */
  isWanted?: (entry: T) => boolean;
  children: (entry: T) => ReactNode;
}) {
  if (entries.length <= 2 * TOGETHER) {
    return <>{entries.map(children)}</>;
  }
  const groups = Array.from({ length: Math.ceil(entries.length / TOGETHER) }, (_, at) =>
    entries.slice(at * TOGETHER, (at + 1) * TOGETHER),
  );
  return (
    <>
      {groups.map((group, at) => (
        <WhenNear
          key={at}
          height={height * group.length}
          isWanted={isWanted !== undefined && group.some(isWanted)}
        >
          {() => group.map(children)}
        </WhenNear>
      ))}
    </>
  );
}

function WhenNear({
  height,
  isWanted,
  children,
}: {
  height: number;
  isWanted: boolean;
  children: () => ReactNode;
}) {
  const { element, near } = useNear<HTMLDivElement>();
  const [drawn, setDrawn] = useState(false);
  if (!drawn && (near || isWanted)) {
    setDrawn(true);
  }
  return (
    <div ref={element} style={drawn ? undefined : { height }}>
      {drawn && children()}
    </div>
  );
}
