import type { Command } from "./commands";

const ACTIONS = "button, a[href], [role=button], [role=tab]";
const FIELDS = "input:not([type=file]), textarea, select";
const PLACES = "dialog, section, aside, nav, fieldset, form, [role=region], [role=group]";

/** What stands in an element, with a space between what stands in lines of their own. */
function shown(element: Element): string {
  // where nothing is laid out, there is no text as it is seen
  const seen = (element as Partial<HTMLElement>).innerText;
  return seen ?? element.textContent;
}

function textOf(ids: string): string {
  return ids
    .split(/\s+/)
    .map((id) => document.getElementById(id))
    .map((element) => (element ? shown(element) : ""))
    .join(" ");
}

/** How an element is called, as a screen reader says it; empty if it has no name. */
export function nameOf(element: Element): string {
  const named = element.getAttribute("aria-labelledby");
  const labels = element instanceof HTMLInputElement ? [...(element.labels ?? [])] : [];
  const name =
    element.getAttribute("aria-label") ??
    (named ? textOf(named) : undefined) ??
    (labels.map(shown).join(" ") || shown(element));
  return name.replace(/\s+/g, " ").trim();
}

function placeOf(element: Element): string | undefined {
  const place = element.parentElement?.closest(PLACES);
  if (!place) {
    return undefined;
  }
  const named = place.hasAttribute("aria-label") || place.hasAttribute("aria-labelledby");
  return named ? nameOf(place) : placeOf(place);
}

function isThere(element: HTMLElement): boolean {
  return (
    !element.matches(":disabled, [aria-disabled=true]") &&
    element.closest("[aria-hidden=true], [inert], [hidden]") === null &&
    element.checkVisibility()
  );
}

/**
 * Everything on the screen that can be pressed or typed in, by its name and the part of the screen
 * it stands in: to press it, or to go to it.
 */
export function standing(root: ParentNode): Command[] {
  return [...root.querySelectorAll<HTMLElement>(`${ACTIONS}, ${FIELDS}`)]
    .filter(isThere)
    .map((element): Command => {
      const place = placeOf(element);
      return {
        label: nameOf(element),
        ...(place && { place }),
        run: () => {
          element.scrollIntoView({ block: "nearest" });
          element.focus();
          if (element.matches(ACTIONS)) {
            element.click();
          }
        },
      };
    })
    .filter(({ label }) => label !== "");
}
