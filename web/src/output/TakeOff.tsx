import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answered, client } from "../api/client";
import type { Publication, Schemas } from "../api/types";
import { Button } from "../ui/Button";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";

type Kind = Schemas["AddedBefore"]["kind"];

const names: Record<Kind, [string, string]> = {
  BACKGROUND: ["background", "backgrounds"],
  WATERMARK: ["watermark", "watermarks"],
  RUNNING_TEXT: ["running text", "running texts"],
  TEXT: ["text", "texts"],
  PICTURE: ["picture", "pictures"],
};

/** What was added to the files before they came in, and the way to have them without it. */
export function TakeOff({
  publication,
  isDisabled,
  onTakeOff,
}: {
  publication: Publication;
  isDisabled: boolean;
  onTakeOff: (kinds: Kind[]) => void;
}) {
  const files = publication.pages.flatMap((page) => (page.imported ? [page.imported.asset] : []));
  const added = useQuery({
    queryKey: ["added", publication.id, [...new Set(files)].join()],
    queryFn: () =>
      answered(
        client.GET("/api/publications/{id}/added", { params: { path: { id: publication.id } } }),
      ),
    staleTime: Infinity,
  });
  const [left, setLeft] = useState<Kind[]>([]);
  const found = added.data ?? [];
  const off = found.map(({ kind }) => kind).filter((kind) => !left.includes(kind));
  if (found.length === 0) {
    return null;
  }
  return (
    <div>
      <p>These files had something added to them before. It can be taken off again:</p>
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
      <Button onPress={() => onTakeOff(off)} isDisabled={isDisabled || off.length === 0}>
        Export without these
      </Button>
    </div>
  );
}
