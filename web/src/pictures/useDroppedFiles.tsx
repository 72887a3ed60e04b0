import { useCallback, useEffect, useRef, useState, type ReactNode } from "react";
import type { Asset, PageEntry, Publication } from "../api/types";
import { counted } from "../ui/words";
import { editsOf, PlaceFiles } from "./PlaceFiles";
import { fillsOf, pagesOf } from "./runs";
import { useImport } from "./useImport";

/**
 * Imports files and puts them on pages from the one they were dropped on. One picture is placed at
 * once; of several, and of a PDF of several pages, is asked which go where.
 */
export function useDroppedFiles(publication: Publication): {
  isPending: boolean;
  drop: (files: File[], on: PageEntry | undefined) => void;
  dialog: ReactNode;
} {
  const { isPending, read, store } = useImport(publication);
  const [asked, setAsked] = useState<{ assets: Asset[]; on: PageEntry }>();
  const imported = (assets: Asset[]) =>
    assets.length === 1 ? `“${assets[0]?.name ?? ""}” imported` : `${assets.length} files imported`;

  const take = async (files: File[], on: PageEntry | undefined) => {
    const assets = await read(files);
    const [only] = assets;
    if (!only) {
      return;
    }
    if (!on) {
      store(
        assets,
        [],
        `${imported(assets)}; place ${assets.length === 1 ? "it" : "them"} on pages`,
      );
    } else if (assets.length === 1 && pagesOf(only) === 1) {
      store(assets, editsOf([on], fillsOf(assets, new Map())), `Placed on page ${on.number}`);
    } else {
      setAsked({ assets, on });
    }
  };

  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  const drop = useCallback(
    (files: File[], on: PageEntry | undefined) => void latest.current(files, on),
    [],
  );
  return {
    isPending,
    drop,
    dialog: asked && (
      <PlaceFiles
        publication={publication}
        assets={asked.assets}
        start={asked.on}
        onStore={([pages, fills]) => {
          store(
            asked.assets,
            editsOf(pages, fills),
            pages.length === 0
              ? imported(asked.assets)
              : `Placed on ${counted(pages.length, "page", "pages")}`,
          );
          setAsked(undefined);
        }}
        onClose={() => setAsked(undefined)}
      />
    ),
  };
}
