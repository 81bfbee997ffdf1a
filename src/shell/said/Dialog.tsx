'use client';
import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { paperCss } from '../frame/theme';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgba(0, 0, 0, 0.45);
  display: grid;
  place-items: center;
  z-index: 10;
`;

const Sheet = styled(Modal)<{ $fitting: boolean }>`
  ${paperCss}
  color: var(--ink);
  background: #f6f6f6;
  box-shadow: 0 3px 14px rgba(0, 0, 0, 0.5);
  padding: 20px 24px;
  width: ${({ $fitting }) => ($fitting ? 'fit-content' : 'min(480px, 92vw)')};
  min-width: min(480px, 92vw);
  max-width: 94vw;
  max-height: 88vh;
  overflow: auto;
`;

const Content = styled(AriaDialog)`
  display: grid;
  gap: 12px;
  /* It is what lies on top: it needs no frame to be found by. */
  outline: none;
  h2 {
    font-size: 20px;
  }
`;

/** A dialog, only for what cannot be undone and for the key list. Escape closes it. */
export const Dialog = ({
  title,
  open,
  onClose,
  fitting = false,
  children,
}: {
  title: string;
  open: boolean;
  onClose: () => void;
  /** As wide as what is in it, which is a table. */
  fitting?: boolean;
  children: React.ReactNode;
}) => (
  <Veil isOpen={open} onOpenChange={(is) => !is && onClose()} isDismissable>
    <Sheet $fitting={fitting}>
      <Content>
        <Heading slot="title" level={2}>
          {title}
        </Heading>
        {children}
      </Content>
    </Sheet>
  </Veil>
);
