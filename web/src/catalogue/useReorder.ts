import { useState, type DragEvent } from "react";

/** Properties of a row that can be dragged to another place of its list, by the pointer. */
export interface Row {
  draggable: true;
  onDragStart: (event: DragEvent) => void;
  onDragOver: (event: DragEvent) => void;
  onDragLeave: () => void;
  onDrop: (event: DragEvent) => void;
  onDragEnd: () => void;
  /** Where what is dragged would go: before or after this row. */
  "data-drop"?: "before" | "after";
}

/**
 * Reordering by drag. By keyboard the same is done with buttons of the row.
 *
 * @param onMove the dragged row goes behind `after`, or to the front
 */
export function useReorder(
  ids: string[],
  onMove: (id: string, after: string | undefined) => void,
): (id: string) => Row {
  const [dragged, setDragged] = useState<string>();
  const [over, setOver] = useState<{ id: string; half: "before" | "after" }>();
  const end = () => {
    setDragged(undefined);
    setOver(undefined);
  };
  return (id) => ({
    draggable: true,
    onDragStart: (event) => {
      event.dataTransfer.effectAllowed = "move";
      event.dataTransfer.setData("text/plain", id);
      setDragged(id);
    },
    onDragOver: (event) => {
      if (dragged) {
        event.preventDefault();
        const box = event.currentTarget.getBoundingClientRect();
        setOver({ id, half: event.clientY < box.top + box.height / 2 ? "before" : "after" });
      }
    },
    onDragLeave: () => setOver(undefined),
    onDrop: (event) => {
      event.preventDefault();
      if (dragged && over && dragged !== id) {
        const rest = ids.filter((each) => each !== dragged);
        const at = rest.indexOf(id) - (over.half === "before" ? 1 : 0);
        onMove(dragged, rest[at]);
      }
      end();
    },
    onDragEnd: end,
    ...(over?.id === id && dragged !== id ? { "data-drop": over.half } : {}),
  });
}
