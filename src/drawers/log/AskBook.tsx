'use client';
import { readField } from '@/core/input';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '@/shell/actions';
import { Choose, EnterForm, Line } from '@/shell/fields';
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
  select {
    font:
      400 13.5px 'Commissioner',
      sans-serif;
    padding: 5px 6px;
    background: #fff;
    color: #161616;
    border: 1px solid #6f6f6f;
  }
`;

const DEVICES = ['flatbed', 'camera', 'film', 'digital'] as const;

/** The question that the book exists for. */
export function AskBook({ view }: { view: PrintsView }) {
  const { query, papers } = view;
  const go = useAddress();
  const bench = useBench();
  const [factor, setFactor] = useState(() => query.factor ? askedFactor.write(Number(query.factor), bench) : '');
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
        aria-label="Enlarged about, times"
        aria-invalid={factor !== '' && !read.ok}
        inputMode="decimal"
        style={{ width: 58, textAlign: 'right' }}
        value={factor}
        onChange={(e) => setFactor(e.target.value)}
      />
      × from
      <Choose aria-label="From" value={source} onChange={(e) => setSource(e.target.value)}>
        <option value="">anything</option>
        {[...new Set([...DEVICES, ...Object.keys(SOURCES)])].map((s) => (
          <option key={s} value={s}>
            {SOURCES[s]}
          </option>
        ))}
      </Choose>
      onto
      <Choose
        aria-label="Onto"
        style={{ maxWidth: 170 }}
        value={paper}
        onChange={(e) => setPaper(e.target.value)}
      >
        <option value="">any paper</option>
        {papers.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}, {p.surface}
          </option>
        ))}
      </Choose>
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
