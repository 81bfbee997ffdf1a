'use client';
import styled from 'styled-components';
import type { SpeckVerdict } from '@/core/capture/specks';
import type { Stop } from '../walk';

export const VERDICT_WORDS: Record<SpeckVerdict, string> = {
  open: 'to look at',
  mended: 'mended',
  partOfPicture: 'of the picture',
  ignored: 'let be',
};
export const KEYS: Record<string, SpeckVerdict> = {
  m: 'mended',
  b: 'partOfPicture',
  i: 'ignored',
  x: 'open',
};
export const Threshold = styled.label`
  display: grid;
  gap: 4px;
  font-size: 13px;
  input {
    width: 100%;
    accent-color: var(--blue);
  }
`;

export const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

export const kindOf = (stop: Stop): string =>
  stop.kind === 'tile'
    ? 'look here yourself'
    : stop.length > 2.2 * stop.diameter
      ? 'hair'
      : stop.contrast < 0
        ? 'dark speck'
        : 'light speck';
