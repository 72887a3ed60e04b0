import type { Command } from "prosemirror-state";
import { CornerLeftUp, Eraser } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { useOptions } from "../api/queries";
import type { Edit, Publication } from "../api/types";
import { alignments, capitals, figures, Lacking } from "../catalogue/SettingFields";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice, type Option } from "../ui/Choice";
import { DIFFERS, DifferingProvider } from "../ui/differing";
import { Row } from "../ui/Field";
import { Fold, Name, Quiet, Values } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { OptionalNumber } from "../ui/OptionalNumber";
import { Bar } from "./Bar";
import { inWords } from "./differences";
import {
  clear,
  clearParagraphs,
  clearWords,
  setParagraphs,
  setWords,
  type Changed,
  type Local,
} from "./local";
import type { LocalSetting, LocalType } from "./text";

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.half} ${theme.space.one};
`;

const unset = "AS_LOOK";

const slopes = [
  { id: "false", label: "Upright" },
  { id: "true", label: "Italic" },
];

const dividing = [
  { id: "true", label: "Yes" },
  { id: "false", label: "No" },
];

/** What differs, and from what. */
function Head({
  name,
  look,
  local,
  differing,
}: {
  name: string;
  look: string | undefined;
  local: object;
  /** The keys in which it is not the same everywhere. */
  differing: string[];
}) {
  const all = { ...local, ...Object.fromEntries(differing.map((key) => [key, DIFFERS])) };
  const told = inWords(all);
  return (
    <Name>
      {name}
      <Values>
        {told === "" ? `As ${look === undefined ? "their looks say" : `“${look}” says`}` : told}
      </Values>
    </Name>
  );
}

/** How the chosen text differs from its looks: changed, cleared, or taken into them. */
export function LocalBar({
  publication,
  local,
  act,
  take,
  onClose,
}: {
  publication: Publication;
  local: Local;
  act: (command: Command) => void;
  /** Changes a look and the text as one step. */
  take: (into: Edit, command: Command) => void;
  onClose: () => void;
}) {
  const { setting, type } = local;
  const [open, setOpen] = useState<"paragraph" | "words">(local.words ? "words" : "paragraph");
  const look = publication.looks.find((each) => each.look.id === local.look)?.look;
  const characters = publication.characterLooks.find(
    (each) => each.look.id === local.characters,
  )?.look;
  const worn = characters ?? look;
  const families = useOptions().data?.families ?? [];
  const family = characters?.family ?? look?.family;
  const weights = families.find(({ name }) => name === (type.family ?? family))?.weights ?? [];
  const differingIn = (part: "setting" | "type") =>
    local.differing
      .filter((way) => way.startsWith(`${part}.`))
      .map((way) => way.slice(part.length + 1));
  const paragraphs = (by: Changed<LocalSetting>) => act(setParagraphs(by));
  const words = (by: Changed<LocalType>) => act(setWords(by));
  const length = (
    label: string,
    key: "size" | "before" | "after" | "first" | "left" | "right",
    empty: string | undefined,
  ) => (
    <LengthField
      label={label}
      unit="PT"
      way={`setting.${key}`}
      {...(look ? { of: look.size } : {})}
      value={setting[key] ?? ""}
      empty={empty}
      onCommit={(value) => paragraphs({ [key]: value })}
      onClear={() => paragraphs({ [key]: undefined })}
    />
  );
  const choice = (
    label: string,
    way: string,
    value: string | undefined,
    options: Option[],
    /** What the look says. */
    said: string | undefined,
    onChange: (id: string | undefined) => void,
  ) => (
    <Choice
      label={label}
      way={way}
      value={value ?? unset}
      options={[
        { id: unset, label: options.find(({ id }) => id === said)?.label ?? "As the look" },
        ...options,
      ]}
      onChange={(id) => onChange(id === unset ? undefined : id)}
    />
  );
  return (
    <Bar role="group" aria-label="Local differences">
      <DifferingProvider value={{ ways: local.differing, settle: () => undefined }}>
        {local.words && (
          <Fold
            head={
              <Head
                name="The chosen words"
                look={worn?.name}
                local={type}
                differing={differingIn("type")}
              />
            }
            isExpanded={open === "words"}
            onExpandedChange={(on) => setOpen(on ? "words" : "paragraph")}
          >
            <Row $columns="repeat(auto-fill, minmax(104px, 1fr))">
              {choice(
                "Font",
                "type.family",
                type.family,
                families.map(({ name }) => ({ id: name, label: name })),
                family,
                (id) => words({ family: id }),
              )}
              {choice(
                "Weight",
                "type.weight",
                type.weight?.toString(),
                weights.map((each) => ({ id: String(each), label: String(each) })),
                (characters?.weight ?? look?.weight)?.toString(),
                (id) => words({ weight: id === undefined ? undefined : Number(id) }),
              )}
              {choice(
                "Slope",
                "type.italic",
                type.italic?.toString(),
                slopes,
                (characters?.italic ?? look?.italic)?.toString(),
                (id) => words({ italic: id === undefined ? undefined : id === "true" }),
              )}
              <OptionalNumber
                label="Size %"
                way="type.size"
                value={type.size}
                empty={characters?.size ?? 100}
                onCommit={(size) => words({ size })}
              />
              <OptionalNumber
                label="Tracking ‰"
                way="type.tracking"
                value={type.tracking}
                empty={characters?.tracking ?? look?.setting.tracking}
                onCommit={(tracking) => words({ tracking })}
              />
              {choice(
                "Capitals",
                "type.capitals",
                type.capitals,
                capitals,
                characters?.capitals ?? look?.setting.letters.capitals,
                (id) => words({ capitals: id as LocalType["capitals"] }),
              )}
              {choice(
                "Figures",
                "type.figures",
                type.figures,
                figures,
                characters?.figures ?? look?.setting.letters.figures,
                (id) => words({ figures: id as LocalType["figures"] }),
              )}
            </Row>
            <Lacking family={type.family ?? family} letters={type} />
          </Fold>
        )}
        <Fold
          head={
            <Head
              name={local.paragraphs > 1 ? "The paragraphs" : "The paragraph"}
              look={look?.name}
              local={setting}
              differing={differingIn("setting")}
            />
          }
          isExpanded={open === "paragraph"}
          onExpandedChange={(on) => setOpen(on || !local.words ? "paragraph" : "words")}
        >
          <Row $columns="repeat(auto-fill, minmax(104px, 1fr))">
            {length("Size", "size", look?.size)}
            <LengthField
              label="Leading"
              unit="PT"
              way="setting.leading"
              multiple
              {...(look ? { of: look.size } : {})}
              value={setting.leading ?? ""}
              empty={look?.leading}
              onCommit={(leading) => paragraphs({ leading })}
              onClear={() => paragraphs({ leading: undefined })}
            />
            {choice(
              "Alignment",
              "setting.alignment",
              setting.alignment,
              alignments,
              look?.alignment,
              (id) => paragraphs({ alignment: id as LocalSetting["alignment"] }),
            )}
            {length("Space above", "before", look?.before)}
            {length("Space below", "after", look?.setting.after)}
            {length("First line", "first", look?.setting.first)}
            {length("Indent left", "left", look?.setting.left)}
            {length("Indent right", "right", look?.setting.right)}
            {choice(
              "Divide words",
              "setting.hyphenated",
              setting.hyphenated?.toString(),
              dividing,
              look?.setting.hyphenated.toString(),
              (id) => paragraphs({ hyphenated: id === undefined ? undefined : id === "true" }),
            )}
          </Row>
        </Fold>
        {!local.words && (
          <Quiet as="p">Choose some words to set them otherwise than their paragraph.</Quiet>
        )}
      </DifferingProvider>
      <Line>
        {open === "paragraph" && look && local.alike.setting && Object.keys(setting).length > 0 && (
          <Button
            aria-label={`Take ${inWords(setting)} into “${look.name}”`}
            onPress={() => take({ type: "takeIntoLook", look: look.id, setting }, clearParagraphs)}
          >
            <CornerLeftUp size={15} aria-hidden />
            Into “{look.name}”
          </Button>
        )}
        {open === "words" && worn && local.alike.type && Object.keys(type).length > 0 && (
          <Button
            aria-label={`Take ${inWords(type)} into “${worn.name}”`}
            onPress={() =>
              take(
                characters
                  ? { type: "takeIntoCharacterLook", look: worn.id, words: type }
                  : { type: "takeIntoLook", look: worn.id, words: type },
                clearWords,
              )
            }
          >
            <CornerLeftUp size={15} aria-hidden />
            Into “{worn.name}”
          </Button>
        )}
        <Button
          aria-label="Clear the differences"
          isDisabled={!local.any}
          onPress={() => act(clear)}
        >
          <Eraser size={15} aria-hidden />
          Clear
        </Button>
        <Button onPress={onClose}>Done</Button>
      </Line>
    </Bar>
  );
}
