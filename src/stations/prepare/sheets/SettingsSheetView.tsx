'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import { layOutSettingsEitherWay, ppiOf, printPlan, settingGrid } from '@/core/prepare';
import { mm, pixelsFor, mmOf } from '@/core/units';
import { Button, useAction, useKept } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Dimension } from '@/shell/drawing';
import { Strips } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { Problem, useToast } from '@/shell/said';
import { Figures, Slip, SlipSub, SlipTitle } from '@/shell/slip';
import { Sentence, Small, TableHead } from '@/shell/words';
import { PlainChoice } from '../PlainChoice';
import type { SheetProps } from '../sheetProps';
import { SHEET_CHOICES } from '../proofWish';
import { orderSettingsSheet } from '../settingsActions';
import { isSettingsDesk, usualSettings } from '../settingsDesk';
import type { SettingsDesk } from '../settingsDesk';
import { pointWords } from '../sheetWords';
import { AxisFields } from './AxisFields';
import { CellPicture, usePicture } from './CellPicture';
import { WrittenSheets } from './WrittenSheets';

const ROOM = { width: 560, height: 400, beside: 236 };

const Cells = styled.div`
  display: grid;
  gap: 5px;
  button {
    white-space: normal;
    line-height: 1.2;
    text-align: left;
    font-weight: 400;
    padding: 5px 7px;
  }
`;

/** Cells of the last written sheet: the one that was liked becomes the recipe. */
function ChooseCell({ view, desk }: SheetProps) {
  const { say } = useToast();
  const last = view.sheets.find((s) => s.kind === 'settings');
  if (last?.content.kind !== 'settings') return null;
  const { cells, columns, media } = last.content;
  return (
    <>
      <TableHead>Which cell is best?{media && ` Media setting ${media}`}</TableHead>
      <Cells style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}>
        {cells.map((cell, i) => (
          <Button
            key={i}
            $plain
            $small
            onPress={() => {
              desk.change(cell.recipe);
              say(`Cell ${i + 1} is the recipe now.`);
            }}
          >
            {i + 1} {cell.label}
          </Button>
        ))}
      </Cells>
    </>
  );
}

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
  const picture = usePicture(master.preview);
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
  const laid = layOutSettingsEitherWay({
    width: pixelsFor(mm(sheet.width), ppi),
    height: pixelsFor(mm(sheet.height), ppi),
    ppi,
    margin: desk.margin,
    columns,
    count: cells.length,
    proportion: desk.of === 'whole' ? plan.image.width / plan.image.height : 1.25,
  });
  const { width, height } = laid ?? { width: 1, height: 1 };
  // The cells of the last sheet lie under the drawing of the next.
  const room = view.sheets.some((s) => s.kind === 'settings') ? ROOM.beside : ROOM.height;
  const scale = Math.min(ROOM.width / width, room / height);
  const [w, h] = [width * scale, height * scale];
  const { source } = plan;
  const seen = (cell: { width: number; height: number }) => {
    const f = master.facts;
    if (desk.of === 'whole')
      return [
        source.left / f.width,
        source.top / f.height,
        source.width / f.width,
        source.height / f.height,
      ];
    const across = cell.width / plan.factor / f.width;
    const down = cell.height / plan.factor / f.height;
    return [
      (source.left + desk.x * source.width) / f.width - across / 2,
      (source.top + desk.y * source.height) / f.height - down / 2,
      across,
      down,
    ];
  };
  const [first, second = null] = desk.axes;
  const media = desk.axes.find((a) => a.axis === 'media');
  const across = format.length(mmOf(width, ppi));
  const down = format.length(mmOf(height, ppi));
  return (
    <Bench>
      <Surface>
        {head}
        {laid ? (
          <svg
            viewBox={`0 0 ${w + 44} ${h + 34}`}
            width={w + 44}
            height={h + 34}
            style={{ flex: 'none' }}
            role="img"
            aria-label={`Settings sheet ${sheet.name}, ${across} by ${down}, ${cells.length} cells`}
          >
            <Dimension from={40} to={40 + w} at={14} text={across} />
            <Dimension from={30} to={30 + h} at={26} text={down} upright />
            <g transform="translate(40 30)">
              <rect x={1} y={1.5} width={w} height={h} fill="rgba(0,0,0,.25)" />
              <rect width={w} height={h} fill="#fdfdfc" />
              {laid.places.map((p, i) => {
                const drawn = {
                  x: p.left * scale,
                  y: p.top * scale,
                  width: p.width * scale,
                  height: p.height * scale,
                };
                return picture ? (
                  <CellPicture
                    key={i}
                    picture={picture}
                    part={seen(p)}
                    recipe={cells[i]?.recipe ?? recipe}
                    {...drawn}
                  />
                ) : (
                  <rect key={i} fill="#9c9c9c" {...drawn} />
                );
              })}
              {laid.words.map((p, i) => (
                <rect
                  key={i}
                  x={p.left * scale}
                  y={p.top * scale + 1.5}
                  width={p.wide * scale * 0.8}
                  height={2}
                  fill="#bdbdbd"
                />
              ))}
            </g>
          </svg>
        ) : (
          <Sentence $tone="stop">
            {cells.length} cells get smaller than 12 mm on {sheet.name}. Take fewer steps,
            or a larger sheet.
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
              value: laid ? format.number(mmOf(laid.places[0]?.width ?? 0, ppi)) : '–',
              unit: 'mm',
              label: 'wide each',
            },
          ]}
        />
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
        <Problem>{problem}</Problem>
        <WrittenSheets view={view} kind="settings" />
      </Slip>
    </Bench>
  );
}
