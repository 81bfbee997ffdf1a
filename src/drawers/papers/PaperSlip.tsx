'use client';
import { useFormat } from '@/shell/figures';
import { Link } from '@/shell/link';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { comingWords } from '@/studio/words/boughtWords';
import { lotAmount } from '@/studio/words/lotWords';
import { brightenedWords, permanenceLine, settingWords } from '@/studio/words/paperWords';
import { Lots } from './Lots';
import { soldWords } from '@/studio/words/formatWords';
import { STATION_WORDS } from './lifeWords';
import type { PapersView } from './view';
import { shelfWords } from './words';

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
  const { replacement, formats, lasting, soon, lots, uses, profiles } = view;
  const format = useFormat();
  const lasts = permanenceLine(picked);
  const said = picked.toCome
    ? {
        sentence: `Not bought yet: ${STATION_WORDS[picked.station]}.`,
        caution: false,
        more: '',
      }
    : shelfWords(picked, { lasting, replacement, soon }, format.day);
  return (
    <Slip label={picked.name}>
      <SlipTitle>{picked.name}</SlipTitle>
      <SlipSub>
        {picked.maker} · <Link href={`/papers?paper=${picked.id}&life=1`}>its life</Link> ·{' '}
        <Link href={`/papers?paper=${picked.id}&edit=1`}>change, discontinue</Link>
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
      <Sentence $tone={said.caution && !view.coming ? 'caution' : 'plain'}>
        {said.sentence}
      </Sentence>
      {said.more && <Small>{said.more}</Small>}
      {view.coming && <Small>{comingWords(view.coming, view.today, format.day)}</Small>}
      <FactList
        facts={[
          [
            'Base, surface',
            [picked.base, picked.surface, picked.acidFree && 'acid-free']
              .filter(Boolean)
              .join(', '),
          ],
          ['Sheet', format.size({ width: picked.sheetWidth, height: picked.sheetHeight })],
          [
            'Sold as',
            <Link key="sold" href={`/papers?paper=${picked.id}&sold=1`}>
              {soldWords(formats, format)}
            </Link>,
          ],
          ['Printer setting', picked.printerSetting || 'none noted'],
          [
            'Profile',
            profiles.length === 0 ? (
              <Link key="none" href="/papers/profiles?bring=1">
                none yet: bring one
              </Link>
            ) : (
              profiles.map((p) => (
                <span key={`${p.sha256} ${p.printer} ${p.setting}`}>
                  <Link href={`/papers/profiles?profile=${p.sha256}`}>{p.profile}</Link>
                  {p.standIn && ` by ${settingWords(p)}`}
                </span>
              ))
            ),
          ],
        ]}
      />
      <Small>
        {lasts
          ? `Lasts ${lasts}.`
          : picked.permanence
            ? `Permanence, as noted before: ${picked.permanence}. Without figure, source and display it is quoted nowhere.`
            : null}
        {picked.scuffs && ' ▲ Scuffs at a touch: gloves, and tissue between sheets.'}
        {picked.brightened === 'yes' && ` Its white is ${brightenedWords('yes')}.`}
      </Small>
      {picked.note && <Small>{picked.note}</Small>}
      <Lots lots={lots} plans={view.plans} paperId={picked.id} />
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
