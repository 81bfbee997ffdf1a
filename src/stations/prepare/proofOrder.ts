import { layOutProof, ppiOf, proofParts, rowUnder, stepIn } from '@/core/prepare';
import type { ProofLayout, Recipe, ResolutionSheet } from '@/core/prepare';
import { formatDay, formatDistance, mm } from '@/core/units';
import { MOST_CHOICES, getRecipe, offeredSizes, papersToPrintOn } from '@/data';
import type { BenchSettings, Master, Work } from '@/data';
import { layOut, stripOfMaster, targetFor } from '@/studio';
import type { SheetOrder, Studio } from '@/studio';
import { proofProblemWords, wishOf } from './proofWish';
import type { ProofDesk } from './proofWish';
import { PIECE_WORDS, stripCaption } from './sheetWords';
import { stepSummary } from './words';

interface Captions {
  title: string;
  artist: string;
  recipe: string;
  colours: string;
  day: string;
  distance: (mm: number) => string;
}

/** The laid out proof with its words, as it is written. */
function sheetOf(
  layout: ProofLayout,
  content: ResolutionSheet,
  sizes: Parameters<typeof proofParts>[2],
  say: Captions,
): Pick<SheetOrder, 'parts' | 'words' | 'black'> {
  const { recipe } = content;
  const { pieces, overview, strip, foot, check } = layout;
  const ppi = ppiOf(recipe);
  const times = (factor: number) => `${factor.toFixed(2)} \u00d7`;
  return {
    ...proofParts(layout, recipe, sizes),
    words: [
      ...pieces.flatMap(({ words, number, sizeLabel, factor, tests, standMm }) => [
        {
          ...words,
          points: 6.5,
          text: `${number}  ${sizeLabel}, ${times(factor)}: ${PIECE_WORDS[tests]}`,
        },
        {
          ...rowUnder(words, ppi),
          points: 6.5,
          text: `judge from ${say.distance(standMm)}, not in the hand`,
        },
      ]),
      ...(overview?.numbers ?? []).map(({ number, ...corner }) => ({
        ...corner,
        points: 5.5,
        text: String(number),
      })),
      ...(strip ? [stripCaption(strip.words)] : []),
      {
        ...foot[0]!,
        points: 8,
        text: `${say.title}, ${say.artist}: resolution proof, ${say.day}`,
      },
      { ...foot[1]!, points: 6.5, text: `${ppi} ppi, ${say.colours}; ${say.recipe}` },
      {
        ...check.words,
        points: 6.5,
        text: 'This line is 100 mm long. If it is not, the sheet was scaled: print it at 100 %.',
      },
    ],
  };
}

/** A proof as it is asked for. */
export interface ProofAsked {
  work: Work;
  master: Master;
  recipe: Recipe;
  recipeId: number | null;
  desk: ProofDesk;
  settings: BenchSettings;
  at: string;
}

/** The order of a resolution proof; or why it cannot be laid out, in a sentence. */
export async function proofOrder(
  studio: Studio,
  { work, master, settings, at, ...v }: ProofAsked,
): Promise<SheetOrder | string> {
  const db = studio.db.read;
  const [sizes, papers, named, into] = await Promise.all([
    offeredSizes(db, work.id),
    papersToPrintOn(db, MOST_CHOICES),
    v.recipeId ? getRecipe(db, v.recipeId) : undefined,
    targetFor(studio, v.recipe.convert.target),
  ]);
  const ppi = ppiOf(v.recipe);
  const sheets = papers.map((p) => ({
    name: p.name,
    width: p.sheetWidth,
    height: p.sheetHeight,
  }));
  const wish = wishOf(v.desk, master.facts, layOut(sizes, master, settings), sheets, ppi);
  const layout = layOutProof(wish, master.facts);
  if ('code' in layout) return proofProblemWords(layout, v.desk.places);
  const { pieces, overview, strip, width, height } = layout;
  const patches = strip ? await stripOfMaster(studio, master) : [];
  const content: ResolutionSheet = {
    kind: 'resolution',
    sheet: { width: layout.sheet.width, height: layout.sheet.height },
    recipe: v.recipe,
    recipeName: named ? `${named.name}, version ${named.version}` : null,
    pieces: pieces.map(({ words: _, ...piece }) => piece),
    overview: overview?.place ?? null,
    strip: strip && { place: strip.place, patches },
  };
  const capture = stepIn(v.recipe, 'capture');
  const output = stepIn(v.recipe, 'output');
  const drawn = sheetOf(layout, content, wish.sizes, {
    title: work.title,
    artist: work.artist,
    recipe: `${content.recipeName ? `${content.recipeName}: ` : ''}${capture ? `capture ${stepSummary(capture)}; ` : ''}sharpened ${output ? stepSummary(output) : 'not at all'}`,
    colours: into.name,
    day: formatDay(at, settings.locale, settings.timeZone),
    distance: (length) => formatDistance(mm(length), settings.units, settings.locale),
  });
  const spec: SheetOrder = {
    workId: work.id,
    masterId: master.id,
    width,
    height,
    ppi,
    bits: v.recipe.file.bits,
    target: v.recipe.convert.target,
    ...drawn,
    ...(strip ? { strip: patches } : {}),
    content,
  };
  return spec;
}
