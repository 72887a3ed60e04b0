import { useEffect, useRef } from "react";
import { caretAt, type FlowPart } from "../api/story";
import type { Publication, Story } from "../api/types";
import { useBench } from "../bench/BenchState";
import type { TextPlace } from "./plugins";

/** So long the caret rests before it is marked on the page, in milliseconds. */
const RESTS = 150;

/** Marks where one writes on the page, and turns to the page that it comes to. */
export function useCaret(
  publication: Publication,
  story: Story,
  at: TextPlace | undefined,
  parts: FlowPart[] | undefined,
) {
  const { markCaret, turnTo } = useBench();
  const page = useRef<string>(undefined);
  const { revision } = story;
  useEffect(() => {
    if (!at) {
      return;
    }
    let current = true;
    const timer = window.setTimeout(() => {
      void caretAt(publication.id, story.id, at.paragraph, at.character)
        .then((found) => {
          if (!current) {
            return;
          }
          markCaret(found ?? undefined);
          const on = parts?.find(({ frame }) => frame === found?.frame)?.owner;
          if (on?.type === "onPage" && page.current !== undefined && page.current !== on.id) {
            turnTo(on.id);
          }
          page.current = on?.type === "onPage" ? on.id : page.current;
        })
        .catch(() => markCaret(undefined));
    }, RESTS);
    return () => {
      current = false;
      window.clearTimeout(timer);
    };
  }, [publication.id, story.id, revision, at, parts, markCaret, turnTo]);
  useEffect(() => () => markCaret(undefined), [markCaret]);
}
