import { useQueryClient } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";
import styled from "styled-components";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { DraftField } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { ProgressLine } from "../ui/ProgressLine";
import { useStatus } from "../ui/Status";
import { counted } from "../ui/words";
import { inOrder, openFiles, wayOf, type Opened, type Order, type Place } from "./openFiles";

const List = styled.ul`
  max-height: 320px;
  overflow: auto;
  & li {
    padding: ${theme.space.half} 0;
    border-top: 1px solid ${theme.color.rule};
    overflow-wrap: anywhere;
  }
`;

/** The files that can be opened. */
export const openable = [".pdf", ".zip"];

/**
 * Opens PDFs as one publication, says how far it is, and lists those that could not be opened.
 *
 * @param into the publication that they come into, and what is done then; a new one is gone to
 */
export function useOpening(into?: { place: Place; onOpened: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const status = useStatus();
  const [at, setAt] = useState<{ done: number; all: number; name: string }>();
  const [result, setResult] = useState<Opened>();
  const [asked, setAsked] = useState<File[]>();
  const [locked, setLocked] = useState<Locked>();
  const goesOn = useRef(true);

  const show = async (id: string) => {
    setResult(undefined);
    if (into) {
      into.onOpened();
      return;
    }
    await navigate(`/publications/${id}`);
  };
  const open = async (files: File[]) => {
    setAsked(undefined);
    goesOn.current = true;
    const opened = await openFiles(
      files,
      (done, name) => {
        setAt({ done, all: files.length, name });
        return goesOn.current;
      },
      (name, why) =>
        new Promise((resolve) => {
          setLocked({
            name,
            why,
            answer: (password) => {
              setLocked(undefined);
              resolve(password);
            },
          });
        }),
      into?.place,
    );
    setAt(undefined);
    if (into) {
      await queries.invalidateQueries({ queryKey: ["publication", into.place.id] });
    }
    await queries.invalidateQueries({ queryKey: ["shelf"] });
    const words = `${counted(opened.files, "file", "files")} opened, ${counted(opened.pages, "page", "pages")}`;
    if (opened.id && opened.refused.length === 0) {
      await show(opened.id);
      status.say(words);
    } else if (opened.refused.length > 0) {
      setResult(opened);
    }
  };

  const dialogs = (
    <>
      {asked && (
        <Ordered
          files={asked}
          onOpen={(files) => void open(files)}
          onClose={() => setAsked(undefined)}
        />
      )}
      {locked && <PasswordNeeded key={`${locked.name} ${locked.why}`} {...locked} />}
      {at && !locked && (
        <Modal title="Opening files" isOpen onClose={() => (goesOn.current = false)}>
          <ProgressLine
            label="Opening files"
            words={`${at.done + 1} of ${at.all}: ${at.name}`}
            done={at.done}
            all={at.all}
          />
          <Actions>
            <Button onPress={() => (goesOn.current = false)}>Stop after this one</Button>
          </Actions>
        </Modal>
      )}
      {result && (
        <Modal
          title={result.id ? "Some files were not opened" : "No file could be opened"}
          isOpen
          onClose={() => setResult(undefined)}
        >
          {result.id && (
            <p>
              {counted(result.files, "file is", "files are")} open, with{" "}
              {counted(result.pages, "page", "pages")}. The others, and why:
            </p>
          )}
          <List tabIndex={0} aria-label="Not opened">
            {result.refused.map(({ name, why }, index) => (
              <li key={index}>
                <Failed>✕ {name}</Failed> {why}
              </li>
            ))}
          </List>
          <Actions>
            <Button onPress={() => setResult(undefined)}>Close</Button>
            {result.id && (
              <MainButton onPress={() => void show(result.id ?? "")}>Go to the pages</MainButton>
            )}
          </Actions>
        </Modal>
      )}
    </>
  );
  return {
    open: (files: File[]) => (files.length > 1 ? setAsked(files) : void open(files)),
    isPending: at !== undefined,
    dialogs,
  };
}

/** A file that is waiting for its password. */
interface Locked {
  name: string;
  why: string;
  /** Nothing for leaving it out. */
  answer: (password: string | undefined) => void;
}

function PasswordNeeded({ name, why, answer }: Locked) {
  const [password, setPassword] = useState("");
  return (
    <Modal title="Password needed" isOpen onClose={() => answer(undefined)}>
      <p>
        <strong>{name}</strong>
      </p>
      <p>{why}</p>
      <Asked
        onSubmit={(event) => {
          event.preventDefault();
          if (password) {
            answer(password);
          }
        }}
      >
        <DraftField label="Password" value={password} onChange={setPassword} isSecret />
        <Quiet>
          It is kept with the file on the server, to draw its pages. Exported files open with the
          same password.
        </Quiet>
        <Actions>
          <Button onPress={() => answer(undefined)}>Leave this file out</Button>
          <MainButton type="submit" isDisabled={!password}>
            Open
          </MainButton>
        </Actions>
      </Asked>
    </Modal>
  );
}

const Asked = styled.form`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.two};
`;

const orders: { id: Order; label: string }[] = [
  { id: "name", label: "By their names" },
  { id: "date", label: "By when they were changed, the oldest first" },
];

/** Several files, before they are opened. */
function Ordered({
  files,
  onOpen,
  onClose,
}: {
  files: File[];
  onOpen: (files: File[]) => void;
  onClose: () => void;
}) {
  const [order, setOrder] = useState<Order>("name");
  const all = inOrder(files, order);
  return (
    <Modal title={`Open ${files.length} files as one publication`} isOpen onClose={onClose}>
      <Choice
        label="In the order"
        value={order}
        options={orders}
        onChange={(id) => setOrder(id as Order)}
      />
      <List tabIndex={0} aria-label="Files in their order">
        {all.map((file, index) => (
          <li key={index}>
            {wayOf(file)} <Quiet>{new Date(file.lastModified).toLocaleString("en-GB")}</Quiet>
          </li>
        ))}
      </List>
      <Actions>
        <Button onPress={onClose}>Cancel</Button>
        <MainButton onPress={() => onOpen(all)}>Open them</MainButton>
      </Actions>
    </Modal>
  );
}
