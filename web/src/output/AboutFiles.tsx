import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answered, client } from "../api/client";
import type { Publication, Schemas } from "../api/types";
import { Button } from "../ui/Button";
import { Failed } from "../ui/Notice";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";

type Kind = Schemas["AddedBefore"]["kind"];

const names: Record<Kind, [string, string]> = {
  BACKGROUND: ["background", "backgrounds"],
  WATERMARK: ["watermark", "watermarks"],
  RUNNING_TEXT: ["running text", "running texts"],
  TEXT: ["text", "texts"],
  PICTURE: ["picture", "pictures"],
  COLORS: ["page with other colours", "pages with other colours"],
};

/** What the files say of themselves: seals, and what was added before, which can come off. */
export function AboutFiles({
  publication,
  isDisabled,
  onTakeOff,
}: {
  publication: Publication;
  isDisabled: boolean;
  onTakeOff: (kinds: Kind[]) => void;
}) {
  const files = publication.pages.flatMap((page) => (page.imported ? [page.imported.asset] : []));
  const about = useQuery({
    queryKey: ["files", publication.id, [...new Set(files)].join()],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/files", { params: { path: { id: publication.id } } }),
      ),
    staleTime: Infinity,
  });
  const [left, setLeft] = useState<Kind[]>([]);
  const {
    added: found,
    signed,
    closed,
    claims,
  } = about.data ?? { added: [], signed: [], closed: [], claims: [] };
  const doubted = claims.filter(({ doubt }) => doubt !== undefined);
  const holding = claims.filter(({ doubt }) => doubt === undefined);
  const off = found.map(({ kind }) => kind).filter((kind) => !left.includes(kind));
  return (
    <div>
      {signed.length > 0 && (
        <p>
          Signed: {signed.join(", ")}. What was signed stays valid; readers will say that something
          was added since.
        </p>
      )}
      {closed.length > 0 && (
        <p>
          <Failed>✕ Certified: {closed.join(", ")}.</Failed> That forbids any change of pages, so
          they will not go out; ask their author for files without it.
        </p>
      )}
      {holding.length > 0 && (
        <p>
          Claim a standard, which holds with what is added:{" "}
          {holding.map(({ name, standard }) => `${name} (${standard})`).join(", ")}.
        </p>
      )}
      {doubted.map(({ name, standard, doubt }) => (
        <p key={`${name} ${standard}`}>
          <Failed>✕ {`${name} claims ${standard}`}</Failed>, which will not hold. {doubt}
        </p>
      ))}
      {found.length > 0 && (
        <p>These files had something added to them before. It can be taken off again:</p>
      )}
      {found.map(({ kind, items, files: count }) => (
        <Tick
          key={kind}
          label={`${counted(items, ...names[kind])} in ${counted(count, "file", "files")}`}
          checked={!left.includes(kind)}
          onChange={(checked) =>
            setLeft(checked ? left.filter((each) => each !== kind) : [...left, kind])
          }
        />
      ))}
      {found.length > 0 && (
        <Button onPress={() => onTakeOff(off)} isDisabled={isDisabled || off.length === 0}>
          Export without these
        </Button>
      )}
    </div>
  );
}
