import { plainRecipe, stepIn, withStep } from '@/core/prepare';
import type { Opinion } from '@/core/log';
import type { Recipe, RouteKindId, RouteWants } from '@/core/prepare';
import { mm } from '@/core/units';
import {
  addDevice,
  addErrandAnswer,
  addPrintOpinion,
  addPrintWish,
  addProfile,
  addRecipe,
  addRoute,
  currentMaster,
  getErrand,
  getWork,
  paperNamed,
  printFilesOf,
  readEntries,
  readSettings,
  routesNow,
  takeProfile,
} from '@/data';
import { TIDEWRACK } from '@/standins';
import { proofOrder } from '@/stations/prepare/proofOrder';
import { keeping } from '@/studio/keeping/keeping';
import { handOver } from '@/studio/jobs/kinds/handOver';
import type { Studio } from '@/studio/open/open';
import { writeSheetFile } from '@/studio/jobs/kinds/sheet';
import { COTTON, OFFSET, PAPER_NAMES, paperProfile } from './profiles/profiles';
import { daysAgo } from './tradeSteps';

const silent = () => undefined;
const never = new AbortController().signal;

/** Keeps a printer's profile; answers its hash. */
async function profile(open: Studio, { icc, name }: typeof COTTON, space: 'RGB' | 'CMYK') {
  const at = daysAgo(360, 9);
  return keeping(open, async ({ keepBytes }) => {
    const sha256 = await keepBytes(icc);
    const bytes = icc.length;
    await open.db.write((tx) =>
      addProfile(tx, { sha256, name, deviceClass: 'prtr', space, bytes, at }),
    );
    return sha256;
  });
}

/** The profile of every paper on the own printer, taken into use; a year later one is made anew. */
export async function paperProfiles(open: Studio): Promise<void> {
  const at = daysAgo(359, 9);
  for (const name of PAPER_NAMES) {
    const made = paperProfile(name);
    const sha256 = await profile(open, made, 'RGB');
    await open.db.write(async (tx) => {
      const paper = (await paperNamed(tx, name))!;
      const use = { paperId: paper.id, printer: 'Own printer', sha256, at };
      const setting = paper.printerSetting;
      await takeProfile(tx, { ...use, setting }, { paper: name, profile: made.name });
    });
  }
}

/** The usual recipe with its output sharpening, and grain taken out where there is some. */
function recipeWith(amount: number, radius: number, noise = 0): Recipe {
  const plain = plainRecipe(300, radius);
  const sharp = withStep(plain, 4, { ...stepIn(plain, 'output')!, amount });
  return noise === 0
    ? sharp
    : withStep(sharp, 0, {
        kind: 'capture',
        on: true,
        amount: 40,
        radius: 0.8,
        threshold: 3,
        noise,
        grain: 2.5,
      });
}

/** Who prints, what they ask for, the recipes that are kept, and what a photograph came from. */
export async function bench(open: Studio, photographs: number[]): Promise<void> {
  await profile(open, COTTON, 'RGB');
  await paperProfiles(open);
  const press = await profile(open, OFFSET, 'CMYK');
  const wants: RouteWants = {
    leastPpi: 240,
    target: 'a98-rgb',
    press: '',
    bits: 8,
    format: 'tiff',
  };
  const routes: [string, RouteKindId, RouteWants][] = [
    ['Own printer', 'ownPrinter', wants],
    [
      'Weir Lane Print Room',
      'printStudio',
      { ...wants, leastPpi: 200, press: `icc:${press}` },
    ],
    ['Tidewrack Print Rooms', 'onlineLab', { ...wants, leastPpi: 200 }],
  ];
  const recipes: [string, Recipe, string][] = [
    ['Cotton, in the hand', recipeWith(60, 0.6), 'small prints on matte cotton'],
    ['Cotton, across a room', recipeWith(85, 1.6), 'large prints on matte cotton'],
    ['Film onto baryta', recipeWith(70, 1.1, 35), 'grain held back, not washed out'],
  ];
  const at = daysAgo(350, 9);
  await open.db.write(async (tx) => {
    for (const [name, kind, asks] of routes) {
      const inkSet = kind === 'ownPrinter' ? 'Quayside, eight pigments' : '';
      await addRoute(tx, { name, kind, folder: '', inkSet, wants: asks, at });
    }
    for (const [name, recipe, remarks] of recipes)
      await addRecipe(tx, { name, recipe, remarks, fromId: null, at });
    const deviceId = await addDevice(
      tx,
      {
        kind: 'film',
        name: 'Plattenwick L3',
        width: mm(36),
        height: mm(24),
        pixelsAcross: null,
        pixelsDown: null,
        nominalPpi: 4000,
        measuredPpi: 3600,
        focalLength: null,
        memoryMegabytes: null,
      },
      at,
    );
    for (const workId of photographs) {
      const wish = { workId, width: mm(700), height: mm(500), ppi: 300, deviceId };
      await addPrintWish(tx, { ...wish, at });
    }
  });
}

