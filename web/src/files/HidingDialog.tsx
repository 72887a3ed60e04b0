import { useEffect, useState } from "react";
import { answered, client } from "../api/client";
import { useSteps } from "../api/steps";
import type { PageEntry, Publication, Schemas } from "../api/types";
import { Scroll, Table } from "../output/ReportTable";
import { newBackground } from "../scope/newBackground";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Quiet } from "../ui/Fold";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { ProgressLine } from "../ui/ProgressLine";
import { counted, numbersInWords } from "../ui/words";

type Hiding = Schemas["Hiding"];

/** What of the pages of files would hide a background, page by page, before there is one. */
export function HidingDialog({
  publication,
  chosen,
  onClose,
}: {
  publication: Publication;
  chosen: PageEntry[];
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const [pages] = useState(() => chosen.filter((page) => page.imported));
  const found = useHiding(publication, pages);
  const [swatch, setSwatch] = useState<string>();
  const hiding = found.hiding.map((each) => ({
    ...each,
    number: pages.find((page) => page.id === each.page)?.number ?? 0,
  }));
  const white = hiding.flatMap(({ seeThrough }) => seeThrough ?? []);
  const words = numbersInWords(hiding.map(({ number }) => number));
  const isWhole = found.read === pages.length;
  return (
    <Modal
      title={`What would hide a background on ${numbersInWords(pages.map(({ number }) => number))}`}
      isOpen
      onClose={onClose}
    >
      {found.failed && (
        <p role="alert">
          <Failed>Not all pages were read.</Failed> {found.failed}
        </p>
      )}
      {!isWhole && !found.failed && (
        <ProgressLine
          label="Pages looked at"
          words={`Looking at page ${found.read + 1} of ${pages.length}`}
          done={found.read}
          all={pages.length}
        />
      )}
      {isWhole && hiding.length === 0 && (
        <p role="status">
          Nothing: a background behind {pages.length === 1 ? "it" : "them"} shows everywhere but
          where there are letters and lines.
        </p>
      )}
      {hiding.length > 0 && (
        <>
          <Scroll tabIndex={0} role="region" aria-label="Pages">
            <Table>
              <thead>
                <tr>
                  <th scope="col">Page</th>
                  <th scope="col">Hidden</th>
                  <th scope="col">By</th>
                </tr>
              </thead>
              <tbody>
                {hiding.map((each) => (
                  <tr key={each.page}>
                    <th scope="row">{each.number}</th>
                    <td>{Math.round(each.share * 100)} %</td>
                    <td>{by(each)}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </Scroll>
          {white.length > 0 && (
            <Button
              onPress={() => {
                onClose();
                steps.make(
                  { type: "several", edits: white },
                  `White fills of ${counted(white.length, "page", "pages")} are see-through`,
                );
              }}
            >
              Make their white fills see-through
            </Button>
          )}
          <Choice
            label="Or lay a colour over them, multiplied, so that all that is darker stays"
            value={swatch}
            options={swatchOptions(publication)}
            onChange={setSwatch}
          />
          <Quiet>
            What lies behind a page of a file already is laid over it with its finding, or with
            “Over the page of the file” in the background itself.
          </Quiet>
        </>
      )}
      <Actions>
        <Button onPress={onClose}>Close</Button>
        {hiding.length > 0 && (
          <MainButton
            isDisabled={swatch === undefined || !isWhole}
            onPress={() => {
              onClose();
              steps.make(
                {
                  type: "several",
                  edits: hiding.map(({ page }) => ({
                    type: "addBackground",
                    owner: { type: "onPage", id: page },
                    background: {
                      ...newBackground(crypto.randomUUID(), swatch ?? ""),
                      blend: "MULTIPLY",
                      over: true,
                    },
                  })),
                },
                `A colour lies over ${words}, multiplied`,
              );
            }}
          >
            Lay it over {words}
          </MainButton>
        )}
      </Actions>
    </Modal>
  );
}

function by({ white, pictures }: Hiding): string {
  const parts = [
    ...(white > 0 ? [counted(white, "white fill", "white fills")] : []),
    ...(pictures > 0 ? [counted(pictures, "picture", "pictures")] : []),
  ];
  return parts.length > 0 ? parts.join(", ") : "filled areas";
}

/** So many pages are asked for at once; fewer are answered where they take long. */
const AT_ONCE = 200;

interface Found {
  hiding: Hiding[];
  read: number;
  failed?: string;
}

/** Looks at pages part by part; it ends when nobody wants to know any more. */
function useHiding(publication: Publication, pages: PageEntry[]): Found {
  const [found, setFound] = useState<Found>({ hiding: [], read: 0 });
  const { id } = publication;
  useEffect(() => {
    const leaving = new AbortController();
    const look = async () => {
      let read = 0;
      while (read < pages.length) {
        const part = await answered(
          client.POST("/api/publications/{id}/hiding", {
            params: { path: { id } },
            body: { pages: pages.slice(read, read + AT_ONCE).map((page) => page.id) },
            signal: leaving.signal,
          }),
        );
        read += part.read;
        const now = read;
        setFound((last) => ({ hiding: [...last.hiding, ...part.hiding], read: now }));
      }
    };
    look().catch((error: Error) => {
      if (!leaving.signal.aborted) {
        setFound((last) => ({ ...last, failed: error.message }));
      }
    });
    return () => leaving.abort();
  }, [id, pages]);
  return found;
}
