import type { ReactElement } from "react";
import * as Aria from "react-aria-components";

/** Lets a file be chosen by the button within it. */
export function FileButton({
  accepted,
  onFile,
  children,
}: {
  accepted: string[];
  onFile: (file: File) => void;
  children: ReactElement;
}) {
  return (
    <Aria.FileTrigger
      acceptedFileTypes={accepted}
      onSelect={(files) => {
        const file = files?.item(0);
        if (file) {
          onFile(file);
        }
      }}
    >
      {children}
    </Aria.FileTrigger>
  );
}
