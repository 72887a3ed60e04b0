import { GridLayout, Size } from "react-aria-components";

/** So near to an edge of a cell a drop is looked for, in pixels. */
const NEAR = 4;

/** A grid whose cells meet: where something is dropped is found although there is no gap. */
export class MeetingGrid<T> extends GridLayout<T> {
  override getDropTargetFromPoint(
    ...point: Parameters<GridLayout<T>["getDropTargetFromPoint"]>
  ): ReturnType<GridLayout<T>["getDropTargetFromPoint"]> {
    const { gap } = this;
    this.gap = new Size(Math.max(NEAR, gap.width), gap.height);
    try {
      return super.getDropTargetFromPoint(...point);
    } finally {
      this.gap = gap;
    }
  }
}
