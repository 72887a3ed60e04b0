import { Lock, LockOpen } from "lucide-react";
import { useSteps } from "../api/steps";
import type { AnyFrame, Publication } from "../api/types";
import { Button } from "../ui/Button";

/** Locks a frame as it lies, or unlocks it. */
export function LockFrame({ publication, frame }: { publication: Publication; frame: AnyFrame }) {
  const steps = useSteps(publication);
  const { locked } = frame;
  return (
    <Button
      onPress={() =>
        steps.make(
          { type: "lockFrame", frame: frame.id, locked: !locked },
          locked ? "Frame unlocked" : "Frame locked",
        )
      }
    >
      {locked ? <LockOpen size={15} aria-hidden /> : <Lock size={15} aria-hidden />}
      {locked ? "Unlock" : "Lock"}
    </Button>
  );
}
