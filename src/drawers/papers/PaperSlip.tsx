'use client';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence } from '@/shell/words';
import { lotAmount } from '@/studio/words/lotWords';
import { Lots } from './Lots';
import type { PapersView } from './view';
import { stockSentence } from './words';

/** Uses that the slip has room for. */
const SHOWN = 4;

/** One paper: what is left of it, what it is, through which profile it is printed, what came and went. */
export function PaperSlip({
  view,
  picked,
}: {
  view: PapersView;
  picked: NonNullable<PapersView['picked']>;
}) {
  const { replacement, lots, uses, profiles } = view;
  const format = useFormat();
  return (
    <Slip label={picked.name}>
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        {picked.maker} ·{' '}
        <Link href={`/papers?paper=${picked.id}&edit=1`}>
          change, or note as discontinued
        </Link>
      </SlipSub>
      <Figures
        figures={[
          {
            value: format.number(picked.sheets, picked.sheets % 1 === 0 ? 0 : 1),
            unit: '',
            label: 'sheets left',
            tone: picked.level === 'enough' ? undefined : 'ochre',
          },
          { value: String(picked.weight), unit: 'g/m²', label: 'weight' },
          { ...splitUnit(format.thickness(picked.thickness)), label: 'thick' },
        ]}
      />
      <Sentence
        $tone={picked.level === 'enough' && !picked.discontinuedAt ? 'plain' : 'caution'}
      >
        {stockSentence(picked, replacement, format.day)}
      </Sentence>
      <FactList
        facts={[
          ['Base, surface', `${picked.base}, ${picked.surface}`],
          ['Sheet', format.size({ width: picked.sheetWidth, height: picked.sheetHeight })],
          ['Printer setting', picked.printerSetting || 'none noted'],
          [
            'Profile',
            profiles.length === 0 ? (
              <Link key="none" href="/papers/profiles?bring=1">
                none yet: bring one
              </Link>
            ) : (
              profiles.map((p) => (
                <Link key={p.sha256} href={`/papers/profiles?profile=${p.sha256}`}>
                  {p.profile}
                </Link>
              ))
            ),
          ],
        ]}
      />
      {picked.permanence && (
        <p style={{ fontSize: 12.5 }}>Permanence: {picked.permanence}</p>
      )}
      {picked.note && <p style={{ fontSize: 12.5 }}>{picked.note}</p>}
      <Lots lots={lots} paperId={picked.id} />
      {uses.length > 0 && <SectionLabel>What took of it last</SectionLabel>}
      <FactList
        facts={uses
          .slice(0, SHOWN)
          .map((u) => [
            `${format.day(u.at)}, ${u.reason}`,
            `${u.amount > 0 ? '−' : '+'}${lotAmount(u.lotKind, Math.abs(u.amount))}`,
          ])}
      />
    </Slip>
  );
}
