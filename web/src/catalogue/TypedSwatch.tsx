import { Plus } from "lucide-react";
import styled from "styled-components";
import { useNamedColor } from "../api/queries";
import { useSteps } from "../api/steps";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { freeName } from "../ui/words";

const Row = styled.div`
  padding: 0 ${theme.space.one} ${theme.space.one};
  & > button {
    width: 100%;
    justify-content: flex-start;
    white-space: normal;
    text-align: left;
  }
`;

/** A new swatch of a colour that was typed, with a name or without; nothing where none was. */
export function TypedSwatch({
  publication,
  typed,
  onMade,
}: {
  publication: Publication;
  typed: string;
  /** Told the id of the new swatch. */
  onMade: (id: string) => void;
}) {
  const steps = useSteps(publication);
  const read = useNamedColor(publication, typed);
  const color = read.data?.color;
  if (!color || typed.trim() === "") {
    return null;
  }
  const name = freeName(read.data?.name ?? typed.trim(), publication.swatches);
  return (
    <Row>
      <Button
        onPress={() => {
          const id = crypto.randomUUID();
          steps.make(
            {
              type: "addSwatch",
              swatch: { id, name, definition: { type: "plain", color: color.color } },
            },
            `Swatch “${name}” added`,
          );
          onMade(id);
        }}
      >
        <Plus size={15} aria-hidden />
        <Chip $color={color.screen} />
        {`New swatch “${name}”`}
      </Button>
    </Row>
  );
}
