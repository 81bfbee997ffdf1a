'use client';
import { memo, useMemo } from 'react';
import type { SizeRules } from '@/core/size';
import { MM_PER_INCH, formatSizeFigures } from '@/core/units';
import type { Size } from '@/core/units';
import { useBench, useFormat } from '@/shell/figures';
import { WalkedTable } from '@/shell/table';
import type { Format } from '@/shell/figures';
import type { Column } from '@/shell/table';
import type { Step } from '../useSizing';
import { adviceTone, adviceWord, bytesWords } from '../words';
import { Chosen } from './Chosen';

interface LadderTableProps {
  steps: Step[];
  rules: SizeRules;
  picked: string | null;
  chosen: ReadonlySet<string>;
  onPick: (key: string) => void;
  onChoose: (key: string) => void;
}

const ppiWords = ({ across, down }: Step['judgement']['figures'], format: Format) =>
  Math.abs(across - down) < 0.5
    ? format.number(Math.min(across, down))
    : `${format.number(across)} × ${format.number(down)}`;

/** Every size of the ladder with its figures; sorted by its heads, walked by arrow keys. */
export const LadderTable = memo(function LadderTable(props: LadderTableProps) {
  const { steps, rules, picked, chosen, onPick, onChoose } = props;
  const format = useFormat();
  const { units, locale } = useBench();
  const unit = units === 'metric' ? 'cm' : 'in';
  const inHead = units === 'metric' ? 'm' : 'in';
  const columns = useMemo((): Column<Step>[] => {
    const inches = (mm: number) => format.number(mm / MM_PER_INCH, 1);
    // Tenths of an inch are enough to compare sizes by, and all that there is room for.
    const figures = (s: Size) =>
      units === 'metric'
        ? formatSizeFigures(s, units, locale)
        : `${inches(s.width)} × ${inches(s.height)}`;
    const distance = (mm: number) =>
      units === 'metric' ? format.number(mm / 1000, 2) : inches(mm);
    const area = (s: Size) => s.width * s.height;
    return [
      {
        key: 'chosen',
        width: 26,
        head: '',
        said: 'Choose',
        unsorted: true,
        value: () => '',
        cell: (s) => (
          <Chosen step={s} picked={picked} chosen={chosen} onChoose={onChoose} />
        ),
      },
      {
        key: 'size',
        width: 94,
        head: 'size',
        byFigure: true,
        short: true,
        value: (s) => area(s.fit.sheet),
        cell: (s) => (
          <>
            {s.label}
            {s.decided?.kind === 'offered' && ' ✓'}
          </>
        ),
      },
      {
        key: 'image',
        width: 74,
        head: `image, ${unit}`,
        figure: true,
        value: (s) => area(s.fit.image),
        cell: (s) => figures(s.fit.image),
      },
      {
        key: 'sheet',
        width: 74,
        head: `sheet, ${unit}`,
        figure: true,
        value: (s) => area(s.fit.sheet),
        cell: (s) => figures(s.fit.sheet),
      },
      {
        key: 'ppi',
        width: 36,
        head: 'ppi',
        figure: true,
        value: (s) => s.judgement.figures.ppi,
        cell: (s) => ppiWords(s.judgement.figures, format),
      },
      {
        key: 'worth',
        width: 40,
        head: 'worth',
        figure: true,
        value: (s) => s.judgement.figures.worth,
        cell: (s) => format.number(s.judgement.figures.worth),
      },
      {
        key: 'asked',
        width: 44,
        head: 'asked',
        figure: true,
        value: (s) => s.judgement.figures.asked,
        cell: (s) =>
          `${format.number(s.judgement.figures.asked)}${s.judgement.meetsAsked ? '' : s.judgement.labsRefuse ? ' ▼' : ' ▲'}`,
      },
      {
        key: 'master',
        width: 42,
        head: '× file',
        figure: true,
        value: (s) => s.judgement.figures.enlargement,
        cell: (s) => format.number(s.judgement.figures.enlargement, 2),
      },
      {
        key: 'original',
        width: 44,
        head: '× orig.',
        figure: true,
        value: (s) => s.original,
        cell: (s) => format.number(s.original, 2),
      },
      {
        key: 'crop',
        width: 44,
        head: 'lost, %',
        figure: true,
        value: (s) => s.judgement.figures.cropShare,
        cell: (s) => format.number(s.judgement.figures.cropShare * 100, 1),
      },
      {
        key: 'crisp',
        width: 50,
        head: `crisp, ${inHead}`,
        figure: true,
        value: (s) => s.judgement.figures.crispFrom,
        cell: (s) => distance(s.judgement.figures.crispFrom),
      },
      {
        key: 'stand',
        width: 52,
        head: `stand, ${inHead}`,
        figure: true,
        value: (s) => s.judgement.figures.standing,
        cell: (s) => distance(s.judgement.figures.standing),
      },
      {
        key: 'bytes',
        width: 56,
        head: 'file',
        figure: true,
        value: (s) => s.bytes,
        cell: (s) => bytesWords(s.bytes, format),
      },
      {
        key: 'verdict',
        width: 76,
        head: 'verdict',
        byFigure: true,
        short: true,
        value: (s) => s.judgement.figures.crispFrom / s.judgement.figures.standing,
        cell: (s) => (
          <span data-tone={adviceTone(s.judgement)}>
            {s.reopened ? 'open again' : adviceWord(s.judgement)}
          </span>
        ),
      },
    ];
    // The rules change what is judged of the steps, and how it is said.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [format, units, locale, unit, inHead, picked, chosen, onChoose, rules]);
  return (
    <WalkedTable
      label="Ladder of sizes"
      rows={steps}
      columns={columns}
      id={(s) => s.key}
      picked={picked}
      lineHeight={26}
      onPick={(s) => onPick(s.key)}
    />
  );
});
