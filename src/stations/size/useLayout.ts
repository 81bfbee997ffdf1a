'use client';
import { readField } from '@/core/input';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { plainLayout } from '@/core/size';
import type { Fit, Layout, Place } from '@/core/size';
import { mm } from '@/core/units';
import type { Millimetres } from '@/core/units';
import { isFact } from '@/core/facts';
import { LAYOUT } from '@/core/size';
import { keepInTab, keptInTab, useDesk } from '@/shell/actions';
import { useBench } from '@/shell/figures';
import type { Form, TypedValues } from '@/shell/fields';
import { LAYOUT_FIELDS, layoutOf } from './layoutForm';
import type { LayoutLength } from './layoutForm';

/** Even all round, weighted at the foot, or each side by itself. */
export type Weighting = 'even' | 'foot' | 'sides';
export const WEIGHTINGS: [Weighting, string][] = [
  ['even', 'Even'],
  ['foot', 'Weighted'],
  ['sides', 'Each side'],
];

const SHOWN: Record<Weighting, readonly LayoutLength[]> = {
  even: [],
  foot: ['below'],
  sides: ['above', 'right', 'below', 'left'],
};
export interface LayoutDesk {
  form: Form;
  fit: Fit;
  setFit: (fit: Fit) => void;
  place: Place;
  setPlace: (place: Place) => void;
  weighting: Weighting;
  setWeighting: (w: Weighting) => void;
  /** Which of the fields count now. */
  shown: readonly LayoutLength[];
  /** The layout as it was last typed right. */
  layout: Layout;
  /** What was typed, for the action; null while something cannot be read. */
  typed: TypedValues | null;
  /** Lays out as a size was offered. */
  take: (layout: Layout) => void;
}

const weightingOf = ({ borders: b }: Layout): Weighting =>
  b.above !== b.left || b.above !== b.right
    ? 'sides'
    : b.below === b.above
      ? 'even'
      : 'foot';

const isLayout = isFact(LAYOUT);

/** How pictures meet their sheets, as it is typed: fields with their units and their errors. */
export function useLayout(name: string, start: Layout | undefined): LayoutDesk {
  const bench = useBench();
  useDesk(name);
  const first = useMemo(
    () => start ?? plainLayout('within', mm(bench.units === 'metric' ? 20 : 19.05)),
    // What was typed stays, whatever is offered or switched meanwhile.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [],
  );
  const texts = (l: Layout): TypedValues => {
    const said = (length: Millimetres) => LAYOUT_FIELDS.border.write(length, bench);
    return {
      border: said(l.borders.above),
      above: said(l.borders.above),
      right: said(l.borders.right),
      below: said(l.borders.below),
      left: said(l.borders.left),
      bleed: said(l.bleed),
      deckle: said(l.deckle),
    };
  };
  const form = useForm<TypedValues>({ defaultValues: texts(first) });
  const [fit, setFit] = useState<Fit>(first.fit);
  const [place, setPlace] = useState<Place>(first.place);
  const [weighting, setWeighting] = useState<Weighting>(weightingOf(first));
  const last = useRef(first);
  const values = form.watch();
  const shown = SHOWN[weighting];
  const names: LayoutLength[] = ['border', ...shown, 'bleed', 'deckle'];
  const problems: Record<string, string> = {};
  const said: Partial<Record<LayoutLength, Millimetres>> = {};
  for (const name of names) {
    // A side that is left empty is like the border; no bleed is none.
    const read = readField<Millimetres | null>(
      LAYOUT_FIELDS[name],
      values[name] ?? '',
      bench,
    );
    if (!read.ok) problems[name] = read.fault;
    else if (read.value !== null) said[name] = read.value;
  }
  const wrong = JSON.stringify(problems);
  useEffect(() => {
    const now = JSON.parse(wrong) as Record<string, string>;
    form.clearErrors();
    for (const [name, message] of Object.entries(now)) form.setError(name, { message });
  }, [form, wrong]);
  const key = JSON.stringify([said, fit, place, weighting]);
  const layout = useMemo(() => {
    if (wrong !== '{}') return { ...last.current, fit, place };
    const side = (name: LayoutLength) =>
      shown.includes(name) ? (said[name] ?? null) : null;
    last.current = layoutOf({
      fit,
      place,
      border: said.border ?? mm(0),
      above: side('above'),
      right: side('right'),
      below: side('below'),
      left: side('left'),
      bleed: said.bleed ?? null,
      deckle: said.deckle ?? null,
    });
    return last.current;
    // `key` says all that `said` and `shown` do.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, wrong]);
  const take = (l: Layout) => {
    setFit(l.fit);
    setPlace(l.place);
    setWeighting(weightingOf(l));
    form.reset(texts(l));
  };
  const come = useRef(false);
  useEffect(() => {
    // What was laid out here before is there again; from then on each layout is kept.
    if (come.current) keepInTab(name, layout);
    else {
      come.current = true;
      const before = keptInTab(name, isLayout);
      if (before) take(before);
    }
    // Only a new layout is kept.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name, layout]);
  return {
    form,
    fit,
    setFit,
    place,
    setPlace,
    weighting,
    setWeighting,
    shown,
    layout,
    typed:
      wrong === '{}'
        ? { fit, place, ...Object.fromEntries(names.map((n) => [n, values[n] ?? ''])) }
        : null,
    take,
  };
}
