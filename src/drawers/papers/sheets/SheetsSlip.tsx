'use client';
import { size } from '@/core/units';
import { DownloadLink } from '@/shell/actions';
import { Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { FactList, Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { SectionLabel, Sentence, Small } from '@/shell/words';
import { unplacedWords } from '@/studio/words/cutWords';
import { smallestSheet, sheetJob } from '@/core/cut';
import { Cuts } from './Cuts';
import { OneSheet, SheetDoings } from './OneSheet';
import { SchoolChoice } from './SchoolChoice';
import type { SheetsDesk } from './useSheetsDesk';
import type { SheetsView } from './view';
import { planWords, pieceName } from './words';

/** What the plan comes to, the picked sheet with its cuts, and what is done with it. */
export function SheetsSlip({
  view,
  desk,
  sheet: index,
  onSheet,
}: {
  view: SheetsView;
  desk: SheetsDesk;
  sheet: number;
  onSheet: (index: number) => void;
}) {
  const format = useFormat();
  const { state, shown, planning } = desk;
  const rolls = new Set(state.stock.filter((s) => s.kind === 'roll').map((s) => s.id));
  const plan = shown;
  const sheet = plan?.sheets[index];
  const of = (stock: string) => view.lots.find((l) => `lot:${l.id}` === stock);
  const lot = sheet && of(sheet.stock);
  const run =
    plan?.sheets.filter((s) => rolls.has(s.stock)).reduce((a, s) => a + s.length, 0) ?? 0;
  const whole = plan?.sheets.filter((s) => !rolls.has(s.stock)).length ?? 0;
  const waste =
    plan && plan.cost !== null
      ? format.money(plan.cost * plan.wasteShare, view.currency)
      : '';
  const job = sheetJob(state);
  const settled = planning.share === null && state.plan !== null;
  return (
    <Slip
      label="Sheets"
      actions={
        sheet && settled ? (
          <SheetDoings view={view} index={index} sheet={sheet} />
        ) : undefined
      }
    >
      <SlipTitle>{view.paper.name}</SlipTitle>
      <SlipSub>
        {lot
          ? `sheet ${index + 1} of lot ${lot.name}${lot.leftOver ? ', a left-over' : ''}`
          : `${view.lots.length} lots in the store room`}
      </SlipSub>
      {plan && (
        <Figures
          figures={[
            ...(whole > 0 || run === 0
              ? [
                  {
                    value: String(whole),
                    unit: '',
                    label: whole === 1 ? 'sheet' : 'sheets',
                  },
                ]
              : []),
            ...(run > 0
              ? [{ ...splitUnit(format.distance(run)), label: 'of the roll' }]
              : []),
            {
              value: format.number(plan.yieldShare * 100),
              unit: '%',
              label: 'is prints',
            },
            {
              value: format.number(plan.wasteShare * 100),
              unit: '%',
              label: waste ? `waste, ${waste}` : 'waste',
            },
          ]}
        />
      )}
      {plan && plan.sheets.length > 0 && (
        <Sentence>{planWords(plan, state, format.length, rolls)}</Sentence>
      )}
      {view.stale && (
        <Problem>
          There is less of this paper than when it was planned: a print took of it, or it
          was counted. Plan it anew under Pieces and paper.
        </Problem>
      )}
      {plan && plan.unplaced.length > 0 && (
        <>
          <SectionLabel>Pieces that found no place</SectionLabel>
          <FactList
            facts={[...new Map(plan.unplaced.map((u) => [u.piece, u])).values()].map(
              (u) => {
                const needs = smallestSheet(
                  job,
                  job.pieces.find((p) => p.id === u.piece)!,
                );
                const n = plan.unplaced.filter((o) => o.piece === u.piece).length;
                return [
                  `${n > 1 ? `${n} × ` : ''}${pieceName(state, u.piece)}`,
                  unplacedWords(u.why, format.size(size(needs.width, needs.height))),
                ];
              },
            )}
          />
        </>
      )}
      <SchoolChoice view={view} busy={planning.share !== null} />
      {plan && plan.sheets.length > 1 && plan.sheets.length <= 6 && (
        <Strips
          label="Sheet"
          value={String(index)}
          options={plan.sheets.map((_, i) => [String(i), String(i + 1)] as const)}
          onChange={(v) => onSheet(Number(v))}
        />
      )}
      {sheet && (
        <>
          <SectionLabel>Cuts of sheet {index + 1}, in order</SectionLabel>
          <Cuts sheet={sheet} roll={rolls.has(sheet.stock)} />
          <Small>
            ▲ Rule on the print’s side, fingers behind the guard, a new blade; the trimmer’s
            manual decides.{view.paper.scuffs && ' This paper scuffs at a touch: gloves.'}
          </Small>
          <OneSheet view={view} index={index} sheet={sheet} />
          {settled && (
            <div style={{ display: 'flex', gap: 8, flexWrap: 'wrap' }}>
              <DownloadLink $small $plain href={`/api/sheet-plans/${view.id}?form=pdf`}>
                List of cuts, PDF
              </DownloadLink>
              <DownloadLink
                $small
                $plain
                href={`/api/sheet-plans/${view.id}?form=svg&sheet=${index + 1}`}
              >
                Sheet {index + 1} at 1 : 1, SVG
              </DownloadLink>
            </div>
          )}
        </>
      )}
    </Slip>
  );
}
