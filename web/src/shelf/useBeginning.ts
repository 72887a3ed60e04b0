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

  const examples = useMutation({
    mutationFn: () => answered(client.POST("/api/publications/examples")),
    onMutate: () => status.say("Making the example…"),
    onSuccess: async (created) => {
      await opened(created);
      status.say("Example added");
    },
    onError: (error) => status.fail(error.message),
  });

  return { examples, isPending: examples.isPending };
}
