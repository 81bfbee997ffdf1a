import { plainRecipe, printPlan, suggestedRadius } from '@/core/prepare';
import { SIZE_RULES, judgedNow, nominalSize, plainLayout, rung } from '@/core/size';
import type { CropChoice, CropRect, Fit } from '@/core/size';
import { reckonPrice } from '@/core/price';
import { minor, mm } from '@/core/units';
import {
  addCropChoice,
  addKeptArea,
  addPrice,
  addProofReturn,
  addProofRound,
  addSizeEvent,
  assignNumber,
  currentMaster,
  getWork,
  printFilesOf,
  profilesInUse,
  proofsOf,
  readSettings,
} from '@/data';
import { takeSheet } from './paperLots';
import { offeredRung } from '@/studio/reads/offered';
import type { Studio } from '@/studio/open/open';
import { writePrintFile } from '@/studio/jobs/kinds/printFile';
import { priceForm } from '@/stations/price/priceForm';

const DAY = 86_400_000;

/** An instant so many days before now, at a full hour; of today none that is still to come. */
export const daysAgo = (days: number, hour: number): string => {
  const now = new Date().toISOString();
  const day = new Date(Date.now() - days * DAY).toISOString().slice(0, 10);
  const at = `${day}T${String(hour).padStart(2, '0')}:00:00.000Z`;
  return days === 0 && at > now ? now : at;
};

export type Say = (text: string) => void;

/** A crop of a work, and the part of the picture that it must hold. */
export interface CropPlan {
  ratio: string;
  choice: CropChoice;
  area: CropRect;
  days: number;
}

export async function offer(
  open: Studio,
  workId: number,
  sizes: [string, number, Fit][],
  days: number,
) {
  const master = await currentMaster(open.db.read, workId);
  const { size } = await readSettings(open.db.read);
  for (const [sizeKey, border, fit] of sizes) {
    const layout = plainLayout(fit, mm(border));
    const laid = master && rung(nominalSize(sizeKey)!, master.facts, layout, size);
    await open.db.write((tx) =>
      addSizeEvent(tx, {
        workId,
        sizeKey,
        kind: 'offered',
        layout,
        judged: laid ? judgedNow(laid.judgement, master.id) : null,
        reason: null,
        at: daysAgo(days, 11),
      }),
    );
  }
}

/** Chooses a crop for a ratio, and marks what must stay in it. */
export async function crop(
  open: Studio,
  workId: number,
  { ratio, choice, area, days }: CropPlan,
) {
  const master = await currentMaster(open.db.read, workId);
  const picture = master!.facts.width / master!.facts.height;
  const at = daysAgo(days, 12);
  await open.db.write(async (tx) => {
    await addKeptArea(tx, { workId, area, at });
    await addCropChoice(tx, { workId, ratio, choice, picture, at });
  });
}

export async function printFile(
  open: Studio,
  workId: number,
  sizeKey: string,
  space: 'a98-rgb' | 'srgb',
  days: number,
) {
  const db = open.db.read;
  const [work, master, settings] = await Promise.all([
    getWork(db, workId),
    currentMaster(db, workId),
    readSettings(db),
  ]);
  const rung = await offeredRung(db, workId, sizeKey, master!, settings);
  const plan = printPlan(master!.facts, rung!.fit, 300);
  await writePrintFile(
    open,
    {
      workId,
      title: work!.title,
      sizeKey,
      sizeLabel: rung!.label,
      masterId: master!.id,
      plan,
      at: daysAgo(days, 10),
      recipe: {
        ...plainRecipe(300, suggestedRadius(300, SIZE_RULES.handDistanceMm)),
        convert: { target: space, intent: 'relative', blackPoint: true },
      },
    },
    () => undefined,
    new AbortController().signal,
  );
}

export interface Round {
  /** Place of the paper in the scenario. */
  paper: number;
  route: string;
  cost: number;
  sent: number;
  back?: number;
  remarks?: string;
  seen?: string;
  toChange?: string;
  verdict?: 'approved' | 'changeAndRepeat';
}

/** One proof round, and what was seen when it came back. */
export async function proof(
  open: Studio,
  workId: number,
  sizeKey: string,
  r: Round & { round: number; paperId: number },
) {
  await open.db.write(async (tx) => {
    // The newest file of its size, through the profile that the paper is printed with.
    const file = (await printFilesOf(tx, workId)).find((f) => f.sizeKey === sizeKey);
    const [use] = await profilesInUse(tx, r.paperId);
    const id = await addProofRound(tx, {
      printFileId: file?.id ?? null,
      profileSha256: use?.sha256 ?? null,
      intent: 'relative',
      blackPoint: true,
      setting: use?.setting ?? '',
      workId,
      sizeKey,
      paperId: r.paperId,
      round: r.round,
      route: r.route,
      cost: minor(r.cost),
      currency: 'EUR',
      remarks: r.remarks ?? '',
      sentAt: daysAgo(r.sent, 12),
    });
    if (!r.verdict) return;
    const own = (await proofsOf(tx, workId)).find((p) => p.id === id)!;
    await addProofReturn(
      tx,
      {
        roundId: id,
        seen: r.seen ?? '',
        toChange: r.toChange ?? '',
        verdict: r.verdict,
        backAt: daysAgo(r.back ?? 0, 15),
      },
      own,
    );
  });
}

/** The usual price sheet of the studio, of which each edition differs a little. */
const PRICE_SHEET = {
  printing: '9',
  paper: '6.40',
  capture: '45',
  proofs: '38',
  expectedImpressions: '30',
  spoilage: '4',
  finishing: '0',
  packing: '5.20',
  postage: '0',
  hours: '0.6',
  hourlyRate: '26',
  wear: '0',
  donation: '0',
  signingHours: '0',
  finishingHours: '0',
  packingHours: '0',
  channel: 'own site',
  commission: '0',
  payment: '2.9',
  fixed: '0.30',
  margin: '45',
  step: '5',
};

export async function price(
  open: Studio,
  workId: number,
  sizeKey: string,
  over: Record<string, string>,
  days: number,
) {
  const bench = { units: 'metric' as const, currency: 'EUR', locale: 'en-GB' };
  const read = priceForm.read({ ...PRICE_SHEET, ...over }, bench);
  if (!read.ok) throw new Error(Object.values(read.fields)[0]);
  const { cost, sale } = reckonPrice(read.value);
  await open.db.write((tx) =>
    addPrice(tx, {
      workId,
      sizeKey,
      channel: read.value.channel,
      values: read.value,
      currency: 'EUR',
      cost: cost.total,
      fees: sale!.fees,
      price: sale!.gross,
      net: sale!.net,
      at: daysAgo(days, 16),
    }),
  );
  return sale!.gross;
}

export async function number(
  open: Studio,
  editionId: number,
  sizeKey: string,
  count: number,
  from: number,
  paperId: number,
  series: 'number' | 'ap' = 'number',
) {
  for (let i = 0; i < count; i += 1) {
    const at = daysAgo(from - Math.floor(i / 8), 10 + (i % 8));
    await open.db.write(async (tx) => {
      await assignNumber(tx, { editionId, series, sizeKey, at });
      await takeSheet(tx, paperId, at);
    });
  }
}
