'use client';
import styled from 'styled-components';
import { SERIF, SLIP_WIDTH, narrow, paperCss } from './theme';

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

const Paper = styled.aside`
  ${paperCss}
  color: var(--ink);
  width: ${SLIP_WIDTH}px;
  flex: none;
  align-self: stretch;
  background:
    repeating-linear-gradient(90deg, rgba(0, 0, 0, 0.018) 0 1px, transparent 1px 3px),
    rgba(248, 248, 248, 0.9);
  box-shadow: 0 1px 4px rgba(0, 0, 0, 0.32);
  display: flex;
  flex-direction: column;
  min-height: 0;
  ${narrow} {
    width: auto;
  }
`;

const Scroll = styled.div`
  flex: 1;
  overflow: auto;
  padding: 16px 18px 12px;
  display: flex;
  flex-direction: column;
  gap: 11px;
`;

const Actions = styled.div`
  padding: 10px 18px 14px;
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
`;

/** The slip of glassine: figures, one sentence, a table, the next action. */
export const Slip = ({
  label,
  children,
  actions,
}: {
  label: string;
  children: React.ReactNode;
  actions?: React.ReactNode;
}) => (
  <Paper aria-label={label}>
    <Scroll>{children}</Scroll>
    {actions && <Actions>{actions}</Actions>}
  </Paper>
);

export const SlipTitle = styled.h2`
  font-size: 19px;
  line-height: 1.2;
`;

export const SlipSub = styled.p`
  font-size: 12.5px;
  color: var(--soft);
  margin-top: -7px;
`;

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

/** Two columns of small facts: name left, figure right. */
export const Facts = styled.dl`
  display: grid;
  grid-template-columns: 1fr auto;
  > div {
    display: contents;
  }
  dt,
  dd {
    padding: 4.5px 0;
    border-bottom: 1px solid var(--line);
    font-size: 13px;
  }
  dt {
    color: var(--soft);
    padding-right: 10px;
  }
  dd {
    text-align: right;
  }
`;

export const FactList = ({ facts }: { facts: [string, React.ReactNode][] }) => (
  <Facts>
    {facts.map(([name, value]) => (
      <div key={name}>
        <dt>{name}</dt>
        <dd>{value}</dd>
      </div>
    ))}
  </Facts>
);

/** A pencilled number: 7/30. */
export const Pencil = styled.span`
  font: italic 400 1.12em/1 ${SERIF};
  color: #3d3d46;
  white-space: nowrap;
`;
