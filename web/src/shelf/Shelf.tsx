import { useMutation, useQueryClient } from "@tanstack/react-query";
import { FileText, FolderOpen, Plus, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import styled from "styled-components";
import { answered, client } from "../api/client";
import { useShelf } from "../api/queries";
import { theme } from "../theme";
import { Button, MainButton, QuietButton } from "../ui/Button";
import { FileButton } from "../ui/FileButton";
import { shownLength } from "../ui/length";
import { Actions } from "../ui/Modal";
import { Failed, Notice } from "../ui/Notice";
import { RemoveDialog } from "../ui/RemoveDialog";
import { useStatus } from "../ui/Status";
import { dropping, useFileDrop } from "../ui/useFileDrop";
import { Wordmark } from "../ui/Wordmark";
import { EmptyShelf } from "./EmptyShelf";
import { NewPublication } from "./NewPublication";
import { useBeginning } from "./useBeginning";
import { openable, useOpening } from "./useOpening";

const Page = styled.div`
  min-height: 100%;
`;

const Top = styled.header`
  display: flex;
  align-items: center;
  min-height: 48px;
  padding: 0 ${theme.space.three};
  background: ${theme.color.paper};
  border-bottom: 1px solid ${theme.color.rule};
`;

const Main = styled.main`
  max-width: 1040px;
  margin: 0 auto;
  padding: ${theme.space.four} ${theme.space.three};
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.two};
  align-items: center;
  justify-content: space-between;
  margin-bottom: ${theme.space.three};
`;

const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: ${theme.space.three};
`;

const Card = styled.li`
  display: flex;
  flex-direction: column;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  position: relative;
  & a {
    color: inherit;
    text-decoration: none;
  }
  & a:hover {
    text-decoration: underline;
  }
  & a::after {
    content: "";
    position: absolute;
    inset: 0;
  }
  & button {
    position: relative;
    z-index: 1;
  }
`;

const Cover = styled.div`
  height: 240px;
  display: flex;
  align-items: center;
  justify-content: center;
  background: ${theme.color.desk};
  & img {
    max-width: 80%;
    max-height: 86%;
  }
`;

const About = styled.div`
  display: flex;
  align-items: flex-start;
  justify-content: space-between;
  gap: ${theme.space.one};
  padding: ${theme.space.two};
  & p {
    font-size: ${theme.size.small};
    color: ${theme.color.quiet};
  }
  & h2 {
    overflow-wrap: anywhere;
  }
`;

export function Shelf() {
  const shelf = useShelf();
  const [creating, setCreating] = useState(false);
  const [removing, setRemoving] = useState<{ id: string; name: string }>();
  const queries = useQueryClient();
  const status = useStatus();
  const beginning = useBeginning();
  const opening = useOpening();
  const isPending = beginning.isPending || opening.isPending;
  const drop = useFileDrop<HTMLDivElement>(opening.open);
  const isEmpty = shelf.data?.length === 0;
  const remove = useMutation({
    mutationFn: (id: string) =>
      answered(client.DELETE("/api/publications/{id}", { params: { path: { id } } })),
    onSuccess: () => status.say("Publication removed"),
    onError: (error) => status.fail(error.message),
    onSettled: () => queries.invalidateQueries({ queryKey: ["shelf"] }),
  });

  useEffect(() => {
    document.title = "Shelf, Yewberry";
  }, []);

  return (
    <Page {...drop.dropProps} style={drop.isOver ? dropping : undefined}>
      <Top>
        <Wordmark />
      </Top>
      <Main>
        <Head>
          <h1>Shelf</h1>
          {!isEmpty && (
            <Actions>
              <FileButton accepted={openable} several onFiles={opening.open}>
                <Button isDisabled={isPending}>
                  <FileText size={16} aria-hidden />
                  Open PDFs…
                </Button>
              </FileButton>
              <FileButton accepted={openable} folder onFiles={opening.open}>
                <Button isDisabled={isPending}>
                  <FolderOpen size={16} aria-hidden />
                  Open a folder…
                </Button>
              </FileButton>
              <MainButton onPress={() => setCreating(true)}>
                <Plus size={16} aria-hidden />
                New publication
              </MainButton>
            </Actions>
          )}
        </Head>
        {shelf.isPending && <Notice role="status">Fetching the publications…</Notice>}
        {shelf.isError && (
          <Notice role="alert">
            <Failed>The shelf could not be read.</Failed>
            {shelf.error.message}
            <Button onPress={() => void shelf.refetch()}>Try again</Button>
          </Notice>
        )}
        {isEmpty && (
          <EmptyShelf
            isPending={isPending}
            onSize={() => setCreating(true)}
            onPdfs={opening.open}
            onExample={() => beginning.examples.mutate()}
          />
        )}
        <Grid>
          {shelf.data?.map((entry) => (
            <Card key={entry.id}>
              <Cover>
                <img alt="" src={`/api/publications/${entry.id}/cover?r=${entry.changed}`} />
              </Cover>
              <About>
                <div>
                  <h2>
                    <Link to={`/publications/${entry.id}`}>{entry.name}</Link>
                  </h2>
                  <p>
                    {entry.pages} {entry.pages === 1 ? "page" : "pages"},{" "}
                    {shownLength(entry.setup.trim.width, entry.setup.unit).split(" ")[0]} ×{" "}
                    {shownLength(entry.setup.trim.height, entry.setup.unit)}
                  </p>
                </div>
                <QuietButton
                  aria-label={`Remove ${entry.name}`}
                  onPress={() => setRemoving({ id: entry.id, name: entry.name })}
                >
                  <Trash2 size={16} aria-hidden />
                </QuietButton>
              </About>
            </Card>
          ))}
        </Grid>
      </Main>
      {opening.dialogs}
      <NewPublication isOpen={creating} onClose={() => setCreating(false)} />
      {removing && (
        <RemoveDialog
          title={`Remove “${removing.name}”?`}
          label="Remove for good"
          onRemove={() => remove.mutate(removing.id)}
          onClose={() => setRemoving(undefined)}
        >
          The publication goes with all its pages and its whole history. This cannot be undone.
        </RemoveDialog>
      )}
    </Page>
  );
}
