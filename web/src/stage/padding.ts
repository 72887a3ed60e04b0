import { inMillimetres, isEm } from "../ui/length";

const PT = 25.4 / 72;

/**
 * A padding with so many millimetres more, in the unit that it had; never less than none.
 *
 * @param size of the type, which em are of
 */
export function padded(padding: string, more: number, size: string): string {
  const em = inMillimetres(size);
  if (isEm(padding)) {
    return `${Number(Math.max(0, Number.parseFloat(padding) + more / em).toFixed(2))} em`;
  }
  const unit = padding.split(" ")[1] ?? "mm";
  const one = { mm: 1, pt: PT, in: 25.4 }[unit] ?? 1;
  const made = Math.max(0, inMillimetres(padding) + more) / one;
  return `${Number(made.toFixed(unit === "in" ? 3 : 2))} ${unit}`;
}
