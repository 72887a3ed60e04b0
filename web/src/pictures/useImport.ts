import { useState } from "react";
import { useSteps } from "../api/steps";
import type { Asset, Edit, Publication } from "../api/types";
import { useStatus } from "../ui/Status";
import { counted, freeName, messageOf } from "../ui/words";
import { bring } from "./pictures";

/** Whether it is a file at all: a folder that is dropped looks like one. */
async function isReadable(file: File): Promise<boolean> {
  try {
    await file.slice(0, 1).arrayBuffer();
    return true;
  } catch {
    return false;
  }
}

/**
 * Reads files one after the other.
 *
 * @param taken names, to which theirs are added
 * @param say how far it is
 */
async function bringAll(
  publication: Publication,
  files: File[],
  taken: { name: string }[],
  say: (message: string) => void,
): Promise<{ assets: Asset[]; problems: string[] }> {
  const assets: Asset[] = [];
  const problems: string[] = [];
  for (const [index, file] of files.entries()) {
    if (files.length > 1) {
      say(`Importing ${index + 1} of ${files.length}: ${file.name}`);
    }
    if (!(await isReadable(file))) {
      problems.push(`“${file.name}” cannot be read; of a folder drop the files in it.`);
      continue;
    }
    try {
      const asset = await bring(publication, file);
      const named = { ...asset, name: freeName(asset.name, taken) };
      taken.push(named);
      assets.push(named);
    } catch (error) {
      problems.push(messageOf(error));
    }
  }
  return { assets, problems };
}

/**
 * Imports files, any number at once, as one step. Those that cannot be read are said; the others
 * come in all the same.
 */
export function useImport(publication: Publication) {
  const steps = useSteps(publication);
  const status = useStatus();
  const [isPending, setPending] = useState(false);

  /** What came of files, named so that no two names are the same; nothing is stored yet. */
  const read = async (files: File[]): Promise<Asset[]> => {
    const taken = publication.assets.map((entry) => ({ name: entry.asset.name }));
    setPending(true);
    const { assets, problems } = await bringAll(publication, files, taken, status.say).finally(() =>
      setPending(false),
    );
    if (problems.length > 0) {
      const others = assets.length > 0 ? ` ${counted(assets.length, "is", "are")} imported.` : "";
      status.fail(problems.join(" ") + others, true);
    }
    return assets;
  };

  /** Stores what was read, with what is done with it at once. */
  const store = (assets: Asset[], edits: Edit[], done: string) => {
    if (assets.length > 0) {
      steps.make(
        {
          type: "several",
          edits: [...assets.map((asset): Edit => ({ type: "addAsset", asset })), ...edits],
        },
        done,
      );
    }
  };
  return { isPending, read, store };
}
