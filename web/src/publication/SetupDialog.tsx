import type { Publication, Setup } from "../api/types";
import { ownName, setOwnName } from "../api/news";
import { useChanges } from "../api/useChanges";
import { useOptions } from "../api/queries";
import { useSteps } from "../api/steps";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field, Row } from "../ui/Field";
import { Fold, Name, Quiet } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { Actions, Modal } from "../ui/Modal";
import { useStatus } from "../ui/Status";
import { Tick } from "../ui/Tick";
import { PressFields } from "./PressFields";
import { destinations } from "./viewings";

type Running = Setup["running"];

/** A day there is, as ISO 8601 has it. */
function isDate(text: string): boolean {
  return (
    /^\d{4}-\d{2}-\d{2}$/.test(text) && new Date(`${text}T00:00Z`).toJSON()?.slice(0, 10) === text
  );
}

/** Where this window is. */
function today(): string {
  return new Intl.DateTimeFormat("sv-SE").format(new Date());
}

const dateForms: { id: Running["form"]; label: string }[] = [
  { id: "LONG", label: "28 November 2026" },
  { id: "SHORT", label: "28.11.2026" },
  { id: "ISO", label: "2026-11-28" },
  { id: "MONTH", label: "November 2026" },
];

const three = "repeat(auto-fit, minmax(104px, 1fr))";

