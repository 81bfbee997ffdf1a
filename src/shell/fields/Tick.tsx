'use client';
import type { ReactNode } from 'react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';

const Face = styled(Checkbox)`
  display: inline-flex;
  align-items: baseline;
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
  &[data-focus-visible] {
    outline: none;
    svg {
      outline: 2px solid var(--blue);
      outline-offset: 2px;
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
  children,
  label,
  isDisabled = false,
  reached = true,
}: {
  checked: boolean;
  onChange: (on: boolean) => void;
  /** What is ticked; or `label`, where it stands beside it already. */
  children?: ReactNode;
  label?: string;
  isDisabled?: boolean;
  /** Whether the tab key stops at it. */
  reached?: boolean;
}) => (
  <Face
    isSelected={checked}
    onChange={onChange}
    isDisabled={isDisabled}
    excludeFromTabOrder={!reached}
    {...(label ? { 'aria-label': label } : {})}
  >
    <svg viewBox="0 0 15 15" aria-hidden>
      <path d="M2.5 7.8 6 11.2 12.2 3.6" />
    </svg>
    {children !== undefined && <span>{children}</span>}
  </Face>
);
