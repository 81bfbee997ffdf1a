'use client';
import { readField } from '@/core/input';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '@/shell/actions';
import { Choose, EnterForm, Line } from '@/shell/fields';
import type { Options } from '@/shell/fields';
import { useBench } from '@/shell/figures';
import { useAddress } from '@/shell/table';
import { askedFactor } from './logForms';
import type { PrintsView } from './prints';
import { SOURCES } from './words';

const Row = styled(EnterForm)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 8px;
  font:
    400 16.5px/1.3 'Newsreader',
    serif;
  input,
  button {
    font:
      400 13.5px 'Commissioner',
      sans-serif;
  }
`;

const DEVICES = ['flatbed', 'camera', 'film', 'digital'] as const;
const FROM: Options = [
  ['', 'anything'],
  ...[...new Set([...DEVICES, ...Object.keys(SOURCES)])].map(
    (s) => [s, SOURCES[s] ?? s] as const,
  ),
];

/** The question that the book exists for. */
export function AskBook({ view }: { view: PrintsView }) {
  const { query, papers } = view;
  const go = useAddress();
  const bench = useBench();
  const [factor, setFactor] = useState(() =>
    query.factor ? askedFactor.write(Number(query.factor), bench) : '',
  );
  const [source, setSource] = useState(query.source ?? '');
  const [paper, setPaper] = useState(query.on ?? '');
  const read = readField(askedFactor, factor, bench);
  return (
    <Row
      onEnter={() => {
        if (read.ok) go({ factor: String(read.value), source, on: paper, page: null });
      }}
    >
      What worked when I enlarged about
      <Line
        figure
        label="Enlarged about, times"
        isInvalid={factor !== '' && !read.ok}
        style={{ width: 58 }}
        value={factor}
        onChange={setFactor}
      />
      × from
      <Choose
        label="From"
        style={{ width: 150 }}
        value={source}
        onChange={setSource}
        options={FROM}
      />
      onto
      <Choose
        label="Onto"
        style={{ width: 190 }}
        value={paper}
        onChange={setPaper}
        options={[
          ['', 'any paper'],
          ...papers.map((p) => [String(p.id), `${p.name}, ${p.surface}`] as const),
        ]}
      />
      <Button type="submit" $small isDisabled={!read.ok}>
        Ask the book
      </Button>
      {view.answer && (
        <Button
          $small
          $plain
          onPress={() =>
            go({
              factor: null,
              source: null,
              on: null,
              detail: null,
              for: null,
              size: null,
            })
          }
        >
          Put the question away
        </Button>
      )}
    </Row>
  );
}
