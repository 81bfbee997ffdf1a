'use client';
import { useMemo } from 'react';
import {
  layOutSettingsSheet,
  partInCell,
  ppiOf,
  printPlan,
  settingGrid,
} from '@/core/prepare';
import { layOutStrip } from '@/core/proof';
import { mmOf } from '@/core/units';
import { Button, useAction, useKept } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Strips, Tick } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle, splitUnit } from '@/shell/slip';
import { Sentence, Small } from '@/shell/words';
import { PlainChoice } from '../PlainChoice';
import { RuleNotice } from '../RuleNotice';
import type { SheetProps } from '../sheetProps';
import { SHEET_CHOICES } from '../proofWish';
import { orderSettingsSheet } from '../settingsActions';
import { isSettingsDesk, usualSettings } from '../settingsDesk';
import type { SettingsDesk } from '../settingsDesk';
import { STRIP_CHOICE, noRoomForCells, pointWords } from '../sheetWords';
import { AxisFields } from './AxisFields';
import { WrittenSheets } from './WrittenSheets';
import { ChooseCell } from './ChooseCell';
import { SettingsDrawing } from './SettingsDrawing';

/** Settings sheet: one picture in a grid of settings, each labelled, on one sheet of paper. */
export function SettingsSheetView(props: SheetProps) {
  const { view, master, picked, desk: recipeDesk, head } = props;
  const { work, papers } = view;
  const { recipe } = recipeDesk;
  const format = useFormat();
  const [kept, keep] = useKept(`settings-sheet-${work.id}`, isSettingsDesk);
  const desk = kept ?? usualSettings;
  const put = (over: Partial<SettingsDesk>) => keep({ ...desk, ...over });
  const { run, sending, problem } = useAction(
    orderSettingsSheet,
    'Settings sheet ordered.',
  );
  const ppi = ppiOf(recipe);
  const sheets = [...SHEET_CHOICES, ...papers];
  const sheet = sheets.find((s) => s.name === desk.sheet) ?? SHEET_CHOICES[1]!;
  const plan = useMemo(
    () => printPlan(master.facts, picked.fit, ppi),
    [master.facts, picked.fit, ppi],
  );
  const { columns, cells } = useMemo(
    () => settingGrid(recipe, desk.axes),
    [recipe, desk.axes],
  );
  const laid = layOutSettingsSheet({
    sheet,
    ppi,
    margin: desk.margin,
    of: desk.of,
    columns,
    count: cells.length,
    plan,
    strip: desk.strip ? layOutStrip(ppi) : null,
  });
  const [first, second = null] = desk.axes;
  const media = desk.axes.find((a) => a.axis === 'media');
  return (
    <Bench>
      <Surface>
        {head}
        {laid ? (
          <SettingsDrawing
            view={view}
            master={master}
            name={sheet.name}
            laid={laid}
            ppi={ppi}
            partOf={(cell) => partInCell(plan, master.facts, desk, cell)}
            recipeOf={(n) => cells[n]?.recipe ?? recipe}
          />
        ) : (
          <Sentence $tone="stop">
            {noRoomForCells(cells.length, sheet.name, desk.strip)}
          </Sentence>
        )}
        <ChooseCell {...props} />
      </Surface>
      <Slip
        label="The settings sheet"
        actions={
          <Button
            isDisabled={sending || !laid}
            onPress={() =>
              run({
                workId: String(work.id),
                sizeKey: picked.key,
                recipe: JSON.stringify(recipe),
                desk: JSON.stringify({
                  ...desk,
                  axes: desk.axes.map((a) => ({
                    ...a,
                    words: a.words.map((word) => word.trim()).filter(Boolean),
                  })),
                }),
              })
            }
          >
            {media && media.words.length > 1
              ? `Write ${media.words.filter((word) => word.trim()).length} settings sheets`
              : 'Write the settings sheet'}
          </Button>
        }
      >
        <SlipTitle>Settings sheet</SlipTitle>
        <SlipSub>
          {picked.label}, from the recipe as it stands, {ppi} ppi
        </SlipSub>
        <Figures
          figures={[
            { value: String(cells.length), unit: '', label: 'cells' },
            {
              ...(laid
                ? splitUnit(format.length(mmOf(laid.places[0]?.width ?? 0, ppi)))
                : { value: '–', unit: '' }),
              label: 'wide each',
            },
          ]}
        />
        <RuleNotice workId={work.id} sizeKey={picked.key} desk={recipeDesk} />
        <Small>
          Tone and colour are drawn nearly as they come out; sharpening and intent are seen
          on the paper.
        </Small>
        <Small>
          {cells
            .slice(0, columns)
            .map((c) => c.points[0])
            .filter((p) => p !== undefined)
            .map((p) => pointWords(p.axis, p.value))
            .join(' · ')}
        </Small>
        <AxisFields
          label="across"
          plan={first ?? null}
          onChange={(a) => a && put({ axes: second ? [a, second] : [a] })}
        />
        <AxisFields
          label="down"
          plan={second}
          optional
          onChange={(a) => put({ axes: a ? [first!, a] : [first!] })}
        />
        {media && (
          <Small>
            A printer takes one media setting for a sheet: each that is named (apart by “;”)
            becomes a sheet of its own, with its name on it.
          </Small>
        )}
        <Strips
          label="What is seen"
          value={desk.of}
          options={[
            ['whole', 'whole picture'],
            ['piece', 'piece at full size'],
          ]}
          onChange={(of) => put({ of })}
        />
        <PlainChoice
          label="sheet"
          value={sheet.name}
          options={sheets.map(
            (s) =>
              [
                s.name,
                `${s.name}, ${Math.round(s.width)} × ${Math.round(s.height)} mm`,
              ] as const,
          )}
          onChange={(name) => put({ sheet: name })}
        />
        <Tick checked={desk.strip ?? false} onChange={(strip) => put({ strip })}>
          {STRIP_CHOICE}
        </Tick>
        <Problem>{problem}</Problem>
        <WrittenSheets view={view} kind="settings" />
      </Slip>
    </Bench>
  );
}
