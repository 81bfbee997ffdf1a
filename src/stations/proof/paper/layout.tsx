'use client';
import styled from 'styled-components';

/** The picture at the left, what is lost of it at the right; or the picture alone. */
export const Two = styled.div<{ $whole: boolean }>`
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: ${({ $whole }) => ($whole ? 'minmax(0, 1fr)' : 'minmax(0, 1fr) 372px')};
  gap: 20px;
`;
export const Left = styled.div`
  display: flex;
  flex-direction: column;
  min-height: 0;
`;
export const Right = styled.div`
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
  overflow-y: auto;
`;
export const Panes = styled.div`
  flex: 1;
  min-height: 0;
  display: flex;
  gap: 8px;
`;
