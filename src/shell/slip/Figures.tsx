'use client';
import styled from 'styled-components';
import { SERIF } from '../frame/theme';

const FigureRow = styled.dl`
  display: flex;
  gap: 16px;
  justify-content: space-between;
`;

const FigureCell = styled.div<{ $tone?: string }>`
  min-width: 0;
  dd {
    font: 400 31px/1.05 ${SERIF};
    white-space: nowrap;
    color: ${({ $tone }) => ($tone ? `var(--${$tone})` : 'inherit')};
  }
  dd small {
    font-size: 16px;
    margin-left: 2px;
  }
  dt {
    font-size: 12px;
    color: var(--soft);
  }
`;

export interface BigFigure {
  value: string;
  unit: string;
  label: string;
  tone?: 'ochre' | 'brick' | undefined;
}

/** Splits `1.3 m` (with its thin space) into figure and unit. */
export const splitUnit = (text: string): { value: string; unit: string } => {
  const at = text.lastIndexOf('\u202f');
  return at < 0
    ? { value: text, unit: '' }
    : { value: text.slice(0, at), unit: text.slice(at + 1) };
};

/** Two or three large figures with their units. */
export const Figures = ({ figures }: { figures: BigFigure[] }) => (
  <FigureRow>
    {figures.map((f) => (
      <FigureCell key={f.label} $tone={f.tone}>
        <dd>
          {f.value}
          {f.unit && <small>{f.unit}</small>}
        </dd>
        <dt>{f.label}</dt>
      </FigureCell>
    ))}
  </FigureRow>
);
