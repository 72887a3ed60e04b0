import {
  ChevronLeft,
  ChevronRight,
  Contrast,
  Minus,
  PanelBottom,
  PanelLeft,
  PanelRight,
  Plus,
} from "lucide-react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { Button, QuietButton } from "../ui/Button";
import { useCommands } from "../ui/commands";
import { Field } from "../ui/Field";
import { useStatus } from "../ui/Status";
import type { Panel, Panels } from "../bench/panels";
import { nextPercent, parsePercent, type Zoom } from "./zoom";

const Bar = styled(Aria.Toolbar)`
  flex: none;
  display: flex;
  align-items: center;
  gap: ${theme.space.half};
  background: ${theme.color.ground};
  &[data-orientation="horizontal"] {
    flex-wrap: wrap;
    min-height: 36px;
    padding: 0 ${theme.space.one};
    border-bottom: 1px solid ${theme.color.rule};
  }
  &[data-orientation="vertical"] {
    flex-direction: column;
    width: 96px;
    padding: ${theme.space.one} ${theme.space.half};
    border-right: 1px solid ${theme.color.rule};
    font-size: ${theme.size.small};
    text-align: center;
  }
`;

const Percent = styled.div`
  width: 66px;
`;

const Push = styled.span`
  flex: 1;
`;

const Ways = styled.div`
  display: flex;
  [data-orientation="vertical"] > &[aria-label="Show"] {
    flex-direction: column;
    align-self: stretch;
  }
`;

const Way = styled(Button)`
  padding: 2px 8px;
  border-radius: 0;
  & + & {
    margin-left: -1px;
  }
  [data-orientation="vertical"] > [aria-label="Show"] > & + & {
    margin: -1px 0 0;
  }
  &[aria-pressed="true"] {
    border-color: ${theme.color.active};
    box-shadow: inset 0 -3px 0 ${theme.color.active};
  }
`;

const shownPanels: { id: Panel; label: string; keys: string; Icon: typeof PanelLeft }[] = [
  { id: "catalogue", label: "Catalogue", keys: "C", Icon: PanelLeft },
  { id: "pages", label: "Pages", keys: "T", Icon: PanelBottom },
  { id: "strata", label: "Strata", keys: "D", Icon: PanelRight },
];

const Sign = styled(Way)`
  padding: 2px 5px;
`;

/** Turning spreads and zooming, with a field and buttons; the spread has keys for the same. */
export function ZoomBar({
  zoom,
  percent,
  spread,
  spreads,
  label,
  hasSelection,
  panels,
  upright,
  dark,
  onDark,
  onPanel,
  onZoom,
  onSelection,
  onSpread,
}: {
  zoom: Zoom;
  percent: number;
  spread: number;
  spreads: number;
  label: string;
  hasSelection: boolean;
  /** What is open around the spread. */
  panels: Panels;
  /** Beside the spread, where all height is for it. */
  upright: boolean;
  /** Whether pages stand on a dark grey. */
  dark: boolean;
  onDark: (dark: boolean) => void;
  onPanel: (panel: Panel) => void;
  onZoom: (zoom: Zoom) => void;
  onSelection: () => void;
  onSpread: (index: number) => void;
}) {
  const status = useStatus();
  const fixed = (value: number) => onZoom({ kind: "percent", percent: value });
  useCommands([
    {
      label: "Go to the spread before",
      keys: "Page up",
      isDisabled: spread === 0,
      run: () => onSpread(spread - 1),
    },
    {
      label: "Go to the spread after",
      keys: "Page down",
      isDisabled: spread >= spreads - 1,
      run: () => onSpread(spread + 1),
    },
    { label: "Show the whole page", keys: "W", run: () => onZoom({ kind: "page" }) },
    { label: "Show the spread", keys: "S", run: () => onZoom({ kind: "spread" }) },
    { label: "Show the actual size", keys: "A", run: () => fixed(100) },
    { label: "Show the selection", keys: "E", isDisabled: !hasSelection, run: onSelection },
    { label: "Show it larger", keys: "+", run: () => fixed(nextPercent(percent, 1)) },
    { label: "Show it smaller", keys: "−", run: () => fixed(nextPercent(percent, -1)) },
    ...shownPanels.map(({ id, label, keys }) => ({
      label: `${panels[id] ? "Fold away" : "Fold out"}: ${label}`,
      keys,
      run: () => onPanel(id),
    })),
  ]);

  return (
    <Bar aria-label="Spread and zoom" orientation={upright ? "vertical" : "horizontal"}>
      <QuietButton
        aria-label="Spread before"
        isDisabled={spread === 0}
        onPress={() => onSpread(spread - 1)}
      >
        <ChevronLeft size={18} aria-hidden />
      </QuietButton>
      <span>{label}</span>
      <QuietButton
        aria-label="Spread after"
        isDisabled={spread >= spreads - 1}
        onPress={() => onSpread(spread + 1)}
      >
        <ChevronRight size={18} aria-hidden />
      </QuietButton>
      <Push />
      <Sign aria-label="Dark surround" aria-pressed={dark} onPress={() => onDark(!dark)}>
        <Contrast size={15} aria-hidden />
      </Sign>
      <Ways role="group" aria-label="Panels">
        {shownPanels.map(({ id, label, Icon }) => (
          <Sign key={id} aria-label={label} aria-pressed={panels[id]} onPress={() => onPanel(id)}>
            <Icon size={15} aria-hidden />
          </Sign>
        ))}
      </Ways>
      <Ways role="group" aria-label="Show">
        <Way aria-pressed={zoom.kind === "page"} onPress={() => onZoom({ kind: "page" })}>
          Page
        </Way>
        <Way aria-pressed={zoom.kind === "spread"} onPress={() => onZoom({ kind: "spread" })}>
          Spread
        </Way>
        <Way
          aria-pressed={zoom.kind === "percent" && zoom.percent === 100}
          onPress={() => fixed(100)}
        >
          Actual size
        </Way>
        <Way isDisabled={!hasSelection} onPress={onSelection}>
          Selection
        </Way>
      </Ways>
      <QuietButton aria-label="Smaller" onPress={() => fixed(nextPercent(percent, -1))}>
        <Minus size={16} aria-hidden />
      </QuietButton>
      <Percent>
        <Field
          label="Zoom"
          hiddenLabel
          value={`${Math.round(percent)} %`}
          onCommit={(text) => {
            const wanted = parsePercent(text);
            if (wanted) {
              fixed(wanted);
            } else {
              status.fail(`“${text}” is not a zoom; type a percentage from 5 to 3200.`);
            }
          }}
        />
      </Percent>
      <QuietButton aria-label="Larger" onPress={() => fixed(nextPercent(percent, 1))}>
        <Plus size={16} aria-hidden />
      </QuietButton>
    </Bar>
  );
}
