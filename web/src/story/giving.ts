import type { Edit, Story } from "../api/types";
import type { Carried, Picked } from "./picked";
import { asWritten, stretch, type Written, type WrittenRun } from "./text";

/**
 * What a run of a story looks like.
 *
 * @param run of the paragraph; where that is gone, its first counts
 */
export function pickedOf(story: Story, paragraph: string, run: string): Picked | undefined {
  const found = story.paragraphs.find(({ id }) => id === paragraph);
  const own = found?.runs.find(({ id }) => id === run) ?? found?.runs[0];
  return (
    found && {
      look: found.look,
      characters: own?.look,
      color: own?.color,
      setting: found.local,
      local: own?.local,
    }
  );
}

/** The edit that gives a paragraph what was picked up; nothing where it has it. */
export function giving(
  story: Story,
  paragraph: string,
  picked: Picked,
  carried: Carried,
): Edit | undefined {
  const was = story.paragraphs.map(asWritten);
  const made = was.map((each) =>
    each.paragraph === paragraph ? given(each, picked, carried) : each,
  );
  const part = stretch(was, made);
  return part.paragraphs.length > 0 ? { type: "writeText", story: story.id, ...part } : undefined;
}

function given(written: Written, picked: Picked, carried: Carried): Written {
  const dressed = ({ color, look, local, ...run }: WrittenRun): WrittenRun => {
    const [words, ink] = [
      carried.characters ? picked.characters : look,
      carried.color ? picked.color : color,
    ];
    const differs = carried.local ? picked.local : local;
    return {
      ...run,
      ...(words === undefined ? {} : { look: words }),
      ...(ink ? { color: ink } : {}),
      ...(differs ? { local: differs } : {}),
    };
  };
  const { local: own, ...others } = written;
  const setting = carried.local ? picked.setting : own;
  return {
    ...others,
    ...(setting ? { local: setting } : {}),
    ...(carried.look ? { look: picked.look } : {}),
    runs: written.runs.map(dressed),
  };
}
