import { FileOutput } from "lucide-react";
import { useState } from "react";
import type { Publication, Schemas } from "../api/types";
import { MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Tick } from "../ui/Tick";
import { capital, counted } from "../ui/words";
import { Offer, Ticks } from "./Offer";
import { useAboutFiles } from "./useAboutFiles";

type Added = Schemas["AddedBefore"];

/** What comes off, and of which files; of all where none are named. */
export interface Off {
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
  LEFT_OUT: ["bring back", "that was left out"],
};

const byOthers: Partial<Record<Added["kind"], string>> = {
  BACKGROUND: "Backgrounds",
  WATERMARK: "Watermarks",
  RUNNING_TEXT: "Headers, footers and page numbers",
};

/** So much of a name is shown. */
const LONGEST = 60;

/** Offers the files without what was added to them before, item by item. */
export function TakeOff({
  publication,
  isDisabled,
  onTakeOff,
}: {
  publication: Publication;
  isDisabled: boolean;
  onTakeOff: (what: Off) => void;
}) {
  const about = useAboutFiles(publication);
  /** Those that differ from how they begin: what was added here comes off, that of others stays. */
  const [turned, setTurned] = useState<string[]>([]);
  const [from, setFrom] = useState(ALL);
  const { added, files } = about.data ?? { added: [], files: [] };
  const file = files.find(({ id }) => id === from);
  const found = added.filter((each) => !file || each.files.includes(file.id));
  const named = (id: string | undefined) => files.find((each) => each.id === id)?.name ?? "";
  const comesOff = (each: Added) => turned.includes(each.what) === each.byOthers;
  const off = found.filter(comesOff).map(({ what }) => what);
  const turn = ({ what }: Added) =>
    setTurned(turned.includes(what) ? turned.filter((each) => each !== what) : [...turned, what]);
  if (added.length === 0) {
    return null;
  }
  return (
    <Offer aria-label="The files, without what was added before">
      <div>
        <h2>The files, without what was added before</h2>
        <p>
          As they are without what is ticked, as new files in a zip file. What comes off is told by
          marks that the files hold.
        </p>
        {files.length > 1 && (
          <Choice
            label="Of"
            value={from}
            options={[
              { id: ALL, label: "All files" },
              ...files.map(({ id, name }) => ({ id, label: name })),
            ]}
            onChange={setFrom}
          />
        )}
        {[false, true].map((others) => {
          const these = found.filter((each) => each.byOthers === others);
          return (
            these.length > 0 && (
              <Ticks key={String(others)}>
                <legend>{others ? "Marked by other programs" : "Added here"}</legend>
                {these.map((each) => (
                  <Tick
                    key={each.what}
                    label={label(each, named(each.files[0]))}
                    checked={comesOff(each)}
                    onChange={() => turn(each)}
                  />
                ))}
              </Ticks>
            )
          );
        })}
      </div>
      <MainButton
        onPress={() => onTakeOff({ off, from: file ? [file.id] : undefined })}
        isDisabled={isDisabled || off.length === 0}
      >
        <FileOutput size={16} aria-hidden />
        Export without these
      </MainButton>
    </Offer>
  );
}

/**
 * @param first the name of the first file that has it
 */
function label(added: Added, first: string): string {
  const [one, several] = kinds[added.kind];
  const what = added.byOthers
    ? byOthers[added.kind]
    : added.name
      ? `${capital(one)}: ${added.name.length > LONGEST ? `${added.name.slice(0, LONGEST)}…` : added.name}`
      : `All ${several}`;
  const where =
    added.files.length === 1 ? `“${first}”` : counted(added.files.length, "file", "files");
  return `${what}, on ${counted(added.pages, "page", "pages")} of ${where}`;
}