/** Name and setup; every field is stored as soon as it is left. */
export function SetupDialog({
  publication,
  onClose,
}: {
  publication: Publication;
  onClose: () => void;
}) {
  const steps = useSteps(publication);
  const [setup, become] = useChanges(
    publication,
    publication.id,
    publication.setup,
    ({ was, made }) => ({ type: "changeSetup", setup: made, was }),
    "Setup changed",
  );
  const { unit, checks, textChecks, running } = setup;
  const options = useOptions();
  const status = useStatus();
  const change = (changed: Partial<Setup>) => become({ ...setup, ...changed });
  const run = (changed: Partial<Running>) => change({ running: { ...running, ...changed } });
  const dated = (date: string) => {
    const others = { ...running };
    delete others.date;
    return change({ running: date === "" ? others : { ...others, date } });
  };
  const sizes = options.data?.sizes ?? [];
  const size = sizes.find(
    (each) => each.size.width === setup.trim.width && each.size.height === setup.trim.height,
  );

  return (
    <Modal title="Setup" isOpen onClose={onClose}>
      <Field
        label="Name of the publication"
        value={publication.name}
        onCommit={(name) => steps.stored({ type: "renamePublication", name })}
      />
      <Row $columns="minmax(0, 2fr) minmax(0, 1fr)">
        <Field
          label="Title of the document"
          value={setup.title ?? publication.name}
          onCommit={(title) => {
            const others = { ...setup };
            delete others.title;
            const own = title.trim() !== "" && title.trim() !== publication.name;
            return become(own ? { ...others, title } : others);
          }}
        />
        <Choice
          label="Language"
          value={setup.language}
          options={(options.data?.languages ?? []).map(({ id, name }) => ({ id, label: name }))}
          onChange={(id) => change({ language: id as Setup["language"] })}
        />
      </Row>
      <Row $columns="minmax(0, 1fr) minmax(0, 2fr)">
        <Choice
          label="Destination"
          value={setup.destination}
          options={destinations}
          onChange={(id) => change({ destination: id as Setup["destination"] })}
        />
        <Quiet>
          {setup.destination === "PAPER" &&
            "Every colour is mixed, shown and judged as the press condition prints it."}
          {setup.destination === "SCREEN" && "Colours are mixed, shown and judged in sRGB."}
          {setup.destination === "BOTH" &&
            "Judged in ink and in sRGB; the worse counts. The viewing shows either."}
        </Quiet>
      </Row>
      <Row $columns={three}>
        <Choice
          label="Trim size"
          value={size?.name}
          placeholder="Custom"
          options={sizes.map((each) => ({ id: each.name, label: each.name }))}
          onChange={(name) => {
            const chosen = sizes.find((each) => each.name === name);
            return chosen && change({ trim: chosen.size });
          }}
        />
        <LengthField
          label="Width"
          unit={unit}
          value={setup.trim.width}
          onCommit={(width) => change({ trim: { ...setup.trim, width } })}
        />
        <LengthField
          label="Height"
          unit={unit}
          value={setup.trim.height}
          onCommit={(height) => change({ trim: { ...setup.trim, height } })}
        />
      </Row>
      <Tick label="Facing pages" checked={setup.facing} onChange={(facing) => change({ facing })} />
      <Row $columns={three}>
        <LengthField
          label="Bleed, top"
          unit={unit}
          of={setup.trim.height}
          value={setup.bleed.top}
          onCommit={(top) => change({ bleed: { ...setup.bleed, top } })}
        />
        <LengthField
          label="Bleed, bottom"
          unit={unit}
          of={setup.trim.height}
          value={setup.bleed.bottom}
          onCommit={(bottom) => change({ bleed: { ...setup.bleed, bottom } })}
        />
        <LengthField
          label="Bleed, outside"
          unit={unit}
          of={setup.trim.width}
          value={setup.bleed.outside}
          onCommit={(outside) => change({ bleed: { ...setup.bleed, outside } })}
        />
        <LengthField
          label="Bleed, spine"
          unit={unit}
          of={setup.trim.width}
          value={setup.bleed.spine}
          onCommit={(spine) => change({ bleed: { ...setup.bleed, spine } })}
        />
      </Row>
      <Row $columns={three}>
        <LengthField
          label="Margin, top"
          unit={unit}
          of={setup.trim.height}
          value={setup.margins.top}
          onCommit={(top) => change({ margins: { ...setup.margins, top } })}
        />
        <LengthField
          label="Margin, bottom"
          unit={unit}
          of={setup.trim.height}
          value={setup.margins.bottom}
          onCommit={(bottom) => change({ margins: { ...setup.margins, bottom } })}
        />
        <LengthField
          label="Margin, inside"
          unit={unit}
          of={setup.trim.width}
          value={setup.margins.inside}
          onCommit={(inside) => change({ margins: { ...setup.margins, inside } })}
        />
        <LengthField
          label="Margin, outside"
          unit={unit}
          of={setup.trim.width}
          value={setup.margins.outside}
          onCommit={(outside) => change({ margins: { ...setup.margins, outside } })}
        />
      </Row>
      <Row $columns={three}>
        <LengthField
          label="Safe area, from trim"
          unit={unit}
          of={setup.trim.width}
          value={setup.safe}
          onCommit={(safe) => change({ safe })}
        />
        <Choice
          label="Unit"
          value={unit}
          options={[
            { id: "MM", label: "Millimetres" },
            { id: "PT", label: "Points" },
            { id: "IN", label: "Inches" },
          ]}
          onChange={(id) => change({ unit: id as Setup["unit"] })}
        />
        <Choice
          label="Contrast standard"
          value={setup.level}
          options={[
            { id: "AA", label: "WCAG 2.2, AA" },
            { id: "AAA", label: "WCAG 2.2, AAA" },
          ]}
          onChange={(id) => change({ level: id as Setup["level"] })}
        />
      </Row>
      <PressFields
        publication={publication}
        press={setup.press}
        onChange={(press) => change({ press })}
      />
      <Fold head={<Name>Running numbers and date</Name>}>
        <Row $columns="minmax(0, 1fr) minmax(0, 1fr)">
          <NumberField
            label="Digits of running numbers"
            value={running.digits}
            onCommit={(digits) => run({ digits })}
          />
          <NumberField
            label="The first number"
            value={running.start}
            onCommit={(start) => run({ start })}
          />
          <Field
            label="Date, as 2026-11-28"
            value={running.date ?? ""}
            onCommit={(typed) => {
              const date = typed.trim();
              if (date !== "" && !isDate(date)) {
                status.fail(`“${date}” is not a date; write it as 2026-11-28.`);
                return false;
              }
              return dated(date);
            }}
          />
          <Choice
            label="Written as"
            value={running.form}
            options={dateForms}
            onChange={(form) => run({ form: form as Running["form"] })}
          />
        </Row>
        <div>
          <Button onPress={() => void dated(today())}>Take today’s date</Button>
        </div>
        <Tick
          label="Running numbers begin again with each file"
          checked={running.restarts}
          onChange={(restarts) => run({ restarts })}
        />
      </Fold>
      <Fold head={<Name>A stricter rule for text</Name>}>
        <Row $columns={three}>
          <NumberField
            label="Normal text, at least"
            value={textChecks.normal}
            onCommit={(normal) => change({ textChecks: { ...textChecks, normal } })}
          />
          <NumberField
            label="Large text, at least"
            value={textChecks.large}
            onCommit={(large) => change({ textChecks: { ...textChecks, large } })}
          />
          <NumberField
            label="Left out of each letter, %"
            value={textChecks.leftOut}
            onCommit={(leftOut) => change({ textChecks: { ...textChecks, leftOut } })}
          />
        </Row>
        <Quiet>
          Contrast to 1; below what the standard asks for, that counts. Where many colours lie
          behind a letter, up to 5 % of it is left out, so that a stray pixel does not decide.
        </Quiet>
      </Fold>
      <Fold head={<Name>Limits of the press checks</Name>}>
        <Row $columns={three}>
          <LengthField
            label="Small type is under"
            unit="PT"
            value={checks.smallType}
            onCommit={(smallType) => change({ checks: { ...checks, smallType } })}
          />
          <NumberField
            label="Inks in it, at most"
            value={checks.smallTypeInks}
            onCommit={(inks) => change({ checks: { ...checks, smallTypeInks: Math.round(inks) } })}
          />
          <NumberField
            label="Inks behind it, fewer than"
            value={checks.reversedInks}
            onCommit={(inks) => change({ checks: { ...checks, reversedInks: Math.round(inks) } })}
          />
          <NumberField
            label="Plain black, at most cm²"
            value={checks.plainBlack}
            onCommit={(plainBlack) => change({ checks: { ...checks, plainBlack } })}
          />
        </Row>
        <Quiet>The usual limits are common practice: 9 pt, 1 ink, 3 inks, 50 cm².</Quiet>
      </Fold>
      <Row $columns="minmax(0, 1fr) minmax(0, 2fr)">
        <Field label="Your name" value={ownName()} onCommit={setOwnName} />
        <Quiet>
          Others who work on this see it when you change something. This browser keeps it.
        </Quiet>
      </Row>
      <Actions>
        <MainButton onPress={onClose}>Done</MainButton>
      </Actions>
    </Modal>
  );
}
