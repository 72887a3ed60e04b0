function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

function same(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** Puts what was changed, `was` to `made`, onto something else, property by property. */
export function merged<T>(was: T, made: T, is: T): T {
  if (same(was, made)) {
    return is;
  }
  if (same(was, is)) {
    return made;
  }
  if (isObject(was) && isObject(made) && isObject(is) && was["type"] === made["type"]) {
    const all: Record<string, unknown> = {};
    for (const key of new Set([...Object.keys(is), ...Object.keys(made)])) {
      const value = merged<unknown>(was[key], made[key], is[key]);
      if (value !== undefined) {
        all[key] = value;
      }
    }
    return all as T;
  }
  if (
    Array.isArray(was) &&
    Array.isArray(made) &&
    Array.isArray(is) &&
    was.length === made.length &&
    is.length === made.length
  ) {
    return made.map((each: unknown, i) => merged<unknown>(was[i], each, is[i])) as T;
  }
  return made;
}
