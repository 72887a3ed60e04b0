import { ArrowRight, Scissors } from "lucide-react";
import { useSteps } from "../api/steps";
import { useFlow } from "../api/story";
import type { Owner, Publication, TextFrame } from "../api/types";
import { useBench } from "../bench/BenchState";
import { trimOf } from "../publication/sizes";
import { Button } from "../ui/Button";
import { ChoiceMenu, type Option } from "../ui/Choice";
import { Quiet } from "../ui/Fold";
import { Row, Stack } from "../ui/Field";
import { inMillimetres } from "../ui/length";
import { counted } from "../ui/words";

/** How far a frame that is added below another stands from it, in millimetres. */
const GAP = 5;

/** A length of so many millimetres, to a thousandth. */
const inWhole = (millimetres: number) => `${Math.round(millimetres * 1000) / 1000} mm`;

/** Where the text of a frame comes from and where it goes on, and how that is changed. */
export function FrameChain({
  publication,
  owner,
  frame,
}: {
  publication: Publication;
  owner: Owner;
  frame: TextFrame;
}) {
  const { beginJoin } = useBench();
  const steps = useSteps(publication);
  const flow = useFlow(publication, frame.story);
  const parts = flow.data?.parts ?? [];
  const turn = parts.findIndex((part) => part.frame === frame.id);
  const before = parts[turn - 1];
  const after = parts[turn + 1];
  const rest = flow.data?.rest;
  const index =
    owner.type === "onPage" ? publication.pages.findIndex(({ id }) => id === owner.id) : -1;
  const next = publication.pages[index + 1];
  const goOn = (where: string) => {
    const trim = trimOf(publication, owner);
    const below = inMillimetres(frame.box.y) + inMillimetres(frame.box.height) + GAP;
    const fits = below + inMillimetres(frame.box.height) <= inMillimetres(trim.height);
    const mirrored =
      inMillimetres(trim.width) - inMillimetres(frame.box.x) - inMillimetres(frame.box.width);
    const there = where === "next" && next;
    steps.make(
      {
        type: "continueFrame",
        after: frame.id,
        owner: there ? { type: "onPage", id: next.id } : owner,
        frame: crypto.randomUUID(),
        sides: there ? "BOTH" : frame.sides,
        box: there
          ? {
              ...frame.box,
              x: publication.setup.facing ? inWhole(mirrored) : frame.box.x,
            }
          : fits
            ? { ...frame.box, y: inWhole(below) }
            : {
                ...frame.box,
                x: inWhole(inMillimetres(frame.box.x) + GAP),
                y: inWhole(inMillimetres(frame.box.y) + GAP),
              },
      },
      "The text goes on in a new frame",
    );
  };
  const places: Option[] = [
    ...(next ? [{ id: "next", label: `On page ${next.number}` }] : []),
    { id: "here", label: owner.type === "onPage" ? "On this page" : "On this parent" },
  ];
  return (
    <Stack>
      <Quiet>
        {[
          before ? `From ${before.where}` : "Begins here",
          after ? `on to ${after.where}` : rest ? "" : "ends here",
        ]
          .filter((each) => each !== "")
          .join(", ")}
        {!after && rest ? `; ${counted(rest.words, "word", "words")} without room` : ""}
      </Quiet>
      <Row $columns="auto auto 1fr">
        <ChoiceMenu
          label="Where the text goes on"
          trigger={
            <Button>
              <ArrowRight size={15} aria-hidden />
              Go on…
            </Button>
          }
          options={[...places, { id: "other", label: "In another frame…" }]}
          onChoose={(id) =>
            id === "other" ? beginJoin({ frame: frame.id, story: frame.story }) : goOn(id)
          }
        />
        {before && (
          <Button
            onPress={() =>
              steps.make(
                {
                  type: "partFrames",
                  frame: frame.id,
                  story: crypto.randomUUID(),
                  paragraph: crypto.randomUUID(),
                },
                "The text ends before this frame",
              )
            }
          >
            <Scissors size={15} aria-hidden />
            Part from before
          </Button>
        )}
      </Row>
    </Stack>
  );
}
