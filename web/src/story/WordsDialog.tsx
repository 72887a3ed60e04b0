import { useState } from "react";
import styled from "styled-components";
import { useOptions } from "../api/queries";
import { useParagraphs } from "../api/story";
import type { Publication } from "../api/types";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField, Row, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { theme } from "../theme";
import { leadsOut, type Language, type LinkTo } from "./text";

const nowhere = "NONE";
const around = "AROUND";

const kinds = [
  { id: nowhere, label: "Nowhere" },
  { id: "address", label: "An address" },
  { id: "toPage", label: "A page" },
  { id: "toParagraph", label: "A heading" },
];

/** What words have besides their look, as it stands. */
export interface Words {
  /** Nothing where none are chosen. */
  chosen: string;
  link: LinkTo | undefined;
  language: Language | undefined;
  number: number | undefined;
  /** What stands before their paragraph on the page. */
  mark: string | undefined;
}

/** What is given to them; a key that is left out stays as it is. */
export interface Given {
  link?: LinkTo | undefined;
  language?: Language | undefined;
  number?: number | undefined;
}

const Places = styled.div`
  max-height: 220px;
  overflow: auto;
  border: 1px solid ${theme.color.rule};
  display: flex;
  flex-direction: column;
  & label {
    display: flex;
    gap: ${theme.space.one};
    align-items: baseline;
    padding: 6px ${theme.space.one};
  }
  & label:hover {
    background: ${theme.color.ground};
  }
`;

/** Where words lead, their language, and the number of their paragraph. */
export function WordsDialog({
  publication,
  words,
  storyLanguage,
  onGive,
  onStoryLanguage,
  onClose,
}: {
  publication: Publication;
  words: Words;
  storyLanguage: Language | undefined;
  onGive: (given: Given) => void;
  onStoryLanguage: (language: Language | undefined) => void;
  onClose: () => void;
}) {
  const languages = (useOptions().data?.languages ?? []).map(({ id, name }) => ({
    id,
    label: name,
  }));
  const nameOf = (id: string | undefined) => languages.find((each) => each.id === id)?.label;
  const { link } = words;
  const [kind, setKind] = useState<string>(link?.type ?? nowhere);
  const [address, setAddress] = useState(link?.type === "address" ? link.uri : "https://");
  const [page, setPage] = useState(
    link?.type === "toPage"
      ? String(publication.pages.findIndex(({ id }) => id === link.page) + 1)
      : "1",
  );
  const [find, setFind] = useState("");
  const [place, setPlace] = useState(link?.type === "toParagraph" ? link : undefined);
  const [language, setLanguage] = useState<string>(words.language ?? around);
  const [whole, setWhole] = useState<string>(storyLanguage ?? around);
  const [number, setNumber] = useState(words.number === undefined ? "" : String(words.number));
  const [wrong, setWrong] = useState<string>();
  const places = useParagraphs(publication, find, kind === "toParagraph");
  const any = words.chosen !== "";

  const target = (): LinkTo | undefined | string => {
    switch (kind) {
      case "address":
        return leadsOut.test(address)
          ? { type: "address", uri: address.trim() }
          : "Write an address that begins with https://, http://, mailto: or tel:.";
      case "toPage": {
        const found = publication.pages[Number(page) - 1];
        return found
          ? { type: "toPage", page: found.id }
          : `There is no page ${page}; the last one is ${publication.pages.length}.`;
      }
      case "toParagraph":
        return place ?? "Choose the heading or the paragraph that the words lead to.";
      default:
        return undefined;
    }
  };
  const give = () => {
    const to = any ? target() : undefined;
    if (typeof to === "string") {
      setWrong(to);
      return;
    }
    const typed = number.trim() === "" ? undefined : Number(number);
    if (typed !== undefined && !(Number.isInteger(typed) && typed >= 1 && typed <= 9999)) {
      setWrong("Lists are numbered from 1 to 9999.");
      return;
    }
    onGive({
      ...(any && JSON.stringify(to) !== JSON.stringify(link) ? { link: to } : {}),
      ...(any && language !== (words.language ?? around)
        ? { language: language === around ? undefined : (language as Language) }
        : {}),
      ...(typed === words.number ? {} : { number: typed }),
    });
    if (whole !== (storyLanguage ?? around)) {
      onStoryLanguage(whole === around ? undefined : (whole as Language));
    }
    onClose();
  };

  return (
    <Modal title="Link, language and number" isOpen onClose={onClose}>
      <Stack>
        {any ? (
          <Quiet>Of the words “{words.chosen}”</Quiet>
        ) : (
          <Quiet>Choose some words to give them a link or a language of their own.</Quiet>
        )}
        {any && (
          <Row $columns="minmax(0, 1fr) minmax(0, 2fr)">
            <Choice label="They lead to" value={kind} options={kinds} onChange={setKind} />
            {kind === "address" && (
              <DraftField label="Address" value={address} onChange={setAddress} />
            )}
            {kind === "toPage" && <DraftField label="Page" value={page} onChange={setPage} />}
            {kind === "toParagraph" && (
              <DraftField label="Find a heading, or any words" value={find} onChange={setFind} />
            )}
          </Row>
        )}
        {any && kind === "toParagraph" && (
          <Places role="radiogroup" aria-label="Where they lead">
            {(places.data ?? []).map((each) => (
              <label key={each.paragraph}>
                <input
                  type="radio"
                  name="place"
                  checked={place?.paragraph === each.paragraph}
                  onChange={() =>
                    setPlace({ type: "toParagraph", story: each.story, paragraph: each.paragraph })
                  }
                />
                {each.text}
              </label>
            ))}
            {places.data?.length === 0 && (
              <Quiet style={{ padding: 8 }}>
                {find === ""
                  ? "No look in use has the role of a heading; look for words instead."
                  : `No paragraph holds “${find}”.`}
              </Quiet>
            )}
          </Places>
        )}
        <Row>
          {any && (
            <Choice
              label="Language of the words"
              value={language}
              options={[{ id: around, label: "As around them" }, ...languages]}
              onChange={setLanguage}
            />
          )}
          <Choice
            label="Language of the whole text"
            value={whole}
            options={[
              {
                id: around,
                label: `As the publication${nameOf(publication.setup.language) ? `: ${nameOf(publication.setup.language)}` : ""}`,
              },
              ...languages,
            ]}
            onChange={setWhole}
          />
        </Row>
        {words.mark !== undefined && /[\da-z]/i.test(words.mark) && (
          <DraftField
            label={`Number of the paragraph in its list (now ${words.mark}); empty for the next one`}
            value={number}
            onChange={setNumber}
          />
        )}
        {wrong && <p role="alert">{wrong}</p>}
      </Stack>
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton onPress={give}>Apply</MainButton>
      </Actions>
    </Modal>
  );
}
