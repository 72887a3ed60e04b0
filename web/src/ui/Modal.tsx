import type { ReactNode } from "react";
import * as Aria from "react-aria-components";
import styled from "styled-components";
import { theme } from "../theme";
import { FAILURE_HEIGHT } from "./Status";

const Overlay = styled(Aria.ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 50;
  display: flex;
  align-items: center;
  justify-content: center;
  padding: ${theme.space.two};
  background: rgb(28 28 28 / 45%);
  /* what went wrong stands below a dialog, not on its buttons */
  body:has([data-failure]) & {
    padding-bottom: ${FAILURE_HEIGHT};
  }
`;

const Window = styled(Aria.Modal)<{ $wide: boolean }>`
  width: 100%;
  max-width: ${({ $wide }) => ($wide ? "960px" : "560px")};
  max-height: 100%;
  overflow: auto;
  background: ${theme.color.paper};
  border: 1px solid ${theme.color.text};
  border-radius: 4px;
  padding: ${theme.space.three};
`;

const Content = styled(Aria.Dialog)`
  outline: none;
  display: flex;
  flex-direction: column;
  gap: ${theme.space.two};
`;

export const Actions = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: ${theme.space.one};
`;

export function Modal({
  title,
  isOpen,
  onClose,
  wide,
  children,
}: {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <Overlay isOpen={isOpen} onOpenChange={(open) => !open && onClose()} isDismissable>
      <Window $wide={wide ?? false}>
        <Content>
          <Aria.Heading slot="title" level={2}>
            {title}
          </Aria.Heading>
          {children}
        </Content>
      </Window>
    </Overlay>
  );
}
