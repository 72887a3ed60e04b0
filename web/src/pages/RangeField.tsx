import { useState } from "react";
import styled from "styled-components";
import { pagesIn } from "../api/queries";
import type { Publication } from "../api/types";
import { theme } from "../theme";
import { useStatus } from "../ui/Status";
import { messageOf } from "../ui/words";

const Range = styled.label`
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: ${theme.size.small};
  color: ${theme.color.quiet};
  white-space: nowrap;
  & input {
    width: 132px;
    min-width: 0;
    flex: 1;
    min-height: ${theme.hit};
    padding: 2px 6px;
    font: inherit;
    font-size: ${theme.size.body};
    color: ${theme.color.text};
    background: ${theme.color.paper};
    border: 1px solid ${theme.color.edge};
    border-radius: 3px;
  }
`;

/** Chooses pages by their numbers. */
export function RangeField({
  publication,
  short,
  onChoose,
}: {
  publication: Publication;
  /** Where there is no room for a label beside it. */
  short?: boolean;
  onChoose: (pages: string[]) => void;
}) {
  const status = useStatus();
  const [text, setText] = useState("");
  const choose = async () => {
    try {
      onChoose(await pagesIn(publication, text));
      setText("");
    } catch (error) {
      status.fail(messageOf(error));
    }
  };
  return (
    <Range>
      {!short && "Choose pages"}
      <input
        value={text}
        {...(short ? { "aria-label": "Choose pages" } : {})}
        placeholder={short ? "Choose 3-7, 12, odd, all" : "3-7, 12, odd, all"}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Enter" && text.trim()) {
            void choose();
          }
        }}
      />
    </Range>
  );
}
