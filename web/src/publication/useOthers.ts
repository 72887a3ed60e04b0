import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { author } from "../api/client";
import { onNews } from "../api/news";
import type { Publication } from "../api/types";

/** So long it is said who changed something, in milliseconds. */
const SHOWN = 8000;

/** Follows what happens elsewhere to anything that this window shows. */
export function useFollowing() {
  const queries = useQueryClient();
  useEffect(
    () =>
      onNews((news) => {
        if (news.type === "named") {
          return;
        }
        if (news.type === "job") {
          queries.setQueryData(["job", news.job.id], news.job);
          return;
        }
        void queries.invalidateQueries({ queryKey: ["shelf"] });
        if (news.type === "begun") {
          void queries.invalidateQueries({ queryKey: ["publication"] });
          return;
        }
        if (news.type === "shelf") {
          if (news.shelf.gone) {
            void queries.invalidateQueries({ queryKey: ["publication", news.shelf.publication] });
          }
          return;
        }
        const { step } = news;
        const key = ["publication", step.publication];
        const known = queries.getQueryData<Publication>(key)?.revision ?? 0;
        // a step of this window is read when it has been answered
        const own = step.author === author() && queries.isMutating() > 0;
        if (step.revision > known && !own) {
          void queries.invalidateQueries({ queryKey: key });
        }
      }),
    [queries],
  );
}

/** Who else changed the publication just now, in words; else empty. */
export function useOthers(publication: string): string {
  const [said, setSaid] = useState("");
  useEffect(() => {
    let timer: number | undefined;
    const end = onNews((news) => {
      if (
        news.type === "step" &&
        news.step.publication === publication &&
        news.step.author !== author()
      ) {
        setSaid(`${news.step.name || "Somebody else"} changed this`);
        window.clearTimeout(timer);
        timer = window.setTimeout(() => setSaid(""), SHOWN);
      }
    });
    return () => {
      end();
      window.clearTimeout(timer);
    };
  }, [publication]);
  return said;
}
