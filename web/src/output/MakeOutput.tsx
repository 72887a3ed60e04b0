import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { FileOutput } from "lucide-react";
import { useState } from "react";
import styled from "styled-components";
import { answered, client } from "../api/client";
import type { Publication, Schemas } from "../api/types";
import { theme } from "../theme";
import { Button, MainButton } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Field } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { typedLength } from "../ui/length";
import { Actions, Modal } from "../ui/Modal";
import { Failed } from "../ui/Notice";
import { NumberField } from "../ui/NumberField";
import { useStatus } from "../ui/Status";
import { Tick } from "../ui/Tick";
import { counted } from "../ui/words";
import { about, outputs, type OutputKind } from "./kinds";
import { Column, Parts, Ticks } from "./Offer";

export type Settings = Schemas["OutputSettings"];
type Marks = NonNullable<Settings["marks"]>;

const Lost = styled.ul`
  margin: 0;
  padding: 0;
  list-style: none;
  & li {
    overflow-wrap: anywhere;
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${theme.space.one};
`;

const Three = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: ${theme.space.one};
`;

const UNSAVED = "unsaved";
const AS_SET = "as set";

const usualMarks: Marks = {
  crop: true,
  registration: true,
  patches: true,
  jobLine: true,
  length: "5 mm",
  weight: "0.25 pt",
  distance: "3 mm",
};

export function usual(kind: OutputKind): Settings {
  return {
    kind,
    pages: "",
    claims: true,
    backgrounds: true,
    flattened: false,
    ppi: 144,
    spreads: false,
    toBleed: false,
    overprintShown: false,
    fileName: "",
  };
}

/** Chooses what is made of a publication and how, and says what it loses before it is written. */
export function MakeOutput({
  publication,
  open,
  isDisabled,
  onMake,
}: {
  publication: Publication;
  /** Findings that are still open. */
  open: number;
  isDisabled: boolean;
  onMake: (settings: Settings) => void;
}) {
  const queries = useQueryClient();
  const status = useStatus();
  const [settings, setSettings] = useState(() =>
    usual(publication.setup.destination === "SCREEN" ? "READING_PDF" : "PRESS_PDF"),
  );
  const [name, setName] = useState<string>();
  const set = (changed: Partial<Settings>) => setSettings({ ...settings, ...changed });
  const { kind, marks } = settings;
  const losses = useQuery({
    queryKey: ["losses", publication.id, publication.revision, settings],
    queryFn: () =>
      answered(
        client.POST("/api/publications/{id}/outputs/losses", {
          params: { path: { id: publication.id } },
          body: settings,
        }),
      ),
    retry: false,
  });
  const saved = useQuery({
    queryKey: ["output-settings"],
    queryFn: () => answered(client.GET("/api/output-settings")),
  });
  const save = useMutation({
    mutationFn: (as: string) =>
      answered(
        client.POST("/api/output-settings", { params: { query: { name: as } }, body: settings }),
      ),
    onSuccess: ({ name: as }) => {
      setName(undefined);
      status.say(`These settings are saved as “${as}”, for all publications.`);
      return queries.invalidateQueries({ queryKey: ["output-settings"] });
    },
    onError: (error) => status.fail(error.message),
  });
  const chosen = saved.data?.find((each) => same(each.settings, settings));
  const remove = useMutation({
    mutationFn: (id: string) =>
      answered(
        client.DELETE("/api/output-settings/{settings}", { params: { path: { settings: id } } }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["output-settings"] }),
    onError: (error) => status.fail(error.message),
  });
  const isPdf = kind.endsWith("_PDF");
  const isPicture = kind === "PNG" || kind === "JPEG";
  const isPress = kind === "PRESS_PDF" || kind === "ALL_PDF";
  const claimed = about[kind].claims;
  return (
    <Parts $right="1fr" aria-label="New output">
      <Column>
        <h2>New output</h2>
        {saved.data && saved.data.length > 0 && (
          <Row>
            <Choice
              label="Saved settings"
              value={chosen?.id ?? UNSAVED}
              options={[
                ...(chosen ? [] : [{ id: UNSAVED, label: "None of them" }]),
                ...saved.data.map(({ id, name: label }) => ({ id, label })),
              ]}
              onChange={(id) => {
                const found = saved.data.find((each) => each.id === id);
                if (found) {
                  setSettings(found.settings);
                }
              }}
            />
            {chosen && (
              <Button onPress={() => remove.mutate(chosen.id)} isDisabled={remove.isPending}>
                Remove these
              </Button>
            )}
          </Row>
        )}
        <Choice
          label="Kind"
          value={kind}
          options={outputs.map((id) => ({ id, label: about[id].name }))}
          onChange={(id) => {
            const next = id as OutputKind;
            setSettings({
              ...unmarked(settings),
              kind: next,
              backgrounds: true,
              spreads: false,
              overprintShown: false,
            });
          }}
        />
        <p>{about[kind].words}</p>
        <Field
          label="Pages"
          value={settings.pages === "" ? "all" : settings.pages}
          onCommit={(text) => set({ pages: text.trim() === "all" ? "" : text.trim() })}
        />
        <Quiet>Such as 3-7, 12, odd, or the name of a part.</Quiet>
        {kind === "OFFICE_PDF" && (
          <Tick
            label="With backgrounds"
            checked={settings.backgrounds}
            onChange={(backgrounds) => set({ backgrounds })}
          />
        )}
        {isPicture && (
          <NumberField
            label="Pixels per inch"
            value={settings.ppi}
            onCommit={(ppi) => set({ ppi })}
          />
        )}
        {(isPicture || kind === "SVG") && (
          <>
            <Tick
              label="Facing pages as one picture"
              checked={settings.spreads}
              onChange={(spreads) => set({ spreads, toBleed: !spreads && settings.toBleed })}
            />
            <Tick
              label="Out to the bleed"
              checked={settings.toBleed}
              onChange={(toBleed) => set({ toBleed, spreads: !toBleed && settings.spreads })}
            />
          </>
        )}
        {isPress && (
          <>
            <Field
              label="Bleed"
              value={settings.bleed?.outside ?? AS_SET}
              onCommit={(text) => {
                const rest = { ...settings };
                delete rest.bleed;
                const length = text.trim();
                setSettings(
                  length === "" || length === AS_SET
                    ? rest
                    : { ...rest, bleed: around(typedLength(length, publication.setup.unit)) },
                );
              }}
            />
            <Choice
              label="Overprint"
              value={settings.overprintShown ? "shown" : "kept"}
              options={[
                { id: "kept", label: "Kept, as a press does it" },
                { id: "shown", label: "Shown, by blending, for devices that ignore it" },
              ]}
              onChange={(id) => set({ overprintShown: id === "shown" })}
            />
            <Tick
              label="Printer’s marks"
              checked={marks !== undefined}
              onChange={(on) => {
                setSettings(on ? { ...settings, marks: usualMarks } : unmarked(settings));
              }}
            />
            {marks && (
              <MarkFields
                marks={marks}
                unit={publication.setup.unit}
                onChange={(changed) => set({ marks: { ...marks, ...changed } })}
              />
            )}
          </>
        )}
        {isPdf && publication.setup.facing && (
          <Tick
            label="Facing pages as one page"
            checked={settings.spreads}
            onChange={(spreads) => set({ spreads })}
          />
        )}
        {isPdf &&
          kind !== "SCREEN_AND_PAPER_PDF" &&
          publication.assets.some(({ asset }) => asset.content.type === "document") && (
            <Tick
              label="Pages of PDFs that are placed become pictures"
              checked={settings.flattened}
              onChange={(flattened) => set({ flattened })}
            />
          )}
        {claimed && (
          <Tick
            label={`Say that it follows ${claimed}`}
            checked={settings.claims}
            onChange={(claims) => set({ claims })}
          />
        )}
        <Field
          label="File name"
          value={settings.fileName === "" ? "{name}-{kind}" : settings.fileName}
          onCommit={(fileName) => set({ fileName })}
        />
        <Quiet>{"{name}, {kind}, {pages} and {date} stand for what they say."}</Quiet>
      </Column>
      <Column>
        <h3>What this loses or changes</h3>
        {losses.isPending && <p role="status">Going through the pages…</p>}
        {losses.isError && <Failed>✕ {losses.error.message}</Failed>}
        {losses.data?.length === 0 && <p>Nothing: the pages go out as they are.</p>}
        {losses.data && losses.data.length > 0 && (
          <Lost>
            {losses.data.map((loss) => (
              <li key={loss.text}>
                {loss.breaks ? (
                  <Failed>
                    ✕ It cannot say that it follows {standards[loss.breaks]}: {loss.text}
                  </Failed>
                ) : (
                  loss.text
                )}{" "}
                <Quiet as="span">
                  {loss.pages.length === 1 ? "Page" : "Pages"} {shownPages(loss.pages)}
                </Quiet>
              </li>
            ))}
          </Lost>
        )}
        {open > 0 && (
          <p>
            <Failed>✕ {counted(open, "finding is", "findings are")} still open.</Failed>{" "}
            {settings.pages === "" ? "They" : "Those on these pages"} will be in the file.
          </p>
        )}
        <Row>
          <MainButton onPress={() => onMake(settings)} isDisabled={isDisabled || losses.isError}>
            <FileOutput size={16} aria-hidden />
            Export {about[kind].object}
          </MainButton>
          <Button onPress={() => setName(chosen?.name ?? about[kind].name)}>Save settings…</Button>
        </Row>
      </Column>
      {name !== undefined && (
        <Modal title="Save settings" isOpen onClose={() => setName(undefined)}>
          <Field label="Name" value={name} onCommit={setName} />
          <p>They can be used in all publications. What has the same name is replaced.</p>
          <Actions>
            <Button onPress={() => setName(undefined)}>Cancel</Button>
            <MainButton onPress={() => save.mutate(name)} isDisabled={save.isPending}>
              Save
            </MainButton>
          </Actions>
        </Modal>
      )}
    </Parts>
  );
}

function MarkFields({
  marks,
  unit,
  onChange,
}: {
  marks: Marks;
  unit: Publication["setup"]["unit"];
  onChange: (changed: Partial<Marks>) => void;
}) {
  return (
    <Ticks>
      <legend>Around each page, outside its bleed</legend>
      <Tick label="Crop marks" checked={marks.crop} onChange={(crop) => onChange({ crop })} />
      <Tick
        label="Registration marks"
        checked={marks.registration}
        onChange={(registration) => onChange({ registration })}
      />
      <Tick
        label="Colour patches"
        checked={marks.patches}
        onChange={(patches) => onChange({ patches })}
      />
      <Tick
        label="A line with title, page and time"
        checked={marks.jobLine}
        onChange={(jobLine) => onChange({ jobLine })}
      />
      <Three>
        <LengthField
          label="Length"
          value={marks.length}
          unit={unit}
          onCommit={(length) => onChange({ length })}
        />
        <LengthField
          label="Weight"
          value={marks.weight}
          unit="PT"
          onCommit={(weight) => onChange({ weight })}
        />
        <LengthField
          label="Distance"
          value={marks.distance}
          unit={unit}
          onCommit={(distance) => onChange({ distance })}
        />
      </Three>
    </Ticks>
  );
}

const standards: Record<NonNullable<Schemas["Loss"]["breaks"]>, string> = {
  PDF_X_4: "PDF/X-4",
  PDF_A_2A: "PDF/A-2a",
  PDF_UA_1: "PDF/UA-1",
};

const MOST_PAGES = 12;

function shownPages(pages: number[]): string {
  const shown = pages.slice(0, MOST_PAGES).join(", ");
  return pages.length > MOST_PAGES ? `${shown} and ${pages.length - MOST_PAGES} more` : shown;
}

/** None at the spine, where pages meet. */
function around(length: string): NonNullable<Settings["bleed"]> {
  return { top: length, bottom: length, outside: length, spine: "0 mm" };
}

function unmarked(settings: Settings): Settings {
  const rest = { ...settings };
  delete rest.marks;
  return rest;
}

/** Whether two settings say the same, in whatever order. */
function same(one: Settings, other: Settings): boolean {
  const ordered = (of: Settings) =>
    JSON.stringify(Object.entries(of).sort(([a], [b]) => a.localeCompare(b)));
  return ordered(one) === ordered(other);
}
