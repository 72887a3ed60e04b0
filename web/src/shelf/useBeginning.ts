import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { answered, client } from "../api/client";
import { useStatus } from "../ui/Status";

/** Makes publications of what is there already, and opens them. */
export function useBeginning() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const status = useStatus();
  const opened = async ({ id }: { id: string }) => {
    await queries.invalidateQueries({ queryKey: ["shelf"] });
    await navigate(`/publications/${id}`);
  };

  /** A page for each page of the PDF, with that page on it. */
  const fromPdf = useMutation({
    mutationFn: (file: File) =>
      answered(
        client.POST("/api/publications/documents", {
          params: { query: { name: file.name } },
          headers: { "Content-Type": "application/octet-stream" },
          body: file as unknown as string, // how the description writes bytes
          bodySerializer: (body) => body,
        }),
      ),
    onMutate: (file) => status.say(`Reading ${file.name}…`),
    onSuccess: async (created) => {
      await opened(created);
      status.say("Publication created");
    },
    onError: (error) => status.fail(error.message),
  });

  const examples = useMutation({
    mutationFn: () => answered(client.POST("/api/publications/examples")),
    onMutate: () => status.say("Making the example…"),
    onSuccess: async (created) => {
      await opened(created);
      status.say("Example added");
    },
    onError: (error) => status.fail(error.message),
  });

  return { fromPdf, examples, isPending: fromPdf.isPending || examples.isPending };
}
