import styled from "styled-components";
import { useSteps } from "../api/steps";
import { useChanges } from "../api/useChanges";
import type { Asset, Publication, Schemas } from "../api/types";
import { BoxFields } from "../scope/BoxFields";
import { theme } from "../theme";
import { Button } from "../ui/Button";
import { Chip } from "../ui/Chip";
import { Choice } from "../ui/Choice";
import { swatchOptions } from "../ui/colors";
import { Fold, Name } from "../ui/Fold";
import { LengthField } from "../ui/LengthField";
import { NumberField } from "../ui/NumberField";
import { Sides } from "./Sides";

type Backing = Schemas["Backing"];

const Fields = styled.div`
  display: flex;
  flex-direction: column;
  gap: ${theme.space.one};
  padding: 0 ${theme.space.one} ${theme.space.one};
`;

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: ${theme.space.one};
`;

/** One that can be corrected: the file's words are found by rule, and that may be wrong. */
function BackingRow({
  publication,
  asset,
  stored,
}: {
  publication: Publication;
  asset: Asset;
  stored: Backing;
}) {
  const steps = useSteps(publication);
  const { unit } = publication.setup;
  const [backing, change] = useChanges<Backing>(
    publication,
    `${asset.id} ${stored.id}`,
    stored,
    ({ was, made }) => ({ type: "changeBacking", asset: asset.id, from: was, to: made }),
    `Behind words of page ${stored.page} of “${asset.name}” changed`,
  );
  const put = (changed: Partial<Backing>) => change({ ...backing, ...changed });
  const page = publication.pages.find(
    ({ imported }) => imported?.asset === asset.id && imported.number === backing.page,
  );
  const swatch = publication.swatches.find(({ id }) => id === backing.color.swatch);
  const name = swatch?.name ?? "";
  return (
    <Fold
      head={
        <>
          <Chip $color={swatch?.screen ?? "transparent"} />
          <Name>{`“${name}” at ${backing.opacity} %, page ${backing.page}`}</Name>
        </>
      }
    >
      <Fields>
        <Row>
          <Choice
            label="Colour"
            value={backing.color.swatch}
            options={swatchOptions(publication)}
            onChange={(id) => void put({ color: { ...backing.color, swatch: id } })}
          />
          <NumberField
            label="Opacity (%)"
            value={backing.opacity}
            onCommit={(opacity) => put({ opacity })}
          />
          <LengthField
            label="Radius"
            unit={unit}
            value={backing.radius}
            onCommit={(radius) => put({ radius })}
          />
        </Row>
        {page && (
          <Sides>
            <BoxFields
              publication={publication}
              owner={{ type: "onPage", id: page.id }}
              sides="BOTH"
              box={backing.area}
              onChange={(changes) => put({ area: { ...backing.area, ...changes } })}
            />
          </Sides>
        )}
        <div>
          <Button
            aria-label={`Take back “${name}” on page ${backing.page}`}
            onPress={() =>
              steps.make(
                { type: "takeBackBacking", asset: asset.id, backing },
                `Nothing lies behind those words of page ${backing.page} of “${asset.name}” now`,
              )
            }
          >
            Take back
          </Button>
        </div>
      </Fields>
    </Fold>
  );
}

/** What lies behind words of a file, over all else that its pages have there. */
export function Backings({ publication, asset }: { publication: Publication; asset: Asset }) {
  const { backings } = asset;
  return (
    backings.length > 0 && (
      <section aria-label="Behind words">
        <h3>Behind words</h3>
        {backings.map((each) => (
          <BackingRow key={each.id} publication={publication} asset={asset} stored={each} />
        ))}
      </section>
    )
  );
}
