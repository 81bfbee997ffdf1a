'use client';
import styled from 'styled-components';
import { useFormat } from '@/shell/figures';
import { Small } from '@/shell/words';
import type { RecipeDesk } from './useRecipe';

export const List = styled.ol`
  display: grid;
  border-top: 1px solid var(--line);
  > li {
    border-bottom: 1px solid var(--line);
    padding: 4px 0;
    display: grid;
    gap: 5px;
  }
`;

export const Head = styled.div`
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 13px;
  > button:first-of-type {
    all: unset;
    flex: 1;
    min-width: 0;
    display: flex;
    gap: 7px;
    align-items: baseline;
    cursor: pointer;
    > small {
      flex: 1;
      text-align: right;
      font-size: 11.5px;
      color: var(--soft);
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
  }
  > button:first-of-type:focus-visible {
    outline: 2px solid var(--blue);
    outline-offset: 2px;
  }
  > button[aria-label] {
    all: unset;
    cursor: pointer;
    display: grid;
    padding: 1px;
    &:focus-visible {
      outline: 2px solid var(--blue);
    }
    &:disabled {
      opacity: 0.25;
      cursor: default;
    }
  }
  input {
    margin: 0;
  }
`;

/** What follows from ppi, distance and enlargement, and why. */
export function Suggestion({ desk }: { desk: RecipeDesk }) {
  const format = useFormat();
  const { suggestion, recipe, at } = desk;
  const { because, amount, radius, threshold } = suggestion;
  const step = recipe.steps[at];
  if (step?.kind !== 'output') return null;
  const taken =
    step.amount === amount && step.radius === radius && step.threshold === threshold;
  return (
    <Small>
      Suggested {amount}&#8239;%, {radius}&#8239;px, {threshold}: seen from{' '}
      {format.distance(because.viewingMm)}, {format.number(because.pixelsPerMinute, 1)}{' '}
      print pixels lie in the smallest angle an eye parts, and half of them is the radius;
      resized {format.number(because.factor, 2)} ×. Rule of thumb.{' '}
      {!taken && (
        <button
          type="button"
          className="link"
          onClick={() => desk.changeStep(at, { ...step, amount, radius, threshold })}
        >
          Take it
        </button>
      )}
    </Small>
  );
}
