import { Link } from "react-router";
import styled from "styled-components";
import type { Publication, Schemas } from "../api/types";
import { theme } from "../theme";
import { Quiet } from "../ui/Fold";
import { dayAndTime } from "../ui/words";
import { titles } from "./titles";
import type { Finding } from "../api/types";

const List = styled.ul`
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  & > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 0 ${theme.space.two};
    align-items: center;
    padding: ${theme.space.one} ${theme.space.two};
    border-top: 1px solid ${theme.color.rule};
  }
  & > li:first-child {
    border-top: 0;
  }
  & h2 {
    overflow-wrap: anywhere;
  }
  & a {
    display: inline-flex;
    align-items: center;
    min-height: ${theme.hit};
  }
`;

/** What was wrong and is not any more, the last first. */
export function Mended({
  publication,
  mended,
}: {
  publication: Publication;
  mended: Schemas["MendedView"][];
}) {
  if (mended.length === 0) {
    return <p>Nothing was mended yet. What is not found any more will be listed here.</p>;
  }
  return (
    <List aria-label="Mended">
      {mended.map((each) => (
        <li key={each.key}>
          <div>
            <h2>
              ✓ {titles[each.kind as Finding["kind"]] ?? each.kind}: “{each.text}”
            </h2>
            <Quiet as="p">It was: {each.message}</Quiet>
          </div>
          <div>
            <Link to={`/publications/${publication.id}?page=${each.page}`}>Page {each.page}</Link>
            <Quiet as="p">
              <time dateTime={each.mended}>{dayAndTime(each.mended)}</time>
            </Quiet>
          </div>
        </li>
      ))}
    </List>
  );
}
