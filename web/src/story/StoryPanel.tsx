import { Copy, CornerLeftUp, Hash, Link, PaintBucket, SlidersHorizontal, X } from "lucide-react";
import type { Node } from "prosemirror-model";
import { EditorState, type Command } from "prosemirror-state";
import { EditorView } from "prosemirror-view";
import "prosemirror-view/style/prosemirror.css";
import { useCallback, useEffect, useRef, useState } from "react";
import styled from "styled-components";
import { useSteps } from "../api/steps";
import { fields } from "../api/fields";
import { useFlow, useStory } from "../api/story";
import type { Edit, Publication, Story } from "../api/types";
import { useTrying } from "../api/trying";
import { useBench } from "../bench/BenchState";
import { theme } from "../theme";
import { afterLists } from "../ui/afterLists";
import { useArea } from "../ui/useArea";
import { Button, QuietButton } from "../ui/Button";
import { Choice, ChoiceMenu } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { useCommands } from "../ui/commands";
import { Failed } from "../ui/Notice";
import { useStatus } from "../ui/Status";
import { counted } from "../ui/words";
import { chosenIn, ofLook } from "./chosen";
import { MakeRoom } from "./MakeRoom";
import { nextLook } from "./nextLook";
import { cleaned, pasteParser, pasteReport } from "./paste";
import {
  aroundChosen,
  characterStyles,
  colors,
  dress,
  endIn,
  endOfRoom,
  keys,
  listMarks,
  localDifferences,
  lookNames,
  paint,
  placeAt,
  tab,
  tellEnd,
  uniqueIds,
  wear,
  type TextPlace,
  putIn,
} from "./plugins";
import { give, pickedFrom } from "./picked";
import { GroundBar } from "./GroundBar";
import { clear, localIn, type Local } from "./local";
import { LocalBar } from "./LocalBar";
import { groundedIn, type Grounded } from "./grounded";
import { PickedLook } from "./PickedLook";
import { caretAsSeen } from "./caretAsSeen";
import { StorySync } from "./StorySync";
import { allWritten, asWritten, docOf, schema } from "./text";
import { useCaret } from "./useCaret";
import { useTaking } from "./useTaking";
import { commandsOf, wordsIn } from "./words";
import { WordsDialog, type Words } from "./WordsDialog";

const Panel = styled.section`
  flex: 1 1 0;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
  background: ${theme.color.paper};
  border-left: 1px solid ${theme.color.rule};
`;

const Head = styled.header`
  flex: none;
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.half} ${theme.space.one};
  padding: ${theme.space.half} ${theme.space.one} ${theme.space.one};
  border-bottom: 1px solid ${theme.color.rule};
  & > .choice {
    flex: 1 1 120px;
    min-width: 0;
  }
`;

const Title = styled.div`
  flex: 1 0 100%;
  min-height: ${theme.hit};
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  & h2 {
    margin: 0;
    font-size: ${theme.size.body};
    white-space: nowrap;
  }
  & span {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font-size: ${theme.size.small};
    color: ${theme.color.quiet};
  }
`;

const Text = styled.div`
  flex: 1;
  min-height: 0;
  overflow: auto;
  & .ProseMirror {
    min-height: 100%;
    padding: ${theme.space.one} ${theme.space.two} ${theme.space.four} 96px;
    line-height: 1.45;
    outline-offset: -2px;
  }
  & .ProseMirror p {
    position: relative;
    margin: 0 0 8px;
  }
  & .ProseMirror p[data-name]::before {
    content: attr(data-name);
    position: absolute;
    right: calc(100% + 12px);
    top: 0.2em;
    width: 76px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    text-align: right;
    font-size: ${theme.size.small};
    font-weight: 400;
    line-height: 1.3;
    color: ${theme.color.quiet};
  }
  & .ProseMirror p.differs {
    margin-left: -8px;
    padding-left: 6px;
    border-left: 2px dashed ${theme.color.edge};
  }
  & .ProseMirror span.differs {
    border-bottom: 1px dashed;
  }
  & .ProseMirror ::selection {
    background: transparent;
    color: inherit;
  }
  & .ProseMirror .chosen {
    box-shadow:
      0 -2px 0 ${theme.color.text},
      0 2px 0 ${theme.color.text};
  }
  & .ProseMirror [data-field] {
    padding: 0 4px;
    font-size: 12px;
    font-style: normal;
    font-weight: 400;
    color: ${theme.color.text};
    background: ${theme.color.ground};
    border: 1px solid ${theme.color.edge};
    border-radius: 3px;
    white-space: nowrap;
    &.ProseMirror-selectednode {
      outline: 2px solid ${theme.color.active};
    }
  }
  & .ProseMirror [data-link] {
    text-decoration: underline;
    text-decoration-thickness: 1px;
    text-underline-offset: 3px;
    color: ${theme.color.active};
  }
  & .ProseMirror [data-language] {
    border-bottom: 1px dotted ${theme.color.quiet};
  }
  & .listMark {
    color: ${theme.color.quiet};
    user-select: none;
  }
  & .endOfRoom {
    display: block;
    margin: 4px 0;
    padding: 2px 0;
    border-top: 2px solid ${theme.color.fail};
    font-size: ${theme.size.small};
    font-weight: 400;
    color: ${theme.color.fail};
    user-select: none;
  }
`;

