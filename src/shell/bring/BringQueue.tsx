'use client';
import { Link } from '../link';
import { useState } from 'react';
import styled from 'styled-components';
import { length, readField } from '@/core/input';
import type { Millimetres } from '@/core/units';
import { Button } from '../actions/Button';
import { EnterForm } from '../fields/EnterForm';
import { LengthLine } from '../fields/LengthLine';
import { useBench } from '../figures/BenchContext';
import { paperCss } from '../frame/theme';
import { Progress } from '../said/states';
import type { BroughtFile } from './sendFile';

const Tray = styled.section`
  ${paperCss}
  position: fixed;
  right: 18px;
  bottom: 18px;
  z-index: 9;
  width: min(400px, 92vw);
  max-height: 60vh;
  overflow: auto;
  display: grid;
  gap: 9px;
  padding: 13px 16px;
  background: #f6f6f6;
  color: var(--ink);
  border: 1px solid #6f6f6f;
  box-shadow: 0 2px 10px rgba(0, 0, 0, 0.4);
  h2 {
    font-size: 17px;
  }
  li {
    display: grid;
    gap: 3px;
    padding: 6px 0;
    border-top: 1px solid var(--line);
    font-size: 13px;
    overflow-wrap: anywhere;
  }
  li[data-state='refused'] span {
    color: var(--brick);
  }
`;

/** An original is no wider. */
const asked = length('How wide is the original', { above: 0, max: 20_000 });

function AskWidth({ onWidth }: { onWidth: (width: number) => void }) {
  const [width, setWidth] = useState<Millimetres | null>(null);
  const bench = useBench();
  const ready = width !== null && readField(asked, asked.write(width, bench), bench).ok;
  return (
    <EnterForm onEnter={() => ready && onWidth(width)} style={{ display: 'grid', gap: 6 }}>
      <LengthLine field={asked} value={width} onChange={setWidth} />
      <Button type="submit" $small isDisabled={!ready} style={{ justifySelf: 'start' }}>
        Take it in
      </Button>
    </EnterForm>
  );
}

/** What is said of a file, without its name, which stands above. */
const ownWords = ({ words, file }: BroughtFile): string => {
  const own = words.startsWith(`${file.name}: `)
    ? words.slice(file.name.length + 2)
    : words;
  return own === '' ? '' : own[0]!.toUpperCase() + own.slice(1);
};

/** What was dropped, file by file: what waits, what comes, what became of each. */
export function BringQueue({
  files,
  onWidth,
  onAway,
}: {
  files: readonly BroughtFile[];
  onWidth: (id: number, width: number) => void;
  onAway: () => void;
}) {
  if (files.length === 0) return null;
  const of = (state: BroughtFile['state']) => files.filter((f) => f.state === state).length;
  const open = of('waits') + of('comes');
  return (
    <Tray aria-label="What was brought">
      <h2>
        {open > 0
          ? `${files.length - open} of ${files.length} brought`
          : `${of('there')} of ${files.length} taken in`}
      </h2>
      <p className="sr" role="status">
        {open > 0
          ? ''
          : `${of('there')} taken in, ${of('refused')} refused, ${of('asks')} asked about.`}
      </p>
      <ul>
        {files.map((f) => (
          <li key={f.id} data-state={f.state}>
            <b>{f.file.name}</b>
            {f.state === 'waits' && <span>waits</span>}
            {f.state === 'comes' && (
              <>
                <Progress
                  label={f.share < 1 ? 'arriving' : 'reading and decoding'}
                  share={f.share}
                />
                <Button
                  $small
                  $plain
                  style={{ justifySelf: 'start' }}
                  onPress={() => f.stop?.()}
                >
                  Stop
                </Button>
              </>
            )}
            {f.words && <span>{ownWords(f)}</span>}
            {f.state === 'there' && f.href && <Link href={f.href}>Go there</Link>}
            {f.state === 'asks' && <AskWidth onWidth={(width) => onWidth(f.id, width)} />}
          </li>
        ))}
      </ul>
      <Button $small $plain style={{ justifySelf: 'start' }} onPress={onAway}>
        Put this list away
      </Button>
    </Tray>
  );
}
