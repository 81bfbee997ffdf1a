'use client';
import styled from 'styled-components';
import { SERIF } from '../frame/theme';

export const Sentence = styled.p<{ $tone?: 'plain' | 'caution' | 'stop' }>`
  font: 400 16.5px/1.32 ${SERIF};
  color: ${({ $tone }) =>
    $tone === 'stop' ? 'var(--brick)' : $tone === 'caution' ? 'var(--ochre)' : 'inherit'};
`;

export const Small = styled.p`
  font-size: 12px;
  line-height: 1.35;
  color: var(--soft);
`;

export const SectionLabel = styled.h3`
  font:
    500 12.5px/1.2 'Commissioner',
    sans-serif;
  color: var(--soft);
  margin-top: 4px;
`;

export const TitleBlock = styled.div`
  h1 {
    font-size: 25px;
    line-height: 1.15;
  }
  p {
    color: var(--soft);
    margin-top: 2px;
  }
`;

/** A heading on the table. */
export const TableHead = styled.h2`
  font-size: 17px;
  line-height: 1.2;
`;

/** A pencilled number: 7/30. */
export const Pencil = styled.span`
  font: italic 400 1.12em/1 ${SERIF};
  color: #3d3d46;
  white-space: nowrap;
`;
