import { X } from "lucide-react";
import styled from "styled-components";
import type { Schemas } from "../api/types";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Choice } from "../ui/Choice";
import { Stack } from "../ui/Field";
import { Quiet } from "../ui/Fold";
import { basedOn, nameOfProperty, type Based } from "./basis";

type Basis = Schemas["Basis"];

const Own = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: ${theme.space.half};
  margin: 0;
  padding: 0;
  list-style: none;
`;

const none = "NONE";

/** Which look another is based on, and what it sets itself. */
export function BasisFields({
  looks,
  look,
  onChange,
}: {
  /** All of one kind. */
  looks: Based[];
  look: Based;
  onChange: (basis: Basis | undefined) => unknown;
}) {
  const { basis } = look;
  const base = looks.find(({ id }) => id === basis?.look);
  const below = basedOn(looks, look.id);
  return (
    <Stack>
      <Choice
        label="Based on"
        value={basis?.look ?? none}
        options={[
          { id: none, label: "No other look" },
          ...looks.filter(({ id }) => !below.has(id)).map(({ id, name }) => ({ id, label: name })),
        ]}
        onChange={(id) => onChange(id === none ? undefined : { look: id, own: [] })}
      />
      {basis && base && (
        <>
          <Quiet as="p">
            {basis.own.length === 0
              ? `Everything is as in “${base.name}”, and follows it.`
              : `Set here; the rest is as in “${base.name}”, and follows it:`}
          </Quiet>
          {basis.own.length > 0 && (
            <Own>
              {[...basis.own].sort().map((way) => (
                <li key={way}>
                  <Button
                    aria-label={`${nameOfProperty(way)} as in “${base.name}” again`}
                    onPress={() =>
                      onChange({ ...basis, own: basis.own.filter((each) => each !== way) })
                    }
                  >
                    {nameOfProperty(way)}
                    <X size={13} aria-hidden />
                  </Button>
                </li>
              ))}
            </Own>
          )}
        </>
      )}
    </Stack>
  );
}
