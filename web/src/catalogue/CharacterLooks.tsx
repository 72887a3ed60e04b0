import { Plus } from "lucide-react";
import { useSteps } from "../api/queries";
import type { CharacterLookEntry, Publication } from "../api/types";
import { QuietButton } from "../ui/Button";
import { Fold, Name, Quiet, Values } from "../ui/Fold";
import { Section } from "../ui/Section";
import { freeName } from "../ui/words";
import { CharacterLookEditor, setInWords } from "./CharacterLookEditor";

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
        <Fold
          key={entry.look.id}
          head={
            <>
              <Name>
                {entry.look.name}
                <Values>{setInWords(entry.look)}</Values>
                {because.has(entry.look.id) && (
                  <Values>{`uses “${because.get(entry.look.id)}”`}</Values>
                )}
              </Name>
              <Quiet>{entry.uses === 0 ? "unused" : `${entry.uses} ×`}</Quiet>
            </>
          }
        >
          <CharacterLookEditor publication={publication} entry={entry} />
        </Fold>
      ))}
    </Section>
  );
}
