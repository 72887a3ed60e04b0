import { Link } from "react-router";
import styled from "styled-components";
import { theme } from "../theme";

const Mark = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: ${theme.hit};
  font-size: 16px;
  font-weight: 600;
  color: ${theme.color.active};
  text-decoration: none;
  & img {
    width: 20px;
    height: 20px;
  }
`;

export function Wordmark() {
  return (
    <Mark to="/" aria-label="Yewberry, to the shelf">
      <img src="/yewberry.svg" alt="" />
      Yewberry
    </Mark>
  );
}
