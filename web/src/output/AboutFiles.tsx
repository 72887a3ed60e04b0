import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { answered, client } from "../api/client";
import type { Publication, Schemas } from "../api/types";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Failed } from "../ui/Notice";
import { Tick } from "../ui/Tick";
import { capital, counted } from "../ui/words";

type Added = Schemas["AddedBefore"];

/** What comes off, and of which file; of all where that is missing. */
export interface TakeOff {
  off: string[];
  from?: string[];
}

const ALL = "all";

const kinds: Record<Added["kind"], [string, string]> = {
  BACKGROUND: ["background", "backgrounds"],
  WATERMARK: ["watermark", "watermarks"],
  RUNNING_TEXT: ["running text", "running texts"],
  TEXT: ["text", "texts"],
  PICTURE: ["picture", "pictures"],
  COLORS: ["other colours", "other colours"],
  LEFT_OUT: ["left out", "left out"],
};

const byOthers: Partial<Record<Added["kind"], string>> = {
  BACKGROUND: "Backgrounds",
  WATERMARK: "Watermarks",
  RUNNING_TEXT: "Headers, footers, page numbers",
};

function label(added: Added): string {
  const [one, several] = kinds[added.kind];
  const what = added.byOthers
    ? byOthers[added.kind]
    : added.name
      ? `${capital(one)}: ${short(added.name)}`
      : `All ${several}`;
  const [first] = added.files;
  const where = added.files.length === 1 ? `of ${first ?? ""}` : `of ${added.files.length} files`;
  return `${what}, on ${counted(added.pages, "page", "pages")} ${where}`;
}

function short(name: string): string {
  return name.length > 60 ? `${name.slice(0, 60)}…` : name;
}

/** What the files say of themselves: seals, and what was added before, which can come off. */
export function AboutFiles({
  publication,
  isDisabled,
  onTakeOff,
}: {
  publication: Publication;
  isDisabled: boolean;
  onTakeOff: (what: TakeOff) => void;
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
  /** Those that differ from how they begin: ours come off, those of others stay. */
  const [turned, setTurned] = useState<string[]>([]);
  const [from, setFrom] = useState(ALL);
  const {
    added,
    files: named,
    signed,
    closed,
    claims,
  } = about.data ?? { added: [], files: [], signed: [], closed: [], claims: [] };
  const file = named.find(({ id }) => id === from);
  const found = added.filter(({ files: of }) => !file || of.includes(file.name));
  const comesOff = ({ what, byOthers: others }: Added) => turned.includes(what) === others;
  const doubted = claims.filter(({ doubt }) => doubt !== undefined);
  const holding = claims.filter(({ doubt }) => doubt === undefined);
  const off = found.filter(comesOff).map(({ what }) => what);
  const ticks = (of: Added[]) =>
    of.map((each) => (
      <Tick
        key={each.what}
        label={label(each)}
        checked={comesOff(each)}
        onChange={() =>
          setTurned(
            turned.includes(each.what)
              ? turned.filter((what) => what !== each.what)
              : [...turned, each.what],
          )
        }
      />
    ));
  const ours = found.filter((each) => !each.byOthers);
  const others = found.filter((each) => each.byOthers);
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
      {added.length > 0 && named.length > 1 && (
        <Choice
          label="Take off from"
          value={from}
          options={[
            { id: ALL, label: "All files" },
            ...named.map(({ id, name }) => ({ id, label: name })),
          ]}
          onChange={setFrom}
        />
      )}
      {ours.length > 0 && (
        <>
          <p>Added to these files before:</p>
          {ticks(ours)}
        </>
      )}
      {others.length > 0 && (
        <>
          <p>Put there by other programs, which marked it:</p>
          {ticks(others)}
        </>
      )}
      {found.length > 0 && (
        <Button
          onPress={() => onTakeOff({ off, from: file ? [file.id] : undefined })}
          isDisabled={isDisabled || off.length === 0}
        >
          Export without what is ticked
        </Button>
      )}
    </div>
  );
}
