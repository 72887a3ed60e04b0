/** A number as people type it, with a point or a comma; nothing where it is none. */
export function typedNumber(text: string): number | undefined {
  const cleaned = text.replace("%", "").replace(",", ".").trim();
  const value = Number(cleaned);
  return cleaned !== "" && Number.isFinite(value) ? value : undefined;
}

/** One more or less, for arrow keys; what is no number stays as it is. */
export function steppedNumber(text: string, by: number): string {
  const value = typedNumber(text);
  return value === undefined ? text : String(Number((value + by).toFixed(3)));
}
