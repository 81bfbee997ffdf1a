'use client';
import styled from 'styled-components';
import type { SizeRules } from '@/core/size';

export const PANE_HEIGHT = 262;

export const Panes = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 10px;
  figure {
    min-width: 0;
  }
  img {
    display: block;
    width: 100%;
    height: ${PANE_HEIGHT}px;
    object-fit: none;
    object-position: center;
    background: #9c9c9c;
    border: 1px solid var(--line);
  }
  figcaption {
    display: flex;
    justify-content: space-between;
    font-size: 13px;
    padding-top: 2px;
  }
`;

export const Overview = styled.div`
  position: relative;
  align-self: center;
  touch-action: none;
  cursor: crosshair;
  img {
    display: block;
    width: 100%;
    height: 100%;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  &:focus-visible {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
`;

export const between = (value: number) => Math.max(0, Math.min(1, value));

export const bandOf = (factor: number, rules: SizeRules): string =>
  factor <= 1
    ? 'native'
    : factor <= rules.resamplerHolds
      ? 'held'
      : factor <= rules.proofFirst
        ? 'proof first'
        : 'too far';
