import { useEffect, useMemo, useRef, useState } from "react";
import { useIsFetching, useIsMutating } from "@tanstack/react-query";
import { usePreview } from "../api/queries";
import { stepsOf } from "../api/steps";
import type { Trying } from "../api/trying";
import type { Edit, Publication, Viewing } from "../api/types";

/** So many are drawn at the same time. */
const AT_ONCE = 2;

/** An edit that is shown before it is what there is. */
export interface Trial {
  edit: Edit;
  pictureOnly: boolean;
  /** Since it is being stored: against which revision, while which page is seen. */
  storing?: { revision: number; page: string; stored: Promise<boolean>; done: boolean };
}

/** What stays when something else ends being tried out: what is being stored, until that is seen. */
export function withoutTried(trial: Trial | undefined): Trial | undefined {
  return trial?.storing && trial;
}

/**
 * What is shown once the picture of the spread is there.
 *
 * @param revision that it is of
 * @param isStoring whether any edit is on its way, this one or a later one
 */
export function afterDrawing(
  trial: Trial | undefined,
  revision: number,
  isStoring: boolean,
): Trial | undefined {
  const { storing } = trial ?? {};
  const isStored = storing && (storing.done || (!isStoring && revision !== storing.revision));
  return isStored ? undefined : trial;
}

/** What is shown when the answer to one that is being stored has come. */
export function answeredTrial(
  trial: Trial | undefined,
  stored: Promise<boolean>,
  kept: boolean,
): Trial | undefined {
  if (trial?.storing?.stored !== stored) {
    return trial;
  }
  return kept ? { ...trial, storing: { ...trial.storing, done: true } } : undefined;
}

/**
 * What is tried out on a spread, and what an edit makes of it while it is being stored. Of several
 * that come faster than they are drawn, the last is drawn next.
 *
 * @param isDrawn whether the picture of the spread is that of this revision
 */
export function useTrial(
  publication: Publication,
  page: string,
  viewing: Viewing,
  ppi: number,
  isDrawn: boolean,
) {
  const [trial, setTrial] = useState<Trial>();
  const latest = useRef({ revision: publication.revision, page });
  useEffect(() => {
    latest.current = { revision: publication.revision, page };
  });
  const trying = useMemo<Trying>(
    () => ({
      tryOut: (edit, pictureOnly = false) =>
        setTrial((last) => (edit ? { edit, pictureOnly } : withoutTried(last))),
      settle: (stored, edit) => {
        const storing = { ...latest.current, stored, done: false };
        setTrial((last) => {
          const shown = last && !last.storing ? last : edit && { edit, pictureOnly: true };
          return shown && { ...shown, storing };
        });
        void stored.then((kept) => setTrial((last) => answeredTrial(last, stored, kept)));
      },
    }),
    [],
  );
  const onTheirWay = useIsMutating({
    predicate: ({ options }) => options.scope?.id === stepsOf(publication.id),
  });
  if (isDrawn && trial !== afterDrawing(trial, publication.revision, onTheirWay > 0)) {
    setTrial(undefined);
  }

  const { storing } = trial ?? {};
  const wanted = storing && storing.page !== page ? undefined : trial;
  const revision = storing?.revision ?? publication.revision;
  const [asked, setAsked] = useState<{ trial: Trial; revision: number }>();
  const preview = usePreview(
    asked ? { ...publication, revision: asked.revision } : publication,
    page,
    asked?.trial.edit,
    viewing,
    ppi,
    asked?.trial.pictureOnly,
  );
  // while some are drawn the next waits
  const drawn = useIsFetching({ queryKey: ["preview", publication.id] });
  const isLast = asked?.trial === wanted && (!asked || asked.revision === revision);
  if (!isLast && (!wanted || drawn < AT_ONCE)) {
    setAsked(wanted && { trial: wanted, revision });
  }
  // what was drawn of this trial so far stands until the next is drawn
  const [begun, setBegun] = useState(false);
  const isHere = asked !== undefined && preview.data !== undefined && !preview.isPlaceholderData;
  if (begun !== (wanted !== undefined && (begun || isHere))) {
    setBegun(!begun);
  }
  const shown = wanted && (isHere || begun) ? preview.data : undefined;
  return {
    trying,
    /** None as long as there is nothing, or it cannot be done. */
    picture: shown?.picture,
    checked: isHere && shown && !asked.trial.pictureOnly && !storing ? shown : undefined,
    isStoring: wanted?.storing !== undefined,
    isDrawing: wanted !== undefined && (!isLast || !isHere) && !preview.isError,
  };
}
