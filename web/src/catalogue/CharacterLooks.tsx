import { Plus } from "lucide-react";
import { useSteps } from "../api/steps";
import type { CharacterLookEntry, Publication } from "../api/types";
import { QuietButton } from "../ui/Button";
import { Section } from "../ui/Section";
import { freeName } from "../ui/words";
import { CharacterLookEditor, setInWords } from "./CharacterLookEditor";
import { LookRow } from "./LookRow";

/** The looks of characters, and a new one. */
export function CharacterLooks({
  publication,
  looks,
  searching,
  because,
}: {
  publication: Publication;
  looks: CharacterLookEntry[];
  searching: boolean;
  /** Of those that only use what is searched for, what that is. */
  because: Map<string, string>;
}) {
  const steps = useSteps(publication);
  if (searching && looks.length === 0) {
    return null;
  }
  const add = () =>
    steps.make(
      {
        type: "addCharacterLook",
        look: {
          id: crypto.randomUUID(),
          name: freeName(
            "New character look",
            publication.characterLooks.map(({ look }) => look),
          ),
        },
      },
      "Character look added; open it to change it",
    );
  return (
    <Section
      title="Character looks"
      note={String(publication.characterLooks.length)}
      action={
        <QuietButton aria-label="New character look" onPress={add}>
          <Plus size={16} aria-hidden />
        </QuietButton>
      }
    >
      {looks.map((entry) => (
        <LookRow
          key={entry.look.id}
          name={entry.look.name}
          values={setInWords(entry.look)}
          because={because.get(entry.look.id)}
          uses={entry.uses}
        >
          <CharacterLookEditor publication={publication} entry={entry} />
        </LookRow>
      ))}
    </Section>
  );
}
