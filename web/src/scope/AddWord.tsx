import { Stamp } from "lucide-react";
import { useSteps } from "../api/steps";
import type { Owner, Publication } from "../api/types";
import { trimOf } from "../publication/sizes";
import { Button } from "../ui/Button";
import { firstColor } from "../ui/colors";
import { inMillimetres } from "../ui/length";
import { frontOf } from "./front";

/** Puts a word over what lies on a parent or on pages. */
export function AddWord({ publication, owners }: { publication: Publication; owners: Owner[] }) {
  const steps = useSteps(publication);
  const color = firstColor(publication);
  const face = publication.looks[0]?.look;
  if (!color || !face) {
    return null;
  }
  return (
    <Button
      onPress={() =>
        steps.make(
          {
            type: "several",
            edits: owners.map((owner) => ({
              type: "addPicture",
              owner,
              picture: {
                ...frontOf(
                  publication,
                  owner,
                  "OVER",
                  {
                    type: "word",
                    text: "PROOF",
                    family: face.family,
                    weight: face.weight,
                    italic: false,
                    color,
                  },
                  {
                    across: inMillimetres(trimOf(publication, owner).width) * 0.8,
                    down: inMillimetres(trimOf(publication, owner).height) * 0.2,
                  },
                ),
                rotation: -35,
                hold: { across: "SHARE", down: "SHARE" },
                opacity: 20,
              },
            })),
          },
          "Running item added over the content; change its word below",
        )
      }
    >
      <Stamp size={15} aria-hidden />
      Add a word over the page
    </Button>
  );
}
