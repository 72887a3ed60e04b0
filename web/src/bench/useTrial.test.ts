import { expect, test } from "vitest";
import { afterDrawing, answeredTrial, withoutTried, type Trial } from "./useTrial";

const edit = { type: "removeBackground", background: "sky" } as const;
const stored = Promise.resolve(true);
const tried: Trial = { edit, pictureOnly: true };
const storing: Trial = {
  ...tried,
  storing: { revision: 4, page: "cover", stored, done: false },
};

test("the end of trying takes nothing away that is being stored", () => {
  expect(withoutTried(tried)).toBeUndefined();
  expect(withoutTried(storing)).toBe(storing);
});

test("what is stored is shown until it is drawn, what is refused no longer", () => {
  const kept = answeredTrial(storing, stored, true);
  expect(kept?.edit).toBe(edit);
  expect(afterDrawing(storing)).toBe(storing);
  expect(afterDrawing(kept)).toBeUndefined();
  expect(answeredTrial(storing, stored, false)).toBeUndefined();
});

test("an answer to an edit before says nothing of the next one", () => {
  const before = Promise.resolve(false);
  expect(answeredTrial(storing, before, false)).toBe(storing);
  expect(answeredTrial(tried, before, false)).toBe(tried);
});
