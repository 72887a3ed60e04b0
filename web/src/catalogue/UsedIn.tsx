import { Eraser } from "lucide-react";
import { Link } from "react-router";
import styled from "styled-components";
import { useUses } from "../api/queries";
import type { Publication } from "../api/types";
import { useSteps } from "../api/steps";
import { theme } from "../theme";
import { QuietButton } from "../ui/Button";
import { Quiet } from "../ui/Fold";
import { counted } from "../ui/words";

/** So many pages are named; more are counted. */
const MOST = 24;

const Where = styled(Quiet)`
  & a {
    color: ${theme.color.text};
  }
`;

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 ${theme.space.one};
`;

/** Where something of the catalogue is used; each page is a way to it. */
export function UsedIn({ publication, id }: { publication: Publication; id: string }) {
  const uses = useUses(publication, [id]);
  const [used] = uses.data ?? [];
  if (!used) {
    return null;
  }
  if (used.names.length + used.pages.length === 0) {
    return <Quiet as="p">Not used yet</Quiet>;
  }
  return (
    <>
      <Where as="p">
        Used by {used.names.join(", ")}
        {used.names.length > 0 && used.pages.length > 0 && ", "}
        <PageLinks publication={publication} pages={used.pages} />
      </Where>
      {used.differing > 0 && (
        <Differing publication={publication} look={id} count={used.differing} />
      )}
    </>
  );
}

/** In how much text something differs from a look, and the way to have it as the look says. */
function Differing({
  publication,
  look,
  count,
}: {
  publication: Publication;
  look: string;
  count: number;
}) {
  const steps = useSteps(publication);
  return (
    <Line>
      <Quiet>{counted(count, "paragraph differs", "paragraphs differ")} from it in places</Quiet>
      <QuietButton
        onPress={() =>
          steps.make({ type: "clearDifferences", look }, "All of its text is as the look says")
        }
      >
        <Eraser size={15} aria-hidden />
        Clear the differences
      </QuietButton>
    </Line>
  );
}

/** Page numbers that lead to their pages. */
export function PageLinks({ publication, pages }: { publication: Publication; pages: number[] }) {
  const more = pages.length - MOST;
  return (
    pages.length > 0 && (
      <>
        {pages.length === 1 ? "page " : "pages "}
        {pages.slice(0, MOST).map((number, index) => (
          <span key={number}>
            {index > 0 && ", "}
            <Link to={`/publications/${publication.id}?page=${number}`}>{number}</Link>
          </span>
        ))}
        {more > 0 && ` and ${more} more`}
      </>
    )
  );
}
