'use client';
import type { ReactNode } from 'react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';

const Face = styled(Checkbox)`
  position: relative;
  display: inline-flex;
  align-items: baseline;
  /* The input itself lies over its box: it is what is met by hands and by tools. */
  > span:first-child {
    clip: auto !important;
    clip-path: none !important;
    width: 100% !important;
    height: 100% !important;
    margin: 0 !important;
    inset: 0 !important;
    opacity: 0;
    z-index: 1;
    input {
      width: 100%;
      height: 100%;
      margin: 0;
      cursor: inherit;
    }
  }
  gap: 6px;
  cursor: pointer;
  svg {
    flex: none;
    align-self: center;
    width: 15px;
    height: 15px;
    background: #fff;
    border: 1px solid #6f6f6f;
    path {
      fill: none;
      stroke: transparent;
      stroke-width: 2.6;
    }
  }
  &[data-selected] svg {
    background: #1c4a78;
    border-color: #1c4a78;
    path {
      stroke: #fff;
    }
  }
  &[data-disabled] {
    cursor: default;
    svg {
      background: #c9c9c9;
      border-color: #9a9a9a;
    }
    &[data-selected] svg {
      background: #6d6d6d;
    }
  }
  @media (forced-colors: active) {
    &[data-selected] svg {
      forced-color-adjust: none;
      background: Highlight;
    }
  }
`;

/** On or off. */
export const Tick = ({
  checked,
  onChange,
  slot,
  children,
  label,
  isDisabled = false,
  reached = true,
}: {
  checked?: boolean;
  onChange?: (on: boolean) => void;
  /** Its place in a list: there the list says whether it is on. */
  slot?: 'selection';
  /** What is ticked; or `label`, where it stands beside it already. */
  children?: ReactNode;
  label?: string;
  isDisabled?: boolean;
  /** Whether the tab key stops at it. */
  reached?: boolean;
}) => (
  <Face
    {...(slot
      ? { slot }
      : {
          isSelected: checked ?? false,
          isDisabled,
          excludeFromTabOrder: !reached,
          ...(onChange ? { onChange } : {}),
        })}
    {...(label ? { 'aria-label': label } : {})}
  >
    <svg viewBox="0 0 15 15" aria-hidden>
      <path d="M2.5 7.8 6 11.2 12.2 3.6" />
    </svg>
    {children !== undefined && <span>{children}</span>}
  </Face>
);
