import { useState } from "react";
import type { Asset, PageEntry, Publication } from "../api/types";
import { backgroundOf } from "../scope/newBackground";
import { Button, MainButton } from "../ui/Button";
import { DraftField, Stack } from "../ui/Field";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { counted, numbersInWords } from "../ui/words";
import { fillsOf, numbersIn, pagesOf, runFrom } from "./runs";

/** Where several files, or pages of a PDF, go: one on each page, from a page on. */
export function PlaceFiles({
  publication,
  assets,
  start,
  onStore,
  onClose,
}: {
  publication: Publication;
  assets: Asset[];
  start: PageEntry;
  onStore: (edits: Parameters<typeof editsOf>) => void;
  onClose: () => void;
}) {
  const [texts, setTexts] = useState<Record<string, string>>({});
  const [from, setFrom] = useState(String(start.number));
  const text = (asset: Asset) => texts[asset.id] ?? "1";
  const read = assets.map((asset) => [asset.id, numbersIn(text(asset), pagesOf(asset))] as const);
  const wrong = assets.find((asset) => !numbersIn(text(asset), pagesOf(asset)));
  const fills = fillsOf(assets, new Map(read.map(([id, numbers]) => [id, numbers ?? []])));
  const number = Number(from.trim());
  const pages = runFrom(publication.pages, number, fills.length);
  const problem = wrong
    ? `Type pages of “${wrong.name}” from 1 to ${pagesOf(wrong)}, such as 1-3.`
    : !Number.isInteger(number) || number < 1 || number > publication.pages.length
      ? `Type a page from 1 to ${publication.pages.length}.`
      : pages.length < fills.length
        ? `There are ${counted(fills.length - pages.length, "page", "pages")} too few from page ${number} on; begin earlier or add pages first.`
        : undefined;

  return (
    <Modal
      title={`Place ${assets.length === 1 ? `“${assets[0]?.name ?? ""}”` : counted(assets.length, "file", "files")}`}
      isOpen
      onClose={onClose}
    >
      <Stack>
        {assets
          .filter((asset) => pagesOf(asset) > 1)
          .map((asset) => (
            <DraftField
              key={asset.id}
              label={`Pages of “${asset.name}”, which has ${pagesOf(asset)}`}
              value={text(asset)}
              onChange={(typed) => setTexts({ ...texts, [asset.id]: typed })}
            />
          ))}
        <DraftField label="From page" value={from} onChange={setFrom} />
        <p role="status">
          {problem ? (
            <Failed>{problem}</Failed>
          ) : (
            `On ${numbersInWords(pages.map((page) => page.number))}${pages.length > 1 ? ", one on each" : ""}, out to the bleed.`
          )}
        </p>
      </Stack>
      <Actions>
        <Button onPress={() => onStore([[], []])}>Only import</Button>
        <MainButton isDisabled={problem !== undefined} onPress={() => onStore([pages, fills])}>
          Place
        </MainButton>
      </Actions>
    </Modal>
  );
}

/** What puts each fill on its page. */
export function editsOf(pages: PageEntry[], fills: ReturnType<typeof fillsOf>) {
  return pages.flatMap((page, index) => {
    const fill = fills[index];
    return fill
      ? [
          {
            type: "addBackground" as const,
            owner: { type: "onPage" as const, id: page.id },
            background: backgroundOf(crypto.randomUUID(), fill),
          },
        ]
      : [];
  });
}
