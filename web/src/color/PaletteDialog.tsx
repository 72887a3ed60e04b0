import { useMutation } from "@tanstack/react-query";
import { Download, FileUp } from "lucide-react";
import styled from "styled-components";
import { readPalette, type PaletteFormat } from "../api/queries";
import { useSteps } from "../api/steps";
import type { PaletteImport, Publication } from "../api/types";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Quiet } from "../ui/Fold";
import { FileButton } from "../ui/FileButton";
import { Actions, Modal } from "../ui/Modal";
import { counted } from "../ui/words";

const formats: { id: PaletteFormat; label: string; ending: string }[] = [
  { id: "TOKENS", label: "Design tokens, JSON", ending: "json" },
  { id: "CSV", label: "CSV", ending: "csv" },
  { id: "CSS", label: "CSS properties, screen colours", ending: "css" },
];

const Links = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.half} ${theme.space.two};
  & a {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: ${theme.hit};
  }
`;

const Found = styled.ul`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
  max-height: 220px;
  overflow: auto;
  padding: ${theme.space.half};
  border: 1px solid ${theme.color.rule};
  & > li {
    display: grid;
    grid-template-columns: 56px auto minmax(0, 1fr);
    gap: ${theme.space.one};
    align-items: start;
    overflow-wrap: anywhere;
  }
`;

/** Palettes in and out; what a file would add is shown before it is added. */
export function PaletteDialog({
  publication,
  onClose,
}: {
  publication: Publication;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const read = useMutation({
    mutationFn: async (file: File) => {
      const ending = file.name.split(".").pop()?.toLowerCase();
      const format = formats.find((each) => each.ending === ending)?.id;
      if (!format) {
        throw new Error(
          `“${file.name}” is not a palette that can be read; choose a file that ends in .json, .css or .csv.`,
        );
      }
      return { name: file.name, found: await readPalette(publication, format, await file.text()) };
    },
  });

  return (
    <Modal title={`Palette of “${publication.name}”`} isOpen onClose={onClose}>
      <section aria-label="Export">
        <h3>Export</h3>
        <Links>
          {formats.map(({ id, label }) => (
            <li key={id}>
              <a href={`/api/publications/${publication.id}/palette?format=${id}`} download>
                <Download size={15} aria-hidden />
                {label}
              </a>
            </li>
          ))}
        </Links>
      </section>
      <section aria-label="Import">
        <h3>Import</h3>
        <FileButton
          accepted={[".json", ".css", ".csv"]}
          onFiles={([file]) => file && read.mutate(file)}
        >
          <Button isDisabled={read.isPending}>
            <FileUp size={15} aria-hidden />
            Design tokens, CSS or CSV…
          </Button>
        </FileButton>
        {read.isError && <p role="alert">{read.error.message}</p>}
        {read.data && <Report name={read.data.name} found={read.data.found} />}
      </section>
      <Actions>
        <Button onPress={onClose}>Close</Button>
        {read.data && read.data.found.added.length > 0 && (
          <MainButton
            onPress={() => {
              steps.make(
                read.data.found.edit,
                `${counted(read.data.found.added.length, "swatch", "swatches")} added`,
              );
              onClose();
            }}
          >
            Add {counted(read.data.found.added.length, "swatch", "swatches")}
          </MainButton>
        )}
      </Actions>
    </Modal>
  );
}

function Report({ name, found }: { name: string; found: PaletteImport }) {
  return (
    <>
      <p role="status">
        {name}: {counted(found.added.length, "swatch", "swatches")} can be added,{" "}
        {counted(found.unread.length, "line", "lines")} cannot.
      </p>
      {found.unread.length > 0 && (
        <Found aria-label="Not added">
          {found.unread.map((each) => (
            <li key={`${each.line} ${each.text}`}>
              <Quiet>line {each.line}</Quiet>
              <span>✕</span>
              <span>
                {each.text}
                <br />
                <Quiet>{each.reason}</Quiet>
              </span>
            </li>
          ))}
        </Found>
      )}
      {found.added.length > 0 && (
        <Found aria-label="Can be added">
          {found.added.map((each) => (
            <li key={each.name}>
              <Quiet>line {each.line}</Quiet>
              <Chip $color={each.screen} />
              <span>
                {each.name} <Quiet>{each.values}</Quiet>
              </span>
            </li>
          ))}
        </Found>
      )}
    </>
  );
}
