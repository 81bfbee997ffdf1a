'use client';
import { useContext } from 'react';
import { ComboBoxStateContext, ListBox, ListBoxItem } from 'react-aria-components';
import { ListLayout, Popover, Virtualizer } from 'react-aria-components';
import styled from 'styled-components';
import { laidOpenCss } from './box';

/** Choices: what is kept, and how it is called. */
export type Options = readonly (readonly [value: string, label: string])[];

/** A key is never empty, a value may be. */
export const keyOf = (value: string): string => `=${value}`;
export const valueOf = (key: unknown): string => String(key).slice(1);

const LINE = 27;
const MOST_HIGH = 10 * LINE;

const Laid = styled(Popover)`
  ${laidOpenCss}
  min-width: var(--trigger-width);
  max-width: min(440px, 92vw);
  overflow: hidden;
  display: flex;
`;

const List = styled(ListBox)`
  flex: 1;
  max-height: 320px;
  overflow: auto;
  outline: none;
  font:
    400 13.5px/1.4 'Commissioner',
    sans-serif;
  &[data-virtual] {
    width: 340px;
  }
  &[data-empty] {
    height: auto;
    padding: 7px 10px;
    color: #4a4a4a;
  }
`;

const Item = styled(ListBoxItem)`
  padding: 4px 10px;
  cursor: pointer;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  &[data-focused] {
    background: #dbe5ef;
  }
  &[data-selected] {
    background: #1c4a78;
    color: #fff;
  }
  &[data-focus-visible] {
    outline: 2px solid #1c4a78;
    outline-offset: -2px;
  }
`;

interface Row {
  id: string;
  label: string;
}

export const rowsOf = (options: Options): Row[] =>
  options.map(([value, label]) => ({ id: keyOf(value), label }));

const drawn = ({ id, label }: Row) => (
  <Item id={id} textValue={label}>
    {label}
  </Item>
);

/** The list of choices as it is laid open; of many, only those in sight are drawn. */
export const OptionList = ({ options }: { options: Options }) => (
  <Laid offset={2}>
    <List items={rowsOf(options)} dependencies={[options]}>
      {drawn as never}
    </List>
  </Laid>
);

/** The same of those that a search leaves over. */
export const FoundList = ({ virtual }: { virtual: boolean }) => {
  const found = useContext(ComboBoxStateContext)?.collection.size ?? 0;
  const empty = () => 'nothing like this';
  return (
    <Laid offset={2}>
      {virtual ? (
        <Virtualizer layout={ListLayout} layoutOptions={{ rowHeight: LINE }}>
          <List
            data-virtual
            style={{ height: Math.min(MOST_HIGH, Math.max(1, found) * LINE) }}
            renderEmptyState={empty}
          >
            {drawn as never}
          </List>
        </Virtualizer>
      ) : (
        <List renderEmptyState={empty}>{drawn as never}</List>
      )}
    </Laid>
  );
};
