/** Page numbers as people write them: "page 5", "pages 3 to 7, 12". */
export function numbersInWords(numbers: number[]): string {
  const sorted = [...numbers].sort((a, b) => a - b);
  const parts: string[] = [];
  let index = 0;
  while (index < sorted.length) {
    const first = sorted[index] ?? 0;
    let last = first;
    while (sorted[index + 1] === last + 1) {
      index++;
      last++;
    }
    parts.push(
      first === last
        ? `${first}`
        : last === first + 1
          ? `${first}, ${last}`
          : `${first} to ${last}`,
    );
    index++;
  }
  return `${sorted.length === 1 ? "page" : "pages"} ${parts.join(", ")}`;
}

export function counted(count: number, one: string, several: string): string {
  return `${count} ${count === 1 ? one : several}`;
}

/** A ratio as contrast ratios are written; the server cut it, nothing is rounded here. */
export function ratio(value: number): string {
  return `${value.toFixed(2)} : 1`;
}

/** A name that none of these has yet. */
export function freeName(name: string, taken: { name: string }[]): string {
  const names = new Set(taken.map((each) => each.name));
  let candidate = name;
  for (let number = 2; names.has(candidate); number++) {
    candidate = `${name} ${number}`;
  }
  return candidate;
}

/** What went wrong, in words. */
export function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

/** As a sentence begins. */
export function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** 1st, 2nd, 3rd, 4th. */
export function ordinal(number: number): string {
  const ending =
    { one: "st", two: "nd", few: "rd" }[
      new Intl.PluralRules("en", { type: "ordinal" }).select(number) as string
    ] ?? "th";
  return `${number}${ending}`;
}

/** So many seconds, as people say it: "40 seconds", "3 minutes", "2 h 10 min". */
export function duration(seconds: number): string {
  if (seconds < 90) {
    return counted(Math.max(1, Math.round(seconds)), "second", "seconds");
  }
  const minutes = Math.round(seconds / 60);
  return minutes < 60
    ? counted(minutes, "minute", "minutes")
    : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}

/** An instant as people here write it. */
export function dayAndTime(instant: string): string {
  return new Date(instant).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
}

/** To the second, for what is told apart by it. */
export function exactTime(instant: string): string {
  return new Date(instant).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "medium" });
}
