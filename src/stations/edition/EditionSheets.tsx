'use client';
import styled from 'styled-components';
import type { LaidSheet } from '@/core/edition';
import { Pencil } from '@/shell/words';

const Grid = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(66px, 1fr));
  gap: 9px 8px;
`;

const Sheet = styled.button<{ $state: LaidSheet['state'] }>`
  appearance: none;
  width: 100%;
  padding: 5px 5px 3px;
  border: ${({ $state }) => ($state === 'free' ? '1px dashed var(--soft)' : '1px solid #d9d9d9')};
  background: ${({ $state }) => ($state === 'free' ? 'transparent' : '#fdfdfc')};
  box-shadow: ${({ $state }) => ($state === 'free' ? 'none' : '0 1px 2px rgba(0,0,0,.3)')};
  color: ${({ $state }) => ($state === 'free' ? 'var(--soft)' : '#161616')};
  cursor: ${({ $state }) => ($state === 'free' ? 'default' : 'pointer')};
  display: grid;
  gap: 2px;
  text-align: left;
  font-size: 11px;
  line-height: 1.25;
  position: relative;
  img {
    width: 100%;
    height: 44px;
    object-fit: contain;
    display: block;
    opacity: ${({ $state }) => ($state === 'spoiled' ? 0.25 : 1)};
  }
  i {
    display: block;
    height: 44px;
  }
  &[aria-pressed='true'] {
    outline: 2.5px solid var(--blue);
    outline-offset: 2px;
  }
`;

const WORDS: Record<LaidSheet['state'], string> = {
  free: 'free',
  numbered: 'here',
  spoiled: 'spoiled',
  ordered: 'ordered',
  sold: 'sold',
  damaged: 'damaged',
  lost: 'lost',
};

const MARKS: Partial<Record<LaidSheet['state'], string>> = {
  sold: '● ',
  ordered: '◐ ',
  spoiled: '✕ ',
  damaged: '▲ ',
  lost: '○ ',
};

/** Printing of a number that was spoiled before. */
const NTH: Record<number, string> = { 2: '2nd', 3: '3rd' };

interface Props {
  cells: readonly LaidSheet[];
  preview: string | null;
  picked: string | null;
  onPick: (cell: LaidSheet) => void;
}

/** The edition laid out sheet by sheet: what is out, where it is, and what is still free. */
export const EditionSheets = ({ cells, preview, picked, onPick }: Props) => (
  <Grid aria-label="Impressions">
    {cells.map((c) => {
      const key = `${c.series}:${c.number}`;
      return (
        <li key={key}>
          <Sheet
            type="button"
            $state={c.state}
            disabled={c.state === 'free'}
            aria-pressed={picked === key}
            aria-label={`${c.label}, ${WORDS[c.state]}${c.order ? `, order ${c.order}` : ''}`}
            onClick={() => onPick(c)}
          >
            {c.state === 'free' || !preview ? <i /> : <img src={preview} alt="" />}
            <Pencil style={{ fontSize: 14 }}>{c.label}</Pencil>
            <span>
              {MARKS[c.state]}
              {WORDS[c.state]}
              {c.printing > 1 && `, ${NTH[c.printing] ?? `${c.printing}th`}`}
            </span>
          </Sheet>
        </li>
      );
    })}
  </Grid>
);
