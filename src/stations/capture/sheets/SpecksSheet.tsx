'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { SpeckVerdict } from '@/core/capture/specks';
import { Button, useAction, useSingleKeys } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Slide } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Figures, Slip, SlipTitle } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { judgeSpeck } from '../actions';
import { LightTable } from '../LightTable';
import { ringsOverlay } from '../ringsOverlay';
import { stopsOf } from '../walk';
import type { SheetProps } from './sheetProps';
import { KEYS, Threshold, Row, kindOf } from './speckParts';
import { SpecksTable } from './SpecksTable';

const SPECK_KEYS = [
  { key: 'n N', does: 'the next speck, the one before' },
  { key: 'm b i x', does: 'mended, of the picture, let be, open again' },
  { key: '0', does: 'the whole picture again' },
];

/** Rows of the list that are shown at a time, around the one walked to. */
const SHOWN = 7;

/** The specks that were found, walked one by one at 100 per cent. */
export function SpecksSheet({ view, found, head }: SheetProps) {
  const format = useFormat();
  const { specks } = found.reading!;
  const [least, setLeast] = useState(0.5);
  const [at, setAt] = useState<number | null>(null);
  const [said, setSaid] = useState<Record<number, SpeckVerdict>>({});
  useEffect(() => setSaid({}), [found.verdicts]);
  const verdictOf = useCallback(
    (i: number): SpeckVerdict => said[i] ?? found.verdicts[i] ?? 'open',
    [said, found.verdicts],
  );
  const stops = useMemo(
    () => stopsOf(specks, least, found.picture.width),
    [specks, least, found.picture.width],
  );
  const current = at === null ? null : (stops[Math.min(at, stops.length - 1)] ?? null);
  const place = current === null ? -1 : stops.indexOf(current);
  const overlay = useMemo(
    () => ringsOverlay(stops, verdictOf, current),
    [stops, verdictOf, current],
  );
  const judging = useAction(judgeSpeck);
  const judge = (verdict: SpeckVerdict) => {
    if (!current || current.kind !== 'speck') return;
    const { index, x, y, diameter } = current;
    setSaid((s) => ({ ...s, [index]: verdict }));
    judging.run({
      workId: String(view.work.id),
      x: Math.round(x * 10) / 10,
      y: Math.round(y * 10) / 10,
      diameter: Math.round(diameter * 10) / 10,
      verdict,
    });
    if (verdict !== 'open') step(1);
  };
  const step = (by: number) =>
    setAt((was) =>
      stops.length === 0
        ? null
        : was === null
          ? by > 0
            ? 0
            : stops.length - 1
          : (was + by + stops.length) % stops.length,
    );
  useSingleKeys(SPECK_KEYS, (key) => {
    const verdict = KEYS[key];
    if (key === 'n' || key === 'j') step(1);
    else if (key === 'N' || key === 'k') step(-1);
    else if (key === '0') setAt(null);
    else if (verdict) judge(verdict);
    else return false;
    return true;
  });
  const speckStops = stops.filter((s) => s.kind === 'speck');
  const open = speckStops.filter((s) => verdictOf(s.index) === 'open').length;
  const from = Math.max(0, Math.min(place - 3, stops.length - SHOWN));
  return (
    <Bench>
      <Surface>
        {head}
        <LightTable
          picture={found.picture}
          overlay={overlay}
          lookAt={current}
          label={`${speckStops.length} specks ringed on the master of ${view.work.title}`}
        />
        <Small style={{ color: 'var(--soft)' }}>
          n next, N back, at 100 %; m mended, b belongs to the picture, i let it be, x take
          it back, 0 the whole picture. Veiled: too busy to tell.
        </Small>
      </Surface>
      <Slip
        label="Specks"
        actions={
          <Row>
            <Button onPress={() => step(1)} isDisabled={stops.length === 0}>
              Next
            </Button>
            <Button $plain onPress={() => step(-1)} isDisabled={stops.length === 0}>
              Back
            </Button>
            <Button $plain onPress={() => setAt(null)}>
              Whole picture
            </Button>
          </Row>
        }
      >
        <SlipTitle>Specks</SlipTitle>
        <Figures
          figures={[
            {
              value: format.number(open),
              unit: '',
              label: 'to look at',
              tone: open > 0 ? 'ochre' : undefined,
            },
            { value: format.number(speckStops.length - open), unit: '', label: 'decided' },
            {
              value: format.number(specks.busy.length),
              unit: '',
              label: 'busy tiles',
            },
          ]}
        />
        <Sentence>
          {place >= 0 && current
            ? `${place + 1} of ${stops.length}: ${kindOf(current)}${current.kind === 'speck' ? `, ${format.number(current.diameter)}\u202fpx, ${format.percent(current.confidence)} sure` : ''}.`
            : stops.length === 0
              ? 'Nothing was found. Still look once yourself: people who sweep twice find more.'
              : open === 0 && specks.busy.length === 0
                ? 'All are decided.'
                : 'Walk them at 100\u202f%, and the tiles where nothing can be told.'}
        </Sentence>
        {current?.kind === 'speck' && (
          <Row role="group" aria-label="This speck is">
            {(
              [
                ['mended', 'Mended'],
                ['partOfPicture', 'Belongs to the picture'],
                ['ignored', 'Let it be'],
              ] as const
            ).map(([verdict, word]) => (
              <Button
                key={verdict}
                $small
                $plain={verdictOf(current.index) !== verdict}
                onPress={() => judge(verdict)}
              >
                {word}
              </Button>
            ))}
          </Row>
        )}
        <Problem>{judging.problem}</Problem>
        <Threshold>
          <span>
            Show from {format.percent(least)} sure on: {speckStops.length} of{' '}
            {specks.found.length}
          </span>
          <Slide
            label="Show from so sure on"
            min={0.2}
            max={0.99}
            step={0.01}
            value={least}
            onChange={(sure) => {
              setLeast(sure);
              setAt(null);
            }}
          />
        </Threshold>
        {specks.more > 0 && (
          <Small>
            {format.number(specks.more)} more, all less sure, were left out of the list.
          </Small>
        )}
        <SpecksTable
          stops={stops.slice(from, from + SHOWN)}
          current={current}
          verdictOf={verdictOf}
          onPick={(i) => setAt(from + i)}
        />
        <Small>
          Contrast against the ground around it, of 255. Verdicts stay with their place,
          also for a newer version of the file.
        </Small>
      </Slip>
    </Bench>
  );
}
