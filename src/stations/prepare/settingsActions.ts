'use server';
import {
  SETTING_AXES,
  axisPoints,
  cellPiece,
  cellWhole,
  layOutSettingsSheet,
  ppiOf,
  printPlan,
  settingGrid,
  stripPart,
} from '@/core/prepare';
import type { AxisPlan, Intent, Recipe, SettingsSheet } from '@/core/prepare';
import { layOutStrip } from '@/core/proof';
import { formatDay, mmOf } from '@/core/units';
import { MOST_CHOICES, papersToPrintOn } from '@/data';
import type { Master } from '@/data';
import { sameIntents } from '@/engine';
import type { PrintTarget } from '@/engine';
import {
  act,
  colourOf,
  offeredRung,
  refuse,
  startJob,
  stripOfMaster,
  targetFor,
} from '@/studio';
import type { Answer } from '@/core/input';
import type { SheetOrder, Studio } from '@/studio';
import { defineForm, json, text, whole } from '@/core/input';
import { SHEET_CHOICES } from './proofWish';
import { RECIPE, recipeRefusal } from './recipeInput';
import type { SettingsDesk } from './settingsDesk';
import { noRoomForCells, pointWords, stripCaption } from './sheetWords';
import { sourceOf } from './sourceOf';

const number = (minimum: number, maximum: number) => ({ type: 'number', minimum, maximum });

const DESK = json<SettingsDesk>('Settings sheet', {
  type: 'object',
  additionalProperties: false,
  required: ['axes', 'of', 'x', 'y', 'sheet', 'margin'],
  properties: {
    axes: {
      type: 'array',
      minItems: 1,
      maxItems: 2,
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['axis', 'step', 'sides', 'words'],
        properties: {
          axis: { enum: SETTING_AXES },
          step: number(0.5, 100),
          sides: { type: 'integer', minimum: 1, maximum: 4 },
          words: { type: 'array', maxItems: 6, items: { type: 'string', maxLength: 40 } },
        },
      },
    },
    of: { enum: ['whole', 'piece'] },
    x: number(0, 1),
    y: number(0, 1),
    sheet: { type: 'string', maxLength: 120 },
    margin: number(0, 40),
    strip: { type: 'boolean' },
  },
});

const order = defineForm({
  workId: whole('Work', { min: 1 }),
  sizeKey: text('Size', { max: 60 }),
  recipe: RECIPE,
  desk: DESK,
});

/** Which intents of an axis give the same colours as another; null where none is tried. */
async function sameAxis(
  open: Studio,
  master: Master,
  axes: readonly AxisPlan[],
  recipe: Recipe,
  into: PrintTarget,
): Promise<Map<Intent, Intent> | null> {
  const axis = axes.find((a) => a.axis === 'intent');
  if (!axis) return null;
  const intents = axisPoints(recipe, axis).map((p) => p.value as Intent);
  const channels = master.facts.colourModel === 'grey' ? 1 : 3;
  const { blackPoint } = recipe.convert;
  return sameIntents(await colourOf(open, master), channels, into, intents, blackPoint);
}

