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
  expect(afterDrawing(storing, 4, true)).toBe(storing);
  expect(afterDrawing(kept, 5, false)).toBeUndefined();
  expect(answeredTrial(storing, stored, false)).toBeUndefined();
});

test("drawn as it was before a later edit, it stays; taken back meanwhile, it goes", () => {
  expect(afterDrawing(storing, 5, true)).toBe(storing);
  expect(afterDrawing(storing, 6, false)).toBeUndefined();
  expect(afterDrawing(tried, 6, false)).toBe(tried);
});

test("an answer to an edit before says nothing of the next one", () => {
  const before = Promise.resolve(false);
  expect(answeredTrial(storing, before, false)).toBe(storing);
  expect(answeredTrial(tried, before, false)).toBe(tried);
});
