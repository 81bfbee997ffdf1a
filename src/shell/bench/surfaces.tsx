'use client';
import styled from 'styled-components';
import { narrow } from '../frame/theme';

export const Bench = styled.div`
  flex: 1;
  min-height: 0;
  display: flex;
  gap: 16px;
  padding: 16px 20px 16px 22px;
  ${narrow} {
    flex-direction: column;
    padding: 12px;
  }
`;

/** The working surface. */
export const Surface = styled.section`
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 12px;
  overflow: auto;
  ${narrow} {
    flex: none;
    overflow: visible;
  }
`;
