import { fillOf } from "../pictures/pictures";
import type { Asset, Fill, Owner, PictureFrame, Publication } from "../api/types";
import { inMillimetres } from "../ui/length";
import { trimOf } from "../publication/sizes";

/** A frame for something in front, in the middle of its page. */
export function frontOf(
  publication: Publication,
  owner: Owner,
  level: PictureFrame["level"],
  fill: Fill,
  { across, down }: { across: number; down: number },
): PictureFrame {
  const trim = trimOf(publication, owner);
  const [width, height] = [inMillimetres(trim.width), inMillimetres(trim.height)];
  const mm = (value: number) => `${Math.round(value * 100) / 100} mm`;
  return {
    type: "pictureFrame",
    id: crypto.randomUUID(),
    sides: "BOTH",
    box: {
      x: mm((width - across) / 2),
      y: mm((height - down) / 2),
      width: mm(across),
      height: mm(down),
    },
    rotation: 0,
    level,
    fill,
    opacity: 100,
    blend: "NORMAL",
    goesTo: { screen: true, paper: true },
    meaning: { decoration: level !== "CONTENT", text: "" },
    clear: [],
    locked: false,
    hold: { across: "NEAR", down: "NEAR" },
  };
}

/** A picture in front: as large as half the page allows, in its own proportions. */
export function pictureInFront(publication: Publication, owner: Owner, asset: Asset): PictureFrame {
  const trim = trimOf(publication, owner);
  const { content } = asset;
  const [wide, high] =
    content.type === "document"
      ? [content.pages[0]?.width ?? 1, content.pages[0]?.height ?? 1]
      : [content.width, content.height];
  const across = Math.min(
    inMillimetres(trim.width) / 2,
    (inMillimetres(trim.height) / 2) * (wide / high),
  );
  return frontOf(publication, owner, "CONTENT", fillOf(asset), {
    across,
    down: across * (high / wide),
  });
}
