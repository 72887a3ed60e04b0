import type { ReactElement } from "react";
import * as Aria from "react-aria-components";
import { shown } from "./droppedFiles";

/** Lets files be chosen by the button within it. */
export function FileButton({
  accepted,
  onFiles,
  several,
  folder,
  children,
}: {
  accepted: string[];
  onFiles: (files: File[]) => void;
  /** Whether more than one can be chosen. */
  several?: boolean;
  /** Whether a folder is chosen, with all that is in it. */
  folder?: boolean;
  children: ReactElement;
}) {
  return (
    <Aria.FileTrigger
      {...(folder ? { acceptDirectory: true } : { acceptedFileTypes: accepted })}
      allowsMultiple={several ?? false}
      onSelect={(files) => {
        const all = shown([...(files ?? [])]);
        if (all.length > 0) {
          onFiles(all);
        }
      }}
    >
      {children}
    </Aria.FileTrigger>
  );
}
