import { useState, type DragEvent } from "react";
import { droppedFiles } from "./droppedFiles";

/** Whether something that is dragged here is files from outside. */
function hasFiles(event: DragEvent): boolean {
  return event.dataTransfer.types.includes("Files");
}

/**
 * Takes files that are dropped on an element. By key the same is done with a button that imports.
 *
 * @param onFiles gets what was dropped and on what exactly
 */
export function useFileDrop<E extends HTMLElement>(
  onFiles: (files: File[], event: DragEvent<E>) => void,
) {
  const [isOver, setOver] = useState(false);
  const over = (event: DragEvent<E>) => {
    if (hasFiles(event)) {
      event.preventDefault();
      event.stopPropagation();
      event.dataTransfer.dropEffect = "copy";
      setOver(true);
    }
  };
  return {
    isOver,
    dropProps: {
      onDragEnterCapture: over,
      onDragOverCapture: over,
      onDragLeave: (event: DragEvent<E>) => {
        const to = event.relatedTarget;
        if (!(to instanceof Node && event.currentTarget.contains(to))) {
          setOver(false);
        }
      },
      onDropCapture: (event: DragEvent<E>) => {
        if (hasFiles(event)) {
          event.preventDefault();
          event.stopPropagation();
          setOver(false);
          const files = droppedFiles(event.dataTransfer);
          if (Array.isArray(files)) {
            onFiles(files, event);
          } else {
            void files.then((all) => onFiles(all, event));
          }
        }
      },
    },
  };
}

/** How an element shows that files can be dropped on it. */
export const dropping = { boxShadow: "inset 0 0 0 4px #0f4a38" };