/** What was thought of the proofs, one after the other. */
const OPINIONS: (Partial<Opinion> & { remarks: string })[] = [
  {
    sharpness: 1,
    halos: 1,
    remarks: 'The ridges of the brush look etched; a little less.',
  },
  { sharpness: 0, tone: -1, remarks: 'Holds from across the table. Shadows closed.' },
  { sharpness: 0, halos: 0, tone: 0, colour: 0, remarks: 'This is it.' },
  { sharpness: -1, grain: 1, remarks: 'Soft on this paper, it drinks the ink.' },
  {
    sharpness: 0,
    grain: 2,
    colour: -1,
    remarks: 'Grain shows in the sky; reds are quiet.',
  },
  {
    sharpness: 0,
    halos: 0,
    tone: 0,
    colour: 0,
    remarks: 'Right, beside the original at the window.',
  },
];

/** What was thought of every proof that came back. */
export async function opinions(open: Studio): Promise<void> {
  const proofs = (await readEntries(open.db.read, { kind: 'proofRound' }, 100)).reverse();
  const none = { sharpness: null, grain: null, halos: null, tone: null, colour: null };
  for (const [i, entry] of proofs.entries()) {
    const said = OPINIONS[i % OPINIONS.length]!;
    const opinion = { ...none, ...said, entryId: entry.id, photograph: null };
    await open.db.write((tx) => addPrintOpinion(tx, { ...opinion, at: daysAgo(30, 11) }));
  }
}

/** A resolution proof of two sizes of a work. */
export async function proofSheet(open: Studio, workId: number, sizes: string[]) {
  const db = open.db.read;
  const [work, master, settings] = await Promise.all([
    getWork(db, workId),
    currentMaster(db, workId),
    readSettings(db),
  ]);
  const at = daysAgo(6, 10);
  const order = await proofOrder(open, {
    work: work!,
    master: master!,
    settings,
    recipe: recipeWith(85, 1.6),
    recipeId: 2,
    at,
    desk: {
      sizes,
      places: [
        { x: 0.72, y: 0.36, tests: 'tones' },
        { x: 0.2, y: 0.4, tests: 'edges' },
        { x: 0.4, y: 0.12, tests: 'gradient' },
      ],
      sheet: 'auto',
      own: { width: 300, height: 400 },
      width: 70,
      height: 55,
      margin: 5,
      overview: true,
      strip: true,
    },
  });
  if (typeof order === 'string') throw new Error(order);
  await writeSheetFile(open, { ...order, at }, silent, never);
}

/** Print files of several works on their way to the lab, and what it said. */
export async function errand(open: Studio, workIds: number[], paperId: number) {
  const db = open.db.read;
  const [files, routes] = await Promise.all([
    Promise.all(workIds.map((id) => printFilesOf(db, id))),
    routesNow(db),
  ]);
  const route = routes.find((r) => r.name === TIDEWRACK.name)!;
  const at = daysAgo(5, 15);
  const items = files.flat().map((f) => ({
    printFileId: f.id,
    paperId,
    quantity: 3,
    remarks: 'please leave the border',
  }));
  const id = await handOver(open, { routeId: route.id, items, at }, silent, never);
  const handed = (await getErrand(db, id))!;
  const answer = await TIDEWRACK.take(handed.folder, daysAgo(4, 9).slice(0, 10));
  const accepted = answer.items.filter((i) => i.accepted).length;
  const said = { accepted, refused: answer.items.length - accepted, stage: answer.stage };
  await open.db.write((tx) => addErrandAnswer(tx, handed, answer, said, daysAgo(4, 9)));
}
