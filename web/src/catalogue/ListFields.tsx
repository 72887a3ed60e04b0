import type { Look, Publication } from "../api/types";
import { Choice } from "../ui/Choice";
import { Field, Row, Stack } from "../ui/Field";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";

type ListMark = NonNullable<Look["list"]>;
type Numbered = Extract<ListMark["mark"], { type: "numbered" }>;

const none = "NONE";

const marks = [
  { id: none, label: "None" },
  { id: "bullet", label: "A sign" },
  { id: "numbered", label: "Numbers" },
];

const styles: { id: Numbered["style"]; label: string }[] = [
  { id: "FIGURES", label: "1, 2, 3" },
  { id: "LOWER_LETTERS", label: "a, b, c" },
  { id: "UPPER_LETTERS", label: "A, B, C" },
  { id: "LOWER_ROMAN", label: "i, ii, iii" },
  { id: "UPPER_ROMAN", label: "I, II, III" },
];

const begun: Record<string, ListMark["mark"]> = {
  bullet: { type: "bullet", text: "•" },
  numbered: {
    type: "numbered",
    style: "FIGURES",
    before: "",
    after: ".",
    higher: false,
    onward: false,
  },
};

/** What stands before each paragraph of a look. */
export function ListFields({
  publication,
  list,
  onChange,
}: {
  publication: Publication;
  list: ListMark | undefined;
  onChange: (list: ListMark | undefined) => unknown;
}) {
  const mark = list?.mark;
  const put = (changed: Partial<ListMark>) => list && onChange({ ...list, ...changed });
  return (
    <Stack>
      <Choice
        label="Before each paragraph"
        value={mark?.type ?? none}
        options={marks}
        onChange={(id) => {
          const made = begun[id];
          void onChange(made ? { level: 1, ...list, mark: made } : undefined);
        }}
      />
      {list && mark && (
        <>
          <Row>
            {mark.type === "bullet" ? (
              <Field
                label="Sign"
                value={mark.text}
                onCommit={(text) => put({ mark: { ...mark, text } })}
              />
            ) : (
              <>
                <Choice
                  label="Numbers"
                  value={mark.style}
                  options={styles}
                  onChange={(id) => void put({ mark: { ...mark, style: id as Numbered["style"] } })}
                />
                <Field
                  label="Before"
                  value={mark.before}
                  onCommit={(before) => put({ mark: { ...mark, before } })}
                />
                <Field
                  label="After"
                  value={mark.after}
                  onCommit={(after) => put({ mark: { ...mark, after } })}
                />
              </>
            )}
            <NumberField
              label="Level"
              value={list.level}
              onCommit={(level) => put({ level: Math.round(level) })}
            />
          </Row>
          <Choice
            label="Look of the mark"
            value={list.look ?? none}
            options={[
              { id: none, label: "As the text" },
              ...publication.characterLooks.map(({ look }) => ({ id: look.id, label: look.name })),
            ]}
            onChange={(id) => {
              const others = { ...list };
              delete others.look;
              void onChange(id === none ? others : { ...others, look: id });
            }}
          />
          {mark.type === "numbered" && (
            <>
              <Tick
                label="With the number of the level above, as 2.1"
                checked={mark.higher}
                onChange={(higher) => void put({ mark: { ...mark, higher } })}
              />
              <Tick
                label="Continue the numbers after other paragraphs, as headings do"
                checked={mark.onward}
                onChange={(onward) => void put({ mark: { ...mark, onward } })}
              />
            </>
          )}
        </>
      )}
    </Stack>
  );
}
