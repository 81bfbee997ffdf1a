'use client';
import { css } from 'styled-components';

/** What is typed or chosen in: white, framed, on any grey. */
export const boxCss = css`
  background: #fff;
  color: #161616;
  border: 1px solid #6f6f6f;
  &[data-invalid],
  &[aria-invalid='true'] {
    border: 2px solid var(--brick);
  }
  &[data-disabled],
  &:disabled {
    background: #d9d9d9;
    color: #3b3b3b;
  }
`;

/** What lies open over the page: a list, a calendar. */
export const laidOpenCss = css`
  background: #fff;
  color: #161616;
  border: 1px solid #3b3b3b;
  box-shadow: 0 2px 8px rgba(0, 0, 0, 0.35);
`;
