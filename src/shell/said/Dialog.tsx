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

const Sheet = styled(Modal)`
  ${paperCss}
  color: var(--ink);
  background: #f6f6f6;
  box-shadow: 0 3px 14px rgba(0, 0, 0, 0.5);
  padding: 20px 24px;
  width: min(480px, 92vw);
  max-height: 88vh;
  overflow: auto;
`;

const Content = styled(AriaDialog)`
  display: grid;
  gap: 12px;
  h2 {
    font-size: 20px;
  }
`;

/** A dialog, only for what cannot be undone and for the key list. Escape closes it. */
export const Dialog = ({
  title,
  open,
  onClose,
  children,
}: {
  title: string;
  open: boolean;
  onClose: () => void;
  children: React.ReactNode;
}) => (
  <Veil isOpen={open} onOpenChange={(is) => !is && onClose()} isDismissable>
    <Sheet>
      <Content>
        <Heading slot="title" level={2}>
          {title}
        </Heading>
        {children}
      </Content>
    </Sheet>
  </Veil>
);
