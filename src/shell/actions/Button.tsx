'use client';
import { Link } from '../link';
import { Button as AriaButton } from 'react-aria-components';
import styled, { css } from 'styled-components';

const look = css<{ $plain?: boolean; $small?: boolean }>`
  appearance: none;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 7px;
  border: 1px solid ${({ $plain }) => ($plain ? 'var(--ink)' : '#12314f')};
  background: ${({ $plain }) => ($plain ? 'transparent' : '#1c4a78')};
  color: ${({ $plain }) => ($plain ? 'var(--ink)' : '#fff')};
  font:
    500 ${({ $small }) => ($small ? '12.5px/1' : '13.5px/1')} 'Commissioner',
    sans-serif;
  padding: ${({ $small }) => ($small ? '6px 9px' : '9px 13px')};
  text-decoration: none;
  cursor: pointer;
  white-space: nowrap;
  transition: background 0.12s;
  &:hover,
  &[data-hovered] {
    background: ${({ $plain }) => ($plain ? 'rgba(128,128,128,.16)' : '#12314f')};
  }
  &[data-disabled],
  &:disabled {
    background: #a5a5a5;
    border-color: #8d8d8d;
    color: #2b2b2b;
    cursor: default;
  }
`;

/** A verb. `$plain` for what is not the next step. */
export const Button = styled(AriaButton)<{ $plain?: boolean; $small?: boolean }>`
  ${look}
`;

export const ButtonLink = styled(Link)<{ $plain?: boolean; $small?: boolean }>`
  ${look}
`;

export const DownloadLink = styled.a<{ $plain?: boolean; $small?: boolean }>`
  ${look}
`;
