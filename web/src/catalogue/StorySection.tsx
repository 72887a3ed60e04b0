import { Plus, X } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import { roomFor, useStories } from "../api/story";
import type { PageEntry, Publication } from "../api/types";
import { useBench } from "../bench/BenchState";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { useCommands } from "../ui/commands";
import { Name, Quiet, Values } from "../ui/Fold";
import { Section } from "../ui/Section";
import { useStatus } from "../ui/Status";
import { counted, messageOf } from "../ui/words";

const Line = styled.div`
  display: flex;
  align-items: center;
  gap: ${theme.space.half};
  border-top: 1px solid ${theme.color.rule};
  & > button:first-child {
    flex: 1;
    min-width: 0;
    text-align: left;
    justify-content: flex-start;
  }
`;

/** All text of the publication, story by story; what runs through no frame waits to be placed. */
export function StorySection({
  publication,
  page,
  search,
}: {
  publication: Publication;
  page: PageEntry;
  /** What the text is to hold; empty for all. */
  search: string;
}) {
  const steps = useSteps(publication);
  const status = useStatus();
  const { write, reveal } = useBench();
  const [open, setOpen] = useState(false);
  const found = useStories(publication, search, open || search.length > 1);
  const begin = () => {
    const look =
      publication.looks.find((each) => each.look.role === "BODY") ?? publication.looks[0];
    if (!look) {
      return;
    }
    const story = crypto.randomUUID();
    void steps
      .stored(
        () => ({ type: "addStory", story, paragraph: crypto.randomUUID(), look: look.look.id }),
        "Story begun; it waits to be placed",
      )
      .then((stored) => stored && write(story));
  };
  useCommands([
    {
      label: "New story without a frame",
      run: () => {
        reveal("catalogue");
        setOpen(true);
        begin();
      },
    },
  ]);
  const place = async (story: string) => {
    try {
      const offer = await roomFor(publication, story, page.id);
      await steps.stored(offer.edit, offer.label);
    } catch (error) {
      status.fail(messageOf(error));
    }
  };
  const stories = found.data?.stories ?? [];
  if (search !== "" && stories.length === 0) {
    return null;
  }
  return (
    <Section
      title="Stories"
      note={found.data ? storiesInWords(found.data) : ""}
      action={
        <QuietButton aria-label="New story" onPress={begin}>
          <Plus size={16} aria-hidden />
        </QuietButton>
      }
    >
      {!open && search === "" ? (
        <Button onPress={() => setOpen(true)}>Show all stories</Button>
      ) : (
        stories.map((story) => (
          <Line key={story.id}>
            <QuietButton onPress={() => write(story.id)}>
              <Name>
                {story.begins || "Empty"}
                <Values>
                  {counted(story.words, "word", "words")}
                  {story.frames > 1 && `, ${story.frames} frames`}
                </Values>
              </Name>
            </QuietButton>
            {story.frames > 0 ? (
              <Quiet>{story.where}</Quiet>
            ) : (
              <>
                <Button onPress={() => void place(story.id)}>Place on this page</Button>
                <QuietButton
                  aria-label={`Remove the story ${story.begins || "without words"}`}
                  onPress={() =>
                    steps.make({ type: "removeStory", story: story.id }, "Story removed")
                  }
                >
                  <X size={15} aria-hidden />
                </QuietButton>
              </>
            )}
          </Line>
        ))
      )}
      {found.data && found.data.all > stories.length && (
        <Quiet>
          {stories.length} of {found.data.all}; search for words to find the others.
        </Quiet>
      )}
    </Section>
  );
}

function storiesInWords({ all, waiting }: { all: number; waiting: number }): string {
  return waiting === 0 ? String(all) : `${all}, ${waiting} to be placed`;
}
