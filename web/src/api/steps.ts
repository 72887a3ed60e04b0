import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useStatus } from "../ui/Status";
import { answered, author, client } from "./client";
import { shownSince } from "./following";
import { readAhead, type Made } from "./seenFirst";
import { useTrying } from "./trying";
import type { Edit, Publication, Schemas } from "./types";

/** An edit on its way, made when its turn has come. */
interface Sent {
  edit: () => Edit;
  done?: string;
  onKept?: () => void;
}

/** What steps of a publication go by while they are on their way. */
export const stepsOf = (publication: string) => `steps ${publication}`;

/** Steps are sent one after the other, each against the revision the one before it made. */
export function useSteps(publication: Publication) {
  const queries = useQueryClient();
  const status = useStatus();
  const { settle } = useTrying();
  const scope = { id: stepsOf(publication.id) };
  const path = { id: publication.id };
  const key = ["publication", publication.id];

  const settled = async () => {
    await queries.invalidateQueries({ queryKey: key });
  };
  const onError = (error: Error) => status.fail(error.message);
  const shown = (result: Schemas["StepResult"], made?: Made) => {
    queries.setQueryData(["history", publication.id, result.revision], result);
    readAhead(queries, publication.id, result.revision, made);
  };

  const { mutate, mutateAsync } = useMutation({
    scope,
    mutationFn: async ({ edit }: Sent) => {
      const revision = queries.getQueryData<Publication>(key)?.revision ?? publication.revision;
      const made = { edit: edit(), against: revision };
      const result = await answered(
        client.POST("/api/publications/{id}/edits", {
          params: { path },
          body: { edit: made.edit, revision, author: author() },
        }),
      );
      return { result, made };
    },
    onSuccess: ({ result, made }, { done, onKept }) => {
      shown(result, made);
      onKept?.();
      if (done) {
        status.say(done);
      }
    },
    onError,
    onSettled: settled,
  });

  const { mutate: undo } = useMutation({
    scope,
    mutationFn: () =>
      answered(
        client.POST("/api/publications/{id}/undo", {
          params: { path },
          body: { author: author() },
        }),
      ),
    onSuccess: (result) => {
      shown(result);
      status.say("Undone");
    },
    onError,
    onSettled: settled,
  });

  const { mutate: redo } = useMutation({
    scope,
    mutationFn: () =>
      answered(
        client.POST("/api/publications/{id}/redo", {
          params: { path },
          body: { author: author() },
        }),
      ),
    onSuccess: (result) => {
      shown(result);
      status.say("Redone");
    },
    onError,
    onSettled: settled,
  });

  const stored = async (
    made: Edit | (() => Edit),
    done?: string,
    onKept?: () => void,
  ): Promise<boolean> => {
    const sent: Sent = {
      edit: typeof made === "function" ? made : () => made,
      ...(done ? { done } : {}),
      ...(onKept ? { onKept } : {}),
    };
    let revision: number;
    try {
      ({
        result: { revision },
      } = await mutateAsync(sent));
    } catch {
      return false; // its message is shown
    }
    await shownSince(queries, publication.id, revision);
    return true;
  };

  return {
    /** Makes an edit; `done` is announced when it is stored. */
    make: (made: Edit, done?: string) =>
      mutate(done ? { edit: () => made, done } : { edit: () => made }),
    /** The same; the promise is kept when what is shown follows, with false where it was refused. */
    stored,
    /** Makes an edit that comes to the same when it is made twice, and shows it meanwhile. */
    makeSeen: (made: Edit, done?: string) => settle(stored(made, done), made),
    undo: () => undo(),
    redo: () => redo(),
  };
}
