import { readFile } from 'node:fs/promises';
import { EYE_ASPECTS, shiftsOf } from '@/core/proof';
import type { StripDrift } from '@/core/proof';
import { slug } from '@/core/prepare';
import { nominalSize } from '@/core/size';
import { proofCustomersOf, proofPhotographsOf, proofReadingsOf, proofsOf } from '@/data';
import type { PlacedPhotograph, Proof, ProofCustomer, ProofReading, Reading } from '@/data';
import { printable, proofReportPdf } from '@/documents';
import type { ReportRound, ReportTable } from '@/documents';
import { storePaths } from '@/engine';
import { formatOf } from '@/shell/figures/format';
import type { Format } from '@/shell/figures';
import { loadWorkPage, now, photographedOrGone } from '@/studio';
import type { WorkPage } from '@/studio';
import { INTENT_NAMES } from '@/studio/words/recipeWords';
import { basisWords } from '@/studio/words/photographWords';
import { measuredOf } from './measured/view';
import { cameWords, changeWords, signedFigure } from './measured/words';
import { VERDICTS, eyeWords } from './words';

/** What is known of a work's rounds. */
interface Known {
  page: WorkPage;
  proofs: Proof[];
  readings: ProofReading[];
  customers: ProofCustomer[];
  photographs: PlacedPhotograph[];
}

const HEADS = ['where', 'L*', 'a*', 'b*', 'C*', 'ΔE00', 'the print is'];

/** A table of what was measured, tones and hues, a row each. */
const tableOf = (
  title: string,
  drift: StripDrift,
  foot: string,
  format: Format,
): ReportTable => ({
  title,
  heads: HEADS.map(printable),
  rows: shiftsOf(drift).map(([name, shift]) =>
    [
      name,
      ...[shift.lightness, shift.red, shift.yellow, shift.chroma].map((v) =>
        signedFigure(v, format),
      ),
      format.number(shift.difference, 1),
      cameWords(shift, format),
    ].map(printable),
  ),
  foot: printable(foot),
});

async function tablesOf(db: Reading, known: Known, round: Proof): Promise<ReportTable[]> {
  const { page, proofs, readings, photographs } = known;
  const { proof } = page.settings;
  const format = formatOf(page.settings);
  const limits = { mean: proof.driftMean, worst: proof.driftWorst };
  const of = (v: number) => format.number(v, 1);
  const tables: ReportTable[] = [];
  const { measured, reading, against } = await measuredOf(
    db,
    round,
    proofs,
    readings,
    limits,
  );
  if (measured && reading) {
    const since = against
      ? ` Since the approved round ${against.round}: ${of(against.mean)} in the mean, ${of(against.worst.difference)} at most; it ${against.passes ? 'passes' : 'does not pass'} (${of(limits.mean)} and ${of(limits.worst)}).`
      : '';
    tables.push(
      tableOf(
        `Control strip, ${reading.source}`,
        measured.drift,
        `Against the master, over the white of the paper: ΔE00 ${of(measured.drift.mean)} in the mean.${since} To try: ${changeWords(measured.change, format)}`,
        format,
      ),
    );
  }
  const photograph = photographs.find((p) => p.roundId === round.id);
  const seen = photograph && (await photographedOrGone(page.studio, db, round, photograph));
  if (photograph && seen?.told)
    tables.push(
      tableOf(
        `Photograph ${photograph.name}`,
        seen.told.drift,
        `${basisWords(seen.told.regions.white)}${seen.told.change ? ` To try: ${changeWords(seen.told.change, format)}` : ''}`,
        format,
      ),
    );
  return tables;
}

function factsOf(round: Proof, { page, customers }: Known): [string, string][] {
  const { day, money } = formatOf(page.settings);
  const { light, byEye } = round;
  const eye = EYE_ASPECTS.flatMap((a) =>
    byEye?.[a] === undefined ? [] : [eyeWords(a, byEye[a])],
  );
  const said = customers.filter((c) => c.roundId === round.id);
  const facts: [string, string | null | false][] = [
    ['Size', nominalSize(round.sizeKey)?.label ?? round.sizeKey],
    ['Sent', `${day(round.sentAt)}, ${round.route}`],
    ['File', round.file],
    [
      'Printed through',
      round.profile &&
        `${round.profile}${round.intent ? `, ${INTENT_NAMES[round.intent]}` : ''}`,
    ],
    ['Media setting', round.setting],
    ['Ink set', round.inkSet],
    ['Paper', `${round.paper}${round.lot ? `, lot ${round.lot}` : ''}`],
    ['Cost', money(round.cost, round.currency)],
    ['What it tried', round.remarks],
    ['Back', round.backAt && day(round.backAt)],
    [
      'Judged in',
      light &&
        [light.lux && `${light.lux} lx`, light.kelvin && `${light.kelvin} K`]
          .filter(Boolean)
          .join(', '),
    ],
    ['By eye', eye.join(', ')],
    ['Seen', round.seen],
    ['To change', round.toChange],
    ...said.map((c): [string, string] => [
      `Shown on ${c.sentOn}`,
      `${c.agreed ? 'The customer agrees' : 'The customer does not agree'}${c.said ? `: ${c.said}` : ''}`,
    ]),
  ];
  return facts.flatMap(([name, words]) =>
    words ? [[name, printable(words)] as [string, string]] : [],
  );
}

/** The proof rounds of a work, all or of one size, a page each, as PDF; null where none was sent. */
export async function proofReportDocument(id: string, sizeKey: string | null) {
  const page = await loadWorkPage(id);
  const { work, settings, master, db } = page;
  const [all, readings, customers, photographs] = await Promise.all([
    proofsOf(db, work.id),
    proofReadingsOf(db, work.id),
    proofCustomersOf(db, work.id),
    proofPhotographsOf(db, work.id),
  ]);
  const own = all.filter((p) => sizeKey === null || p.sizeKey === sizeKey);
  if (own.length === 0) return null;
  const known = { page, proofs: all, readings, customers, photographs };
  const rounds: ReportRound[] = [];
  for (const round of own)
    rounds.push({
      title: `Round ${round.round}, ${round.paper}`,
      verdict: round.verdict ? VERDICTS[round.verdict] : 'out',
      facts: factsOf(round, known),
      tables: await tablesOf(db, known, round),
    });
  const picture =
    master &&
    (await readFile(storePaths(page.studio.home).preview(master.picture)).catch(
      () => null,
    ));
  const bytes = await proofReportPdf({
    studio: settings.studio,
    title: work.title,
    by: `${work.artist}, ${work.year}`,
    made: `Proof rounds, as of ${formatOf(settings).day(now())}`,
    picture,
    proportion: master ? master.facts.width / master.facts.height : 1,
    rounds,
  });
  const size = sizeKey ? `_${slug(nominalSize(sizeKey)?.label ?? sizeKey)}` : '';
  return {
    bytes,
    type: 'application/pdf',
    name: `${slug(work.title)}${size}_proofs.pdf`,
  };
}
