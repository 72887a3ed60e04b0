import { Plus, Trash2 } from "lucide-react";
import styled from "styled-components";
import { useSteps } from "../api/queries";
import { useChanges } from "../api/useChanges";
import type { Owner, Publication, TextFrame } from "../api/types";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { trimOf } from "../publication/sizes";
import { sideOptions } from "./BackgroundEditor";

const ParagraphBox = styled.fieldset`
  margin: 0;
  padding: ${theme.space.one} 0 0;
  border: 0;
  border-top: 1px solid ${theme.color.rule};
  min-width: 0;
  display: flex;
  flex-direction: column;
  gap: ${theme.space.half};
  & legend {
    padding: 0;
    float: left;
    font-size: ${theme.size.small};
    color: ${theme.color.quiet};
  }
`;

type Paragraph = TextFrame["paragraphs"][number];

const textOf = (paragraph: Paragraph) => paragraph.runs.map((run) => run.text).join("");

/** The look of a paragraph that is begun after one of this look. */
function nextLook(publication: Publication, look = ""): string {
  return publication.looks.find((each) => each.look.id === look)?.look.next ?? look;
}

/** Place and text of a frame. Each paragraph has a field; a line break in it begins a new one. */
export function FrameEditor({
  publication,
  owner,
  frame,
}: {
  publication: Publication;
  owner: Owner;
  frame: TextFrame;
}) {
  const steps = useSteps(publication);
  const { unit } = publication.setup;
  const trim = trimOf(publication, owner);
  const looks = publication.looks.map(({ look }) => ({ id: look.id, label: look.name }));

  const [placed, become] = useChanges(
    publication,
    frame.id,
    { sides: frame.sides, box: frame.box },
    ({ was, made }) => ({ type: "placeFrame", frame: frame.id, ...made, was }),
    "Frame placed",
  );
  const { box } = placed;
  /** On left pages it stands mirrored, so that it lies as far from the spine on both hands. */
  const mirrored = owner.type === "onParent" && publication.setup.facing && placed.sides === "BOTH";
  const place = (changes: Partial<TextFrame["box"]>, sides = placed.sides) =>
    become({ sides, box: { ...box, ...changes } });
  const [written, write] = useChanges(
    publication,
    frame.id,
    frame.paragraphs.map((paragraph) => ({
      paragraph: paragraph.id,
      look: paragraph.look,
      text: textOf(paragraph),
    })),
    ({ was, made }) => ({ type: "writeText", frame: frame.id, paragraphs: made, was }),
    "Text stored",
  );

  const typed = (index: number, text: string) => {
    const old = written[index];
    if (old) {
      const [first = "", ...more] = text.split(/\r?\n/);
      const begun = [{ ...old, text: first }];
      for (const line of more) {
        begun.push({
          paragraph: crypto.randomUUID(),
          look: nextLook(publication, begun.at(-1)?.look),
          text: line,
        });
      }
      return write([...written.slice(0, index), ...begun, ...written.slice(index + 1)]);
    }
    return undefined;
  };

  return (
    <Stack>
      <Row $columns="repeat(2, minmax(0, 1fr))">
        <LengthField
          label={mirrored ? "From the inside" : "From the left"}
          unit={unit}
          of={trim.width}
          value={box.x}
          onCommit={(x) => place({ x })}
        />
        <LengthField
          label="From the top"
          unit={unit}
          of={trim.height}
          value={box.y}
          onCommit={(y) => place({ y })}
        />
        <LengthField
          label="Width"
          unit={unit}
          of={trim.width}
          value={box.width}
          onCommit={(width) => place({ width })}
        />
        <LengthField
          label="Height"
          unit={unit}
          of={trim.height}
          value={box.height}
          onCommit={(height) => place({ height })}
        />
      </Row>
      {owner.type === "onParent" && publication.setup.facing && (
        <Choice
          label="Shows on"
          value={placed.sides}
          options={sideOptions}
          onChange={(id) => place({}, id as TextFrame["sides"])}
        />
      )}
      {written.map((paragraph, index) => (
        <ParagraphBox key={paragraph.paragraph}>
          <legend>Paragraph {index + 1}</legend>
          <Row $columns="minmax(0, 1fr) auto">
            <Choice
              label={`Look of paragraph ${index + 1}`}
              hiddenLabel
              value={paragraph.look}
              options={looks}
              onChange={(look) =>
                write(written.map((each, i) => (i === index ? { ...each, look } : each)))
              }
            />
            <QuietButton
              aria-label={`Remove paragraph ${index + 1}`}
              isDisabled={written.length === 1}
              onPress={() => void write(written.filter((_, i) => i !== index))}
            >
              <Trash2 size={15} aria-hidden />
            </QuietButton>
          </Row>
          <Field
            label={`Text of paragraph ${index + 1}`}
            hiddenLabel
            multiline
            rows={paragraph.text.length > 80 ? 6 : 2}
            value={paragraph.text}
            onCommit={(text) => typed(index, text)}
          />
        </ParagraphBox>
      ))}
      <Row $columns="auto auto 1fr">
        <Button
          onPress={() =>
            void write([
              ...written,
              {
                paragraph: crypto.randomUUID(),
                look: nextLook(publication, written.at(-1)?.look),
                text: "",
              },
            ])
          }
        >
          <Plus size={15} aria-hidden />
          Paragraph
        </Button>
        <Button
          onPress={() => steps.make({ type: "removeFrame", frame: frame.id }, "Frame removed")}
        >
          <Trash2 size={15} aria-hidden />
          Remove frame
        </Button>
      </Row>
    </Stack>
  );
}
