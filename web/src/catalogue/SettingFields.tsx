import { useOptions } from "../api/queries";
import type { Look } from "../api/types";
import { Choice } from "../ui/Choice";
import { Row, Wide } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";

type Setting = Look["setting"];
type Letters = Setting["letters"];

const begins = [
  { id: "ANYWHERE", label: "After the previous paragraph" },
  { id: "COLUMN", label: "In the next column" },
  { id: "FRAME", label: "In the next frame" },
];

export const alignments = [
  { id: "LEFT", label: "Left" },
  { id: "CENTER", label: "Centred" },
  { id: "RIGHT", label: "Right" },
  { id: "JUSTIFIED", label: "Justified" },
  { id: "TOWARD_SPINE", label: "Toward the spine" },
  { id: "AWAY_FROM_SPINE", label: "Away from the spine" },
];

export const capitals = [
  { id: "AS_TYPED", label: "As typed" },
  { id: "ALL", label: "All capitals" },
  { id: "SMALL", label: "Small capitals" },
];

export const figures = [
  { id: "AS_FACE", label: "As the font has them" },
  { id: "LINING", label: "Lining" },
  { id: "LINING_TABLE", label: "Lining, for tables" },
  { id: "OLD_STYLE", label: "Old-style" },
  { id: "OLD_STYLE_TABLE", label: "Old-style, for tables" },
];

const none = "NONE";

/** How the lines of a look's paragraphs are set. */
export function SettingFields({
  look,
  onChange,
}: {
  look: Look;
  onChange: (setting: Setting) => Promise<boolean>;
}) {
  const { setting } = look;
  const languages = useOptions().data?.languages ?? [];
  const { language, ...others } = setting;
  const { keeps } = setting;
  const change = (changed: Partial<Setting>) => onChange({ ...setting, ...changed });
  const length = (label: string, key: "after" | "first" | "left" | "right") => (
    <LengthField
      label={label}
      unit="PT"
      of={look.size}
      value={setting[key]}
      onCommit={(value) => change({ [key]: value })}
    />
  );
  return (
    <Row>
      {length("Space below", "after")}
      {length("Indent first line", "first")}
      {length("Indent left", "left")}
      {length("Indent right", "right")}
      <NumberField
        label="Tracking ‰"
        value={setting.tracking}
        onCommit={(tracking) => change({ tracking })}
      />
      <Wide>
        <Choice
          label="Capitals"
          value={setting.letters.capitals}
          options={capitals}
          onChange={(id) =>
            change({ letters: { ...setting.letters, capitals: id as Letters["capitals"] } })
          }
        />
        <Choice
          label="Figures"
          value={setting.letters.figures}
          options={figures}
          onChange={(id) =>
            change({ letters: { ...setting.letters, figures: id as Letters["figures"] } })
          }
        />
        <Lacking family={look.family} letters={setting.letters} />
        <Choice
          label="Language"
          value={language ?? none}
          options={[
            { id: none, label: "As the story" },
            ...languages.map(({ id, name }) => ({ id, label: name })),
          ]}
          onChange={(id) => {
            const chosen = languages.find((each) => each.id === id)?.id;
            void onChange(chosen ? { ...others, language: chosen } : others);
          }}
        />
      </Wide>
      <Wide>
        <Tick
          label="Divide words at line ends"
          checked={setting.hyphenated}
          onChange={(hyphenated) => void change({ hyphenated })}
        />
      </Wide>
      <NumberField
        label="Lines kept, first"
        value={keeps.first}
        onCommit={(first) => change({ keeps: { ...keeps, first } })}
      />
      <NumberField
        label="Lines kept, last"
        value={keeps.last}
        onCommit={(last) => change({ keeps: { ...keeps, last } })}
      />
      <Wide>
        <Choice
          label="Begins"
          value={keeps.begin}
          options={begins}
          onChange={(id) => change({ keeps: { ...keeps, begin: id as Setting["keeps"]["begin"] } })}
        />
        <Tick
          label="Keep in one piece"
          checked={keeps.together}
          onChange={(together) => void change({ keeps: { ...keeps, together } })}
        />
        <Tick
          label="Keep with the next one"
          checked={keeps.withNext}
          onChange={(withNext) => void change({ keeps: { ...keeps, withNext } })}
        />
      </Wide>
      {look.alignment === "JUSTIFIED" && (
        <>
          <NumberField
            label="Spaces from %"
            value={setting.spaces.least}
            onCommit={(least) => change({ spaces: { ...setting.spaces, least } })}
          />
          <NumberField
            label="Spaces to %"
            value={setting.spaces.most}
            onCommit={(most) => change({ spaces: { ...setting.spaces, most } })}
          />
        </>
      )}
    </Row>
  );
}

/** Says what a font does not have of what is asked for. */
export function Lacking({
  family,
  letters,
}: {
  family: string | undefined;
  letters: { capitals?: string | undefined; figures?: string | undefined };
}) {
  const font = useOptions().data?.families.find(({ name }) => name === family);
  if (!font) {
    return null;
  }
  const lacking = [
    ...(letters.capitals === "SMALL" && !font.smallCapitals ? ["small capitals"] : []),
    ...(letters.figures?.startsWith("OLD_STYLE") && !font.oldStyleFigures
      ? ["old-style figures"]
      : []),
  ];
  return lacking.length === 0 ? null : (
    <Quiet>
      {font.name} has no {lacking.join(" and no ")}; the letters stay as they are.
    </Quiet>
  );
}
