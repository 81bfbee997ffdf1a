import { readFile } from 'node:fs/promises';
import { HUES, TONES } from '@/core/colour';
import { EYE_ASPECTS } from '@/core/proof';
import type { MeanShift, StripDrift } from '@/core/proof';
import { slug } from '@/core/prepare';
import { nominalSize } from '@/core/size';
import { formatDay, formatMoney } from '@/core/units';
import { proofCustomersOf, proofPhotographsOf, proofReadingsOf, proofsOf } from '@/data';
import type { PlacedPhotograph, Proof, ProofCustomer, ProofReading, Reading } from '@/data';
import { printable, proofReportPdf } from '@/documents';
import type { ReportRound, ReportTable } from '@/documents';
import { storePaths } from '@/engine';
import { loadWorkPage, now, photographedOrGone } from '@/studio';
import type { WorkPage } from '@/studio';
import { INTENT_NAMES } from '@/studio/words/recipeWords';
import { shiftWords } from '@/studio/words/stripWords';
import { basisWords } from '@/studio/words/photographWords';
import { measuredOf } from './measured/view';
import { changeWords, meansWords } from './measured/words';
import { VERDICTS, eyeWords } from './words';

/** What is known of a work's rounds. */
interface Known {
  page: WorkPage;
  proofs: Proof[];
  readings: ProofReading[];
  customers: ProofCustomer[];
  photographs: PlacedPhotograph[];
}

const HEADS = ['where', 'L*', 'a*', 'b*', 'C*', 'dE00', 'the print is'];

const figure = (v: number, locale: string): string =>
  printable(
    v.toLocaleString(locale, {
      minimumFractionDigits: 1,
      maximumFractionDigits: 1,
      signDisplay: 'negative',
    }),
  );

/** Tones and hues of what was measured, a row each. */
function rowsOf(drift: StripDrift, locale: string): string[][] {
  const said: [string, MeanShift | null][] = [
    ...TONES.map((t) => [t, drift.byTone[t]] as [string, MeanShift | null]),
    ...(['neutral', ...HUES] as const).map(
      (h) => [h, drift.byHue[h]] as [string, MeanShift | null],
    ),
  ];
  return said.flatMap(([name, shift]) => {
    if (!shift) return [];
    const { lightness, red, yellow, chroma, difference } = shift;
    const figures = [lightness, red, yellow, chroma, difference];
    const words = shiftWords(shift) || 'as the master';
    return [
      [
        name,
        ...figures.map((v) => figure(v, locale)),
        `${words}; ${meansWords(difference)}`,
      ],
    ];
  });
}

async function tablesOf(db: Reading, known: Known, round: Proof): Promise<ReportTable[]> {
  const { page, proofs, readings, photographs } = known;
  const { locale, proof } = page.settings;
  const limits = { mean: proof.driftMean, worst: proof.driftWorst };
  const of = (v: number) => figure(v, locale);
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
      ? ` Since the approved round ${against.round}: ${of(against.mean)} in the mean, ${of(against.worst.difference)} at most; it ${against.passes ? 'passes' : 'does not pass'} (${limits.mean} and ${limits.worst}).`
      : '';
    tables.push({
      title: `Control strip, ${reading.source}`,
      heads: HEADS,
      rows: rowsOf(measured.drift, locale),
      foot: `Against the master, over the white of the paper: dE00 ${of(measured.drift.mean)} in the mean.${since} To try: ${changeWords(measured.change).replaceAll('Δ', 'd')}`,
    });
  }
  const photograph = photographs.find((p) => p.roundId === round.id);
  const seen = photograph && (await photographedOrGone(page.studio, db, round, photograph));
  if (photograph && seen?.told)
    tables.push({
      title: `Photograph ${photograph.name}`,
      heads: HEADS,
      rows: rowsOf(seen.told.drift, locale),
      foot: `${basisWords(seen.told.regions.white)}${seen.told.change ? ` To try: ${changeWords(seen.told.change).replaceAll('Δ', 'd')}` : ''}`,
    });
  return tables;
}

function factsOf(round: Proof, { page, customers }: Known): [string, string][] {
  const { locale, timeZone } = page.settings;
  const day = (at: string) => formatDay(at, locale, timeZone);
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
    ['Paper', `${round.paper}${round.lot ? `, lot ${round.lot}` : ''}`],
    ['Cost', formatMoney(round.cost, round.currency, locale)],
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
  const { locale, timeZone } = settings;
  const bytes = await proofReportPdf({
    studio: settings.studio,
    title: work.title,
    by: `${work.artist}, ${work.year}`,
    made: `Proof rounds, as of ${formatDay(now(), locale, timeZone)}`,
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
