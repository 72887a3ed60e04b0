import { useOptions } from "../api/queries";
import type { Look } from "../api/types";
import { Choice } from "../ui/Choice";
import { Row, Wide } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { Tick } from "../ui/Tick";

type Setting = Look["setting"];

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
  const { hyphenation, ...others } = setting;
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
          label="Hyphenation"
          value={hyphenation ?? none}
          options={[
            { id: none, label: "None" },
            ...languages.map(({ id, name }) => ({ id, label: name })),
          ]}
          onChange={(id) => {
            const language = languages.find((each) => each.id === id)?.id;
            void onChange(language ? { ...others, hyphenation: language } : others);
          }}
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
