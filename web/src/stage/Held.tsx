import { Lock } from "lucide-react";
import { usePageDetail } from "../api/queries";
import type { PlacedPage, Publication } from "../api/types";
import { useBench } from "../bench/BenchState";
import { HeldBand } from "./HeldBand";
import { Holding } from "./Holding";
import { Outline, rotation, Tag, type OnPage } from "./holds";
import type { Box } from "./snapping";

export interface HeldFrame {
  publication: Publication;
  page: PlacedPage;
  frame: OnPage;
  scale: number;
  place: (box: Box) => React.CSSProperties;
}

/** A frame that is chosen, as soon as it is known how it is meant. */
export function Held(held: HeldFrame) {
  const { publication, page, frame } = held;
  const detail = usePageDetail(publication, page.page);
  const { owner } = frame;
  const parent = publication.parents.find(({ id }) => id === owner.id);
  const layer = owner.type === "onParent" ? parent?.layer : detail.data?.layer;
  const own = layer?.frames.find((each) => each.id === frame.frame);
  if (!own) {
    return null;
  }
  if (own.locked) {
    return <Locked {...held} />;
  }
  const band = own.type === "textFrame" && "band" in frame ? frame.band : undefined;
  return band && own.type === "textFrame" && own.band ? (
    <HeldBand {...held} own={own} stored={own.band} on={band} />
  ) : (
    <Holding {...held} own={own} />
  );
}

/** It stays as it is, and says so. */
function Locked({ frame, place }: HeldFrame) {
  const { chooseFrame } = useBench();
  return (
    <Outline
      role="group"
      tabIndex={0}
      aria-label="Chosen frame, locked"
      style={{ ...place(frame.where), ...rotation(frame.rotation) }}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          event.stopPropagation();
          chooseFrame(undefined);
        }
      }}
    >
      <Tag style={{ left: 0, top: -26 }}>
        <Lock size={12} aria-hidden /> locked
      </Tag>
    </Outline>
  );
}
