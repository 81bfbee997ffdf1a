'use client';
import { Archive, BookOpen, Search, Settings } from 'lucide-react';
import { Link } from '@/shell/link';
import { usePathname } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import styled from 'styled-components';
import { useAction } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import { Keys, helpAt } from '@/shell/frame';
import type { LaidOpen } from '@/shell/frame';
import { setSwitches } from './actions';

const Switch = styled.button`
  appearance: none;
  border: 1px solid #6a6a6a;
  background: transparent;
  font-size: 12px;
  padding: 4px 6px;
  text-align: left;
  cursor: pointer;
  white-space: nowrap;
  &:hover {
    background: #c6c6c6;
  }
`;

const Row = styled.div`
  display: flex;
  gap: 6px;
  align-items: center;
  > * {
    flex: 1;
  }
  a {
    display: grid;
    place-items: center;
    color: #161616;
    padding: 3px;
  }
`;

const NEXT_TONE = { light: 'middle', middle: 'dark', dark: 'light' } as const;

/** Units and grey of the table, at the foot of the chest, and on the keys u and g. */
export function BenchSwitches() {
  const { units, tone } = useBench();
  const { run } = useAction(setSwitches);
  const path = usePathname();
  const [laid, setLaid] = useState<LaidOpen>(null);
  const onUnits = useCallback(
    () => run({ units: units === 'metric' ? 'inch' : 'metric' }),
    [run, units],
  );
  const onTone = useCallback(() => run({ tone: NEXT_TONE[tone] }), [run, tone]);
  const onSingleKeys = useCallback(
    (on: boolean) => run({ singleKeys: on ? 'on' : 'off' }),
    [run],
  );
  const commands = useMemo(
    () => [
      { name: 'Millimetres or inches', key: 'u', run: onUnits },
      { name: 'Another grey of the table', key: 'g', run: onTone },
    ],
    [onUnits, onTone],
  );
  return (
    <>
      <Row>
        <Switch type="button" onClick={() => setLaid('find')}>
          <Search size={12} aria-hidden /> Find
        </Switch>
        <Switch type="button" onClick={() => setLaid('keys')}>
          ? Keys
        </Switch>
      </Row>
      <Switch type="button" onClick={onUnits}>
        Units: {units === 'metric' ? 'mm / cm' : 'inches'}
      </Switch>
      <Switch type="button" onClick={onTone}>
        Grey: {tone}
      </Switch>
      <Row>
        <Link href={helpAt(path)} aria-label="Help on this view">
          <BookOpen size={16} aria-hidden />
        </Link>
        <Link href="/safekeeping" aria-label="Your data and its backups">
          <Archive size={16} aria-hidden />
        </Link>
        <Link href="/settings" aria-label="Bench settings">
          <Settings size={16} aria-hidden />
        </Link>
      </Row>
      <Keys commands={commands} laid={laid} onLaid={setLaid} onSingleKeys={onSingleKeys} />
    </>
  );
}
