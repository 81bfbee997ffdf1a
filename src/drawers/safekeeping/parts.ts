'use client';
import styled from 'styled-components';

/** One matter of the view: its head and what stands under it. */
export const Part = styled.section`
  display: grid;
  gap: 8px;
  max-width: 720px;
`;

/** What is typed at a terminal. */
export const Code = styled.code`
  font-size: 12px;
  overflow-wrap: anywhere;
`;
