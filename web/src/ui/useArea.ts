import type { RefObject } from "react";
import { useLandmark, type AriaLandmarkRole } from "react-aria";

/**
 * A part of the screen that one comes to by F6, and by Shift and F6: as it was left, else at its
 * beginning.
 *
 * @param name what it is called, unlike any other of its role
 */
export function useArea(
  area: RefObject<HTMLElement | null>,
  role: AriaLandmarkRole,
  name: string,
  isHidden = false,
) {
  const { landmarkProps } = useLandmark({ role, "aria-label": name }, area);
  return { ...landmarkProps, ...(isHidden ? { "aria-hidden": true, hidden: true } : {}) };
}

/** Goes to the next part of the screen, as F6 does. */
export function toNextArea() {
  const key = new KeyboardEvent("keydown", { key: "F6", bubbles: true, cancelable: true });
  (document.activeElement ?? document.body).dispatchEvent(key);
}
