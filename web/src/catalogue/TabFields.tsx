import { Plus, X } from "lucide-react";
import styled from "styled-components";
import type { Look } from "../api/types";
import { Button, QuietButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Stack } from "../ui/Field";
import { LengthField } from "../ui/LengthField";
import { theme } from "../theme";

type TabStop = Look["setting"]["tabs"][number];

const sides = [
  { id: "LEFT", label: "Left" },
  { id: "CENTER", label: "Centred" },
  { id: "RIGHT", label: "Right" },
  { id: "DECIMAL", label: "Decimal" },
];

const Stop = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1.1fr) minmax(0, 0.8fr) auto;
  gap: ${theme.space.one};
  align-items: end;
`;

/** Where the tabs of a look lead. */
export function TabFields({
  look,
  onChange,
}: {
  look: Look;
  onChange: (tabs: TabStop[]) => unknown;
}) {
  const { tabs } = look.setting;
  const put = (i: number, stop: TabStop) =>
    onChange(tabs.map((each, at) => (at === i ? stop : each)));
  const next = tabs.flatMap(({ at }) => (at ? [Number.parseFloat(at)] : []));
  return (
    <Stack>
      {tabs.map((stop, i) => (
        <Stop key={i} role="group" aria-label={`Tab stop ${i + 1}`}>
          {stop.at === undefined ? (
            <Field
              label="At"
              value="line end"
              onCommit={(text) => {
                if (text.trim() === "" || text === "line end") {
                  return true;
                }
                return put(i, { ...stop, at: /[a-z"]\s*$/i.test(text) ? text : `${text} mm` });
              }}
            />
          ) : (
            <LengthField
              label="At"
              unit="MM"
              value={stop.at}
              onCommit={(at) => put(i, { ...stop, at })}
            />
          )}
          <Choice
            label="Text there"
            value={stop.side}
            options={sides}
            onChange={(id) => void put(i, { ...stop, side: id as TabStop["side"] })}
          />
          <Field
            label="Leader"
            value={stop.leader}
            onCommit={(leader) => put(i, { ...stop, leader })}
          />
          <QuietButton
            aria-label={`Remove tab stop ${i + 1}`}
            onPress={() => onChange(tabs.filter((_, at) => at !== i))}
          >
            <X size={15} aria-hidden />
          </QuietButton>
        </Stop>
      ))}
      <div>
        <Button
          onPress={() =>
            onChange([...tabs, { at: `${Math.max(0, ...next) + 20} mm`, side: "LEFT", leader: "" }])
          }
        >
          <Plus size={15} aria-hidden />
          Tab stop
        </Button>{" "}
        <Button onPress={() => onChange([...tabs, { side: "RIGHT", leader: ". " }])}>
          <Plus size={15} aria-hidden />
          At the line end
        </Button>
      </div>
    </Stack>
  );
}
