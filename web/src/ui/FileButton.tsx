import type { ReactElement } from "react";
import * as Aria from "react-aria-components";

/** Lets files be chosen by the button within it. */
export function FileButton({
  accepted,
  onFiles,
  several,
  children,
}: {
  accepted: string[];
  onFiles: (files: File[]) => void;
  /** Whether more than one can be chosen. */
  several?: boolean;
  children: ReactElement;
}) {
  return (
    <Aria.FileTrigger
      acceptedFileTypes={accepted}
      allowsMultiple={several ?? false}
      onSelect={(files) => {
        if (files && files.length > 0) {
          onFiles([...files]);
        }
      }}
    >
      {children}
    </Aria.FileTrigger>
  );
}
