import { useChanges } from "../api/useChanges";
import type { LookEntry, Publication } from "../api/types";
import { Edits } from "../scope/Edits";
import { counted } from "../ui/words";
import { having } from "./LookEditor";
import { PanelFields } from "./PanelFields";

/** The shading and the border of a look alone, where they are met on a page. */
export function LookPanel({ publication, entry }: { publication: Publication; entry: LookEntry }) {
  const [look, become] = useChanges(
    publication,
    entry.look.id,
    entry.look,
    ({ was, made }) => ({ type: "changeLook", look: made, was }),
    "Look changed",
  );
  return (
    <Edits what={`Look “${look.name}”: ${counted(entry.uses, "use", "uses")}`}>
      <PanelFields
        publication={publication}
        naming={`look “${look.name}”`}
        panel={look.panel}
        size={look.size}
        onChange={(panel) => become(having(look, "panel", panel))}
        edit={(panel) => ({ type: "changeLook", look: { ...look, panel }, was: look })}
      />
    </Edits>
  );
}
