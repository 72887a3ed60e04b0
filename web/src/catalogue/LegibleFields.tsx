import { ArrowUp, Plus, Trash2 } from "lucide-react";
import type { Definition, Publication } from "../api/types";
import { viewings } from "../publication/viewings";
import { Button, QuietButton } from "../ui/Button";
import { Choice, type Option } from "../ui/Choice";
import { Row, Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { Tick } from "../ui/Tick";

type Legible = Extract<Definition, { type: "legible" }>;

/** The swatches that a text colour chooses from, in the order in which they are tried. */
export function LegibleFields({
  publication,
  definition,
  others,
  onChange,
}: {
  publication: Publication;
  definition: Legible;
  others: Option[];
  onChange: (definition: Legible) => unknown;
}) {
  const { swatches } = definition;
  const free = others.filter(({ id }) => !swatches.includes(id));
  const put = (changed: string[]) => void onChange({ ...definition, swatches: changed });
  const earlier = (index: number) => {
    const made = [...swatches];
    const [moved] = made.splice(index, 1);
    if (moved !== undefined) {
      made.splice(index - 1, 0, moved);
    }
    put(made);
  };
  return (
    <Stack role="group" aria-label="Swatches in the order in which they are tried">
      <Quiet as="p">
        Text takes the first that is legible on all that lies behind it; where none is for all of
        it, line by line, then word by word.
      </Quiet>
      {swatches.map((id, index) => (
        <Row key={id} $columns="minmax(0, 1fr) auto auto">
          <Choice
            label={index === 0 ? "First" : `Else ${index + 1}`}
            value={id}
            options={others.filter((each) => each.id === id || !swatches.includes(each.id))}
            onChange={(chosen) => put(swatches.map((each) => (each === id ? chosen : each)))}
          />
          <QuietButton
            aria-label={`Try swatch ${index + 1} earlier`}
            isDisabled={index === 0}
            onPress={() => earlier(index)}
          >
            <ArrowUp size={15} aria-hidden />
          </QuietButton>
          <QuietButton
            aria-label={`Leave swatch ${index + 1} out`}
            isDisabled={swatches.length === 1}
            onPress={() => put(swatches.filter((each) => each !== id))}
          >
            <Trash2 size={15} aria-hidden />
          </QuietButton>
        </Row>
      ))}
      <div>
        <Button
          isDisabled={free.length === 0}
          onPress={() => {
            const [next] = free;
            if (next) {
              put([...swatches, next.id]);
            }
          }}
        >
          <Plus size={15} aria-hidden />
          Swatch
        </Button>
      </div>
      <Stack role="group" aria-label="Legible under these viewings, too">
        <Quiet as="p">Legible as designed, and also:</Quiet>
        {viewings(publication)
          .filter(({ id }) => id !== "AS_DESIGNED")
          .map(({ id, label }) => (
            <Tick
              key={id}
              label={label}
              checked={definition.viewings.includes(id)}
              onChange={(on) =>
                void onChange({
                  ...definition,
                  viewings: on
                    ? [...definition.viewings, id]
                    : definition.viewings.filter((each) => each !== id),
                })
              }
            />
          ))}
      </Stack>
    </Stack>
  );
}