/** Queues a settings sheet; one for each media setting of the printer that is named. */
export async function orderSettingsSheet(typed: unknown): Promise<Answer<number[]>> {
  return act(order, typed, {}, async (v, tools) => {
    const { studio, settings, at } = tools;
    const db = studio.db.read;
    const source = await sourceOf(v.workId, tools);
    if ('ok' in source) return source;
    const { work, master } = source;
    const wrong = recipeRefusal(v.recipe);
    if (wrong) return refuse(wrong);
    const rung = await offeredRung(db, v.workId, v.sizeKey, master, settings);
    if (!rung)
      return refuse(
        'This size is not on offer any more. Offer it at Size, then try settings.',
      );
    const { desk, recipe } = v;
    if (desk.axes[0]!.axis === desk.axes[1]?.axis)
      return refuse(
        'Second axis: it is the same as the first one. Choose another, or none.',
      );
    const papers = await papersToPrintOn(db, MOST_CHOICES);
    const sheet = [
      ...SHEET_CHOICES,
      ...papers.map((p) => ({ name: p.name, width: p.sheetWidth, height: p.sheetHeight })),
    ].find((s) => s.name === desk.sheet);
    if (!sheet) return refuse('Sheet: it is not in the drawer any more. Choose another.');
    const ppi = ppiOf(recipe);
    const { columns, cells } = settingGrid(recipe, desk.axes);
    const plan = printPlan(master.facts, rung.fit, ppi);
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
    if (!laid) return refuse(noRoomForCells(cells.length, sheet.name, desk.strip));
    const patches = laid.strip ? await stripOfMaster(studio, master) : [];
    const strip = laid.strip && { place: laid.strip.place, patches };
    const into = await targetFor(studio, recipe.convert.target);
    const same = await sameAxis(studio, master, desk.axes, recipe, into);
    if (same && new Set(same.values()).size === 1)
      return refuse(
        `Intents cannot differ into ${into.name}: by this profile each of them gives the same colours, so every cell would be the same. Choose the profile of a printer and paper under Colours, or another axis.`,
      );
    const labels = cells.map((c) =>
      c.points.length === 0
        ? 'as the recipe is'
        : c.points
            .map((p) => {
              const like = same?.get(p.value as Intent);
              const words = pointWords(p.axis, p.value);
              return p.axis === 'intent' && like && like !== p.value
                ? `${words} (same as ${pointWords('intent', like)})`
                : words;
            })
            .join(', '),
    );
    const mediaAxis = desk.axes.find((a: AxisPlan) => a.axis === 'media');
    const media = mediaAxis
      ? axisPoints(recipe, mediaAxis).map((p) => String(p.value))
      : [''];
    if (media.length === 0)
      return refuse('Media settings: name at least one, as the printer’s driver calls it.');
    const ids: number[] = [];
    for (const setting of media) {
      const content: SettingsSheet = {
        kind: 'settings',
        sheet: {
          width: mmOf(laid.width, ppi),
          height: mmOf(laid.height, ppi),
        },
        sizeKey: v.sizeKey,
        sizeLabel: rung.label,
        factor:
          desk.of === 'whole' ? laid.places[0]!.width / plan.source.width : plan.factor,
        recipe,
        axes: desk.axes.map((a) => a.axis),
        media: setting,
        columns,
        cells: cells.map((c, i) => ({
          label: labels[i]!,
          recipe: c.recipe,
          place: laid.places[i]!,
        })),
        strip,
      };
      const spec: SheetOrder = {
        workId: work.id,
        masterId: master.id,
        width: laid.width,
        height: laid.height,
        ppi,
        bits: recipe.file.bits,
        target: recipe.convert.target,
        parts: [
          ...cells.map((c, i) => {
            const cell = laid.places[i]!;
            const of = desk.of === 'whole' ? cellWhole(cell) : plan;
            return {
              plan: of,
              recipe: c.recipe,
              region: desk.of === 'whole' ? of.image : cellPiece(plan, desk, cell),
              place: cell,
              small: desk.of === 'whole',
            };
          }),
          ...(strip ? [stripPart(strip.place, recipe)] : []),
        ],
        words: [
          ...laid.words.map((w, i) => ({
            ...w,
            points: 6,
            text: `${i + 1}  ${labels[i]}`,
          })),
          ...(laid.strip ? [stripCaption(laid.strip.words)] : []),
          {
            ...laid.foot[0]!,
            points: 8,
            text: `${work.title}, ${rung.label}: settings${setting ? `, media setting ${setting}` : ''}, ${formatDay(at, settings.locale, settings.timeZone)}`,
          },
          {
            ...laid.foot[1]!,
            points: 6.5,
            text: `${ppi} ppi, ${into.name}${desk.of === 'piece' ? '; a piece at the final size' : '; the whole picture, small'}`,
          },
        ],
        black: [],
        seen: plan.source,
        content,
        ...(strip ? { strip: patches } : {}),
      };
      ids.push((await startJob(studio, { kind: 'sheet', workId: work.id, spec, at })).id);
    }
    return ids;
  });
}
