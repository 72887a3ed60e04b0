import { useEffect, useState, type ReactNode } from "react";
import { useNear } from "./useNear";

/** So many rows come together. */
const TOGETHER = 20;

/**
 * Rows of any number. Of many, those that were never near to what is seen are not drawn; what was
 * drawn stays, with all that is open or typed in it, wherever it is moved to.
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
  /** Draws one, with a key. */
  children: (entry: T) => ReactNode;
}) {
  const [drawn, setDrawn] = useState<ReadonlySet<number>>(new Set());
  if (entries.length <= 2 * TOGETHER) {
    return <>{entries.map(children)}</>;
  }
  const groups = Array.from({ length: Math.ceil(entries.length / TOGETHER) }, (_, at) =>
    entries.slice(at * TOGETHER, (at + 1) * TOGETHER),
  );
  const wanted = [...groups.keys()].filter(
    (at) => !drawn.has(at) && isWanted !== undefined && groups[at]?.some(isWanted),
  );
  if (wanted.length > 0) {
    setDrawn(new Set([...drawn, ...wanted]));
  }
  return (
    <>
      {groups.flatMap((group, at): ReactNode[] =>
        drawn.has(at)
          ? group.map(children)
          : [
              <Later
                key={`rows ${at}`}
                height={height * group.length}
                onNear={() => setDrawn((last) => new Set(last).add(at))}
              />,
            ],
      )}
    </>
  );
}

/** The place of rows that are not drawn. */
function Later({ height, onNear }: { height: number; onNear: () => void }) {
  const { element, near } = useNear<HTMLDivElement>();
  useEffect(() => {
    if (near) {
      onNear();
    }
  }, [near, onNear]);
  return <div ref={element} style={{ height }} />;
}
