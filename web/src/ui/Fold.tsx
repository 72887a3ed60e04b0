import { ChevronRight } from "lucide-react";
import type { ReactNode } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";

const Opener = styled(Aria.Button)`
  width: 100%;
  min-height: 32px;
  padding: 2px 4px;
  font: inherit;
  text-align: left;
  color: ${theme.color.text};
  background: transparent;
  border: 0;
  border-radius: 3px;
  display: flex;
  align-items: center;
  gap: ${theme.space.one};
  cursor: pointer;
  outline-offset: -2px;
  &[data-hovered] {
    background: ${theme.color.activeSoft};
  }
  & .turn {
    flex: none;
    color: ${theme.color.quiet};
  }
  &[aria-expanded="true"] .turn {
    transform: rotate(90deg);
  }
  &[aria-expanded="true"] {
    font-weight: 600;
  }
`;

const Panel = styled(Aria.DisclosurePanel)`
  & > div {
    padding: ${theme.space.half} 4px ${theme.space.two} 4px;
  }
`;

/** A row that opens what belongs to it, right below it. */
export function Fold({
  head,
  children,
  isExpanded,
  onExpandedChange,
}: {
  head: ReactNode;
  children: ReactNode;
  isExpanded?: boolean;
  onExpandedChange?: (open: boolean) => void;
}) {
  return (
    <Aria.Disclosure
      {...(isExpanded === undefined ? {} : { isExpanded })}
      {...(onExpandedChange ? { onExpandedChange } : {})}
    >
      {({ isExpanded: open }) => (
        <>
          <Opener slot="trigger">
            <ChevronRight size={14} className="turn" aria-hidden />
            {head}
          </Opener>
          <Panel>{open && <div>{children}</div>}</Panel>
        </>
      )}
    </Aria.Disclosure>
  );
}

export const Name = styled.span`
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  flex: 1;
`;

export const Quiet = styled.span`
  font-size: ${theme.size.small};
  font-weight: 400;
  color: ${theme.color.quiet};
`;

/** A second line of a name, in small. */
export const Values = styled.span`
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 12px;
  font-weight: 400;
  color: ${theme.color.quiet};
`;
