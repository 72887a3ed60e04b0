import { Link } from "react-router";
import styled from "styled-components";
import { useUses } from "../api/queries";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { Quiet } from "../ui/Fold";

/** So many pages are named; more are counted. */
const MOST = 24;

const Where = styled(Quiet)`
  & a {
    color: ${theme.color.text};
  }
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
    <Where as="p">
      Used by {used.names.join(", ")}
      {used.names.length > 0 && used.pages.length > 0 && ", "}
      <PageLinks publication={publication} pages={used.pages} />
    </Where>
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
