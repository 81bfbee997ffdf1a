import { RECIPE, sheetKind } from '@/core/prepare';
import { minor } from '@/core/units';
import {
  addProofReading,
  addProofRound,
  profilesInUse,
  proofsOf,
  routesNow,
  sheetFilesOf,
  sheetItemOf,
} from '@/data';
import { instrumentOver } from '@/standins';
import type { Studio } from '@/studio/open/open';
import { printedStrip, stripOfRound } from '@/studio/reads/measuredProof';
import { daysAgo } from './tradeSteps';

/** The proof sheet of a work, sent on a paper, back, and its strip read: nothing is said of it yet. */
export async function measuredRound(open: Studio, workId: number, paperId: number) {
  const db = open.db.read;
  const [sheet] = await sheetFilesOf(db, workId);
  const [use] = await profilesInUse(db, paperId);
  const { sizeKey, recipe } = sheetKind(sheet!.content.kind).tried(sheet!.content);
  const rounds = (await proofsOf(db, workId)).filter(
    (p) => p.sizeKey === sizeKey && p.paperId === paperId,
  );
  const route = (await routesNow(db)).find((r) => r.kind === 'ownPrinter');
  const id = await open.db.write(async (tx) =>
    addProofRound(tx, {
      workId,
      sizeKey,
      paperId,
      round: rounds.length + 1,
      route: route?.name ?? 'own printer',
      cost: minor(640),
      currency: 'EUR',
      remarks: 'the proof sheet, with its strip',
      sentAt: daysAgo(5, 11),
      sheetId: sheet!.id,
      masterId: (await sheetItemOf(tx, sheet!.id, workId))!.masterId,
      recipe: recipe && RECIPE.read(recipe),
      profileSha256: use?.sha256 ?? null,
      intent: 'relative',
      blackPoint: true,
      setting: use?.setting ?? '',
      lot: 'R-2291',
      dueOn: daysAgo(3, 12).slice(0, 10),
    }),
  );
  const round = (await proofsOf(db, workId)).find((p) => p.id === id)!;
  const strip = (await stripOfRound(db, round))!;
  const printed = await printedStrip(open, round, strip);
  const instrument = instrumentOver(printed, { paper: paperId, reading: 7 });
  const { patches } = await instrument.read(strip.map((p) => p.name));
  const reading = { patches, source: instrument.name, at: daysAgo(3, 16) };
  await open.db.write((tx) => addProofReading(tx, reading, round));
}
