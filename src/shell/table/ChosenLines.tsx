'use client';
import styled from 'styled-components';
import { Button, DownloadLink } from '../actions/Button';

/** What can be done with several lines: something is sent, or a file is taken out. */
export type ManyAction =
  | { name: string; run: (chosen: readonly string[]) => void }
  | { name: string; href: (chosen: readonly string[]) => string };

const Bar = styled.div`
  position: sticky;
  top: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 6px 0;
  background: var(--table);
`;

/** Several lines that are chosen, and what can be done with them. */
export const ChosenLines = ({
  chosen,
  actions,
  onDone,
}: {
  chosen: readonly string[];
  actions: readonly ManyAction[];
  onDone: () => void;
}) => (
  <Bar role="group" aria-label="With the chosen lines">
    <span role="status">
      {chosen.length} {chosen.length === 1 ? 'line' : 'lines'} chosen
    </span>
    {actions.map((action) =>
      'href' in action ? (
        <DownloadLink key={action.name} $small $plain href={action.href(chosen)}>
          {action.name}
        </DownloadLink>
      ) : (
        <Button
          key={action.name}
          $small
          $plain
          onPress={() => {
            action.run(chosen);
            onDone();
          }}
        >
          {action.name}
        </Button>
      ),
    )}
    <Button $small $plain onPress={onDone}>
      Choose none
    </Button>
  </Bar>
);
