'use client';
import styled from 'styled-components';
import { narrow } from './theme';

/** Chest at the left, the rest beside it; nothing scrolls but the parts. */
export const House = styled.div`
  display: flex;
  height: 100vh;
  > main,
  > div {
    flex: 1;
    min-width: 0;
    display: flex;
    flex-direction: column;
  }
  ${narrow} {
    flex-direction: column;
    height: auto;
    min-height: 100vh;
  }
`;
