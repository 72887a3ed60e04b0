import { Link } from "react-router";
import styled from "styled-components";
import type { Publication, Schemas } from "../api/types";
import { theme } from "../theme";
import { Quiet } from "../ui/Fold";

const List = styled.ul`
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.rule};
  & > li {
    display: flex;
    flex-wrap: wrap;
    gap: ${theme.space.half} ${theme.space.two};
    align-items: baseline;
    padding: ${theme.space.one} ${theme.space.two};
    border-top: 1px solid ${theme.color.rule};
  }
  & > li:first-child {
    border-top: 0;
  }
  & h2 {
    flex: 1 1 240px;
    overflow-wrap: anywhere;
  }
  & a {
    display: inline-flex;
    align-items: center;
    min-height: ${theme.hit};
  }
`;

/** So many pages of one are linked. */
const MOST = 30;

/** Pictures that may have text in them, which is drawn and not read. */
export function NotJudged({
  publication,
  pictures,
}: {
  publication: Publication;
  pictures: Schemas["NotJudgedView"][];
}) {
  return (
    <>
      <p>
        What is written inside a picture or a placed PDF is drawn and not read, so it is neither
        passed nor failed. The text of PDFs that are pages here is judged; what of it could not be
        is listed with the reason. Look at it, and hold its colours against each other{" "}
        <Link to={`/publications/${publication.id}/pairings`}>as a pair</Link>. What is decoration
        is not listed.
      </p>
      {pictures.length > 0 && (
        <List aria-label="Not judged">
          {pictures.map((each) => (
            <li key={each.asset + String(each.why.length > 0)}>
              <h2>{each.name}</h2>
              {each.why.map((why) => (
                <p key={why}>{why}</p>
              ))}
              {each.names.map((name) => (
                <Quiet key={name}>{name}</Quiet>
              ))}
              {each.pages.slice(0, MOST).map((page) => (
                <Link key={page} to={`/publications/${publication.id}?page=${page}`}>
                  page {page}
                </Link>
              ))}
              {each.pages.length > MOST && <Quiet>and {each.pages.length - MOST} more pages</Quiet>}
            </li>
          ))}
        </List>
      )}
    </>
  );
}