/** Where a story is written, beside the page that it is read on. */
export function StoryPanel({
  publication,
  story: id,
}: {
  publication: Publication;
  story: string;
}) {
  const { write } = useBench();
  const story = useStory(publication, id);
  const panel = useRef<HTMLElement>(null);
  const panelProps = useArea(panel, "region", "Text");
  return (
    <Panel ref={panel} {...panelProps}>
      {story.data && story.data.id === id ? (
        <Writing
          key={id}
          publication={publication}
          story={story.data}
          old={story.isPlaceholderData}
        />
      ) : (
        <Head>
          <Title>
            <h2>Text</h2>
            <span role="status">
              {story.isError ? (
                <>
                  <Failed>Not read.</Failed> {story.error.message}
                </>
              ) : (
                "Reading…"
              )}
            </span>
            <QuietButton aria-label="Close the text" onPress={() => write(undefined)}>
              <X size={16} aria-hidden />
            </QuietButton>
          </Title>
        </Head>
      )}
    </Panel>
  );
}

function Writing({
  publication,
  story,
  old,
}: {
  publication: Publication;
  story: Story;
  /** Whether it is of an earlier revision. */
  old: boolean;
}) {
  const { write } = useBench();
  const { tryOut, settle } = useTrying();
  const steps = useSteps(publication);
  const status = useStatus();
  const flow = useFlow(publication, story.id);
  const place = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView>(null);
  const [chosen, setChosen] = useState({
    look: "",
    characters: ofLook,
    swatch: ofLook,
    empty: true,
  });
  const [busy, setBusy] = useState(false);
  const [words, setWords] = useState<Words>();
  const [grounded, setGrounded] = useState<Grounded>();
  const [differing, setDiffering] = useState<Local>();
  const apply = useCallback((command: Command) => {
    if (view.current) {
      command(view.current.state, view.current.dispatch);
    }
  }, []);
  const act = useCallback(
    (command: Command) => {
      apply(command);
      afterLists(() => view.current?.focus());
    },
    [apply],
  );
  const { picked, setPicked, carried, setCarried } = useBench().giving;
  const pick = () => setPicked(view.current ? pickedFrom(view.current.state) : undefined);
  const giveIt = () => {
    if (picked) {
      act(give(picked, carried));
    }
  };
  const latest = useRef({
    publication,
    steps,
    tryOut,
    settle,
    write,
    status,
    rest: 0,
    marks: {},
    pick,
    giveIt,
  });
  const rest = flow.data?.rest;
  const parts = flow.data?.parts;
  const [at, setAt] = useState<TextPlace>();
  useEffect(() => {
    latest.current = {
      publication,
      steps,
      tryOut,
      settle,
      write,
      status,
      rest: rest?.words ?? 0,
      marks: flow.data?.marks ?? {},
      pick,
      giveIt,
    };
  });

  const sync = useRef<StorySync>(null);
  const begin = useRef(story);
  useEffect(() => {
    const element = place.current;
    if (!element) {
      return;
    }
    const looks = () => latest.current.publication.looks.map((each) => each.look);
    const characters = () => latest.current.publication.characterLooks.map(({ look }) => look);
    const first = begin.current.paragraphs.map(asWritten);
    const same = new StorySync({
      story: begin.current.id,
      read: () => view.current,
      store: (edit) => latest.current.steps.stored(edit, "Text stored"),
      tryOut: (edit) => latest.current.tryOut(edit, true),
      settle: (stored) => latest.current.settle(stored),
      onBusy: setBusy,
    });
    same.begin(first);
    sync.current = same;
    const step = (act: () => void) => () => {
      // a step that is on its way goes first, however long it takes
      void same.commit().then(act);
    };
    const made = new EditorView(element, {
      state: EditorState.create({
        doc: docOf(first),
        schema,
        plugins: [
          ...keys(
            () => looks().map(({ id }) => id),
            (emphasis) => characters().find((each) => each.emphasis === emphasis)?.id,
            (look) => nextLook(latest.current.publication, look),
            step(() => latest.current.steps.undo()),
            step(() => latest.current.steps.redo()),
            () => latest.current.write(undefined),
            () => latest.current.pick(),
            () => latest.current.giveIt(),
          ),
          uniqueIds(
            () => crypto.randomUUID(),
            () => looks()[0]?.id ?? "",
          ),
          lookNames(
            () =>
              new Map(
                looks().map(({ id, name, size, weight, italic }) => [
                  id,
                  { name, size: Number.parseFloat(size), weight, italic },
                ]),
              ),
          ),
          characterStyles(characters),
          aroundChosen(),
          listMarks(() => latest.current.marks),
          localDifferences(),
          colors(
            (swatch) => latest.current.publication.swatches.find(({ id }) => id === swatch)?.screen,
          ),
          endOfRoom(() => `No room from here: ${counted(latest.current.rest, "word", "words")}`),
        ],
      }),
      attributes: {
        "aria-label": "Text of the story",
        role: "textbox",
        "aria-multiline": "true",
        tabindex: "0",
      },
      dispatchTransaction: (change) => {
        made.updateState(made.state.apply(change));
        if (change.docChanged && !change.getMeta("server")) {
          same.typed();
        }
        if (change.docChanged || change.selectionSet || change.storedMarksSet) {
          setChosen(chosenIn(made.state));
          setDiffering((open) => open && localIn(made.state));
          setAt(placeAt(made.state));
        }
      },
      clipboardParser: pasteParser(looks, characters),
      transformPastedText: cleaned,
      transformPastedHTML: cleaned,
      handlePaste: (_, event) => {
        const held = event.clipboardData;
        const told =
          held &&
          pasteReport(held.getData("text/html"), held.getData("text/plain"), looks(), characters());
        if (told) {
          latest.current.status.say(told);
        }
        return false;
      },
      handleKeyDown: (_, event) => {
        // the keys of the page are not meant while one writes
        event.stopPropagation();
        return false;
      },
      handleDOMEvents: {
        keydown: (view) => {
          caretAsSeen(view);
          return false;
        },
        beforeinput: (_, event) => {
          const back = event.inputType === "historyUndo";
          if (back || event.inputType === "historyRedo") {
            event.preventDefault();
            step(() => (back ? latest.current.steps.undo() : latest.current.steps.redo()))();
            return true;
          }
          return false;
        },
        compositionend: () => {
          same.typed();
          return false;
        },
        blur: () => {
          void same.commit();
          return false;
        },
      },
    });
    view.current = made;
    made.focus();
    setChosen(chosenIn(made.state));
    const leaving = () => void same.commit();
    const closing = (event: BeforeUnloadEvent) => {
      if (same.waits()) {
        event.preventDefault();
      }
    };
    window.addEventListener("pagehide", leaving);
    window.addEventListener("beforeunload", closing);
    return () => {
      window.removeEventListener("pagehide", leaving);
      window.removeEventListener("beforeunload", closing);
      same.end();
      sync.current = null;
      view.current = null;
      made.destroy();
    };
  }, []);

  useEffect(() => {
    if (!old) {
      if (view.current) {
        caretAsSeen(view.current);
      }
      sync.current?.receive(story.paragraphs.map(asWritten), story.revision);
    }
  }, [story, old, busy]);

  useCaret(publication, story, at, parts);
  const restParagraph = rest?.begin.paragraph;
  const restCharacter = rest?.begin.character;
  useEffect(() => {
    const at: TextPlace | undefined =
      restParagraph !== undefined && restCharacter !== undefined
        ? { paragraph: restParagraph, character: restCharacter }
        : undefined;
    const made = view.current;
    if (made && !made.composing && (at ?? endIn(made.state))) {
      caretAsSeen(made);
      made.dispatch(tellEnd(made.state, at));
    }
  }, [restParagraph, restCharacter, rest?.words]);

  const marksKnown = JSON.stringify(flow.data?.marks ?? {});
  useEffect(() => {
    const made = view.current;
    if (made && !made.composing) {
      caretAsSeen(made);
      made.dispatch(made.state.tr.setMeta("server", true));
    }
  }, [marksKnown]);

  /** The text loses its differences only where the look gets them. */
  const take = async (into: Edit, command: Command) => {
    await sync.current?.commit();
    const state = view.current?.state;
    let cleared: Node | undefined;
    if (state) {
      command(state, (change) => (cleared = change.doc));
    }
    const typed = cleared && sync.current?.writing(allWritten(cleared));
    await steps.stored(
      () => (typed ? { type: "several", edits: [into, typed] } : into),
      "The look has this now, wherever it is worn",
    );
  };
  const { taking, takeIn } = useTaking(
    publication,
    chosen,
    () => sync.current?.commit(),
    () => act(paint(undefined)),
  );

  const looks = publication.looks.map(({ look }) => ({ id: look.id, label: look.name }));
  const characterLooks = publication.characterLooks.map(({ look }) => ({
    id: look.id,
    label: look.name,
    keys: look.emphasis && { STRONG: "Ctrl + B", EMPHASIS: "Ctrl + I" }[look.emphasis],
  }));
  useCommands([
    ...characterLooks.map(({ id, label, keys }) => ({
      label: `Look of the chosen words: ${label}`,
      ...(keys ? { keys } : {}),
      run: () => act(dress(id)),
    })),
    { label: "Look of the chosen words: as the paragraph", run: () => act(dress(undefined)) },
    ...looks.map(({ id, label }, i) => ({
      label: `Look of the chosen text: ${label}`,
      ...(i < 9 ? { keys: `Shift + Alt + ${i + 1}` } : {}),
      run: () => act(wear(id)),
    })),
    {
      label: "Set the chosen text otherwise than its look",
      run: () => setDiffering(view.current ? localIn(view.current.state) : undefined),
    },
    { label: "Clear local differences of the chosen text", run: () => act(clear) },
    {
      label: "Put a ground behind the text",
      run: () => setGrounded(view.current ? groundedIn(view.current.state) : undefined),
    },
    ...fields.map(({ id, label }) => ({
      label: `Put in: ${label.toLowerCase()}`,
      run: () => act(putIn(id)),
    })),
    { label: "Put in a tab", keys: "Shift + Alt + T", run: () => act(tab) },
    { label: "Pick up the look of the text", keys: "Shift + Alt + P", run: pick },
    ...(picked
      ? [{ label: "Give the look that was picked up", keys: "Shift + Alt + G", run: giveIt }]
      : []),
    { label: "Close the text", keys: "Escape", run: () => write(undefined) },
  ]);

  return (
    <>
      <Head>
        <Title>
          <h2>Text</h2>
          <span role="status">{busy ? "Storing…" : whereInWords(parts ?? [])}</span>
          <QuietButton aria-label="Close the text" onPress={() => write(undefined)}>
            <X size={16} aria-hidden />
          </QuietButton>
        </Title>
        <div className="choice">
          <Choice
            label="Look"
            options={looks}
            value={chosen.look || undefined}
            placeholder="differs"
            onTry={(look) => {
              const paragraphs = view.current ? groundedIn(view.current.state)?.paragraphs : [];
              tryOut(
                look === undefined || !paragraphs
                  ? undefined
                  : { type: "wearLook", story: story.id, paragraphs, look },
              );
            }}
            onChange={(look) => act(wear(look))}
          />
        </div>
        <div className="choice">
          <Choice
            label="Look of the words"
            options={[{ id: ofLook, label: "As the look" }, ...characterLooks]}
            value={chosen.characters || undefined}
            placeholder="differs"
            onChange={(look) => act(dress(look === ofLook ? undefined : look))}
          />
        </div>
        <div className="choice">
          <Choice
            label="Colour of the words"
            options={[{ id: ofLook, label: "As the look" }, ...swatchOptions(publication, true)]}
            value={chosen.swatch || undefined}
            placeholder="differs"
            isDisabled={chosen.empty}
            onChange={(swatch) => act(paint(swatch === ofLook ? undefined : { swatch, tint: 100 }))}
          />
        </div>
        {taking && (
          <Button onPress={() => void takeIn()}>
            <CornerLeftUp size={15} aria-hidden />
            Take the colour into “{taking.name}”
          </Button>
        )}
        <Button
          onPress={() => {
            void sync.current?.commit();
            setWords(wordsIn(view.current?.state, flow.data?.marks ?? {}));
          }}
        >
          <Link size={15} aria-hidden />
          Link, language…
        </Button>
        <ChoiceMenu
          label="What to put in"
          trigger={
            <Button>
              <Hash size={15} aria-hidden />
              Page number…
            </Button>
          }
          options={fields.map(({ id, label }) => ({ id, label }))}
          onChoose={(kind) => act(putIn(kind))}
        />
        <Button
          onPress={() => setGrounded(view.current ? groundedIn(view.current.state) : undefined)}
        >
          <PaintBucket size={15} aria-hidden />
          Ground…
        </Button>
        <Button
          aria-label="Local differences…"
          onPress={() => setDiffering(view.current ? localIn(view.current.state) : undefined)}
        >
          <SlidersHorizontal size={15} aria-hidden />
          Local…
        </Button>
        {!picked && (
          <Button onPress={pick}>
            <Copy size={15} aria-hidden />
            Pick up the look
          </Button>
        )}
        {differing && (
          <LocalBar
            publication={publication}
            local={differing}
            act={apply}
            take={(into, command) => void take(into, command)}
            onClose={() => {
              setDiffering(undefined);
              afterLists(() => view.current?.focus());
            }}
          />
        )}
        {grounded && (
          <GroundBar
            publication={publication}
            story={story}
            chosen={grounded}
            before={() => sync.current?.commit()}
            wearing={(look, made) => {
              const state = view.current?.state;
              let dressed: Node | undefined;
              if (state) {
                dress(look)(state, (change) => (dressed = change.doc));
              }
              const typed = dressed && sync.current?.writing(allWritten(dressed));
              return typed ? { type: "several", edits: [made, typed] } : made;
            }}
            onLook={async (look, made) => {
              act(dress(look));
              await sync.current?.commit(made);
            }}
            onClose={() => {
              setGrounded(undefined);
              afterLists(() => view.current?.focus());
            }}
          />
        )}
        {picked && (
          <PickedLook
            publication={publication}
            picked={picked}
            how="Choose other text, or click it on the page, then give it:"
            carried={carried}
            onCarried={setCarried}
            onGive={giveIt}
            onPutDown={() => setPicked(undefined)}
          />
        )}
        {rest && (
          <MakeRoom
            publication={publication}
            story={story.id}
            before={() => sync.current?.commit()}
          />
        )}
      </Head>
      <Text ref={place} lang="en" />
      {words && (
        <WordsDialog
          publication={publication}
          words={words}
          storyLanguage={story.language}
          onGive={(given) => {
            for (const command of commandsOf(given)) {
              act(command);
            }
          }}
          onStoryLanguage={(language) =>
            steps.make(
              { type: "setStoryLanguage", story: story.id, ...(language ? { language } : {}) },
              "Language of the text set",
            )
          }
          onClose={() => {
            setWords(undefined);
            afterLists(() => view.current?.focus());
          }}
        />
      )}
    </>
  );
}

function whereInWords(parts: { where: string }[]): string {
  const [first] = parts;
  const last = parts.at(-1);
  if (!first || !last) {
    return "in no frame yet";
  }
  return first.where === last.where
    ? `${parts.length === 1 ? "" : `${parts.length} frames `}on ${first.where}`
    : `${parts.length} frames, ${first.where} to ${last.where}`;
}
