'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '@/shell/actions';
import { Choose, Line } from '@/shell/fields';
import { useAddress } from '@/shell/table';
import type { PrintsView } from './prints';
import { SOURCES } from './words';

const Row = styled.form`
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
  const [factor, setFactor] = useState(query.factor ?? '');
  const [source, setSource] = useState(query.source ?? '');
  const [paper, setPaper] = useState(query.on ?? '');
  const number = Number(factor.replace(',', '.'));
  const fits = factor.trim() !== '' && number > 0 && number <= 100;
  return (
    <Row
      method="dialog"
      onSubmit={(e) => {
        e.preventDefault();
        if (fits) go({ factor: String(number), source, on: paper, page: null });
      }}
    >
      What worked when I enlarged about
      <Line
        aria-label="Enlarged about, times"
        aria-invalid={factor !== '' && !fits}
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
      <Button type="submit" $small isDisabled={!fits}>
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
