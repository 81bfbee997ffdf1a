/** One pass over a picture in a process of its own; says how long it took and its highest memory. */
import { readFileSync } from 'node:fs';
import { rm, stat } from 'node:fs/promises';
import { Worker } from 'node:worker_threads';
import { plainRecipe, printPlan } from '@/core/prepare';
import { fitToSheet, plainLayout } from '@/core/size';
import { mm, size } from '@/core/units';
import {
  WORKERS,
  cutTiles,
  fillPrintFile,
  fillSoftProof,
  inspect,
  measureProof,
  readMaster,
  runInWorker,
  spaceTarget,
  startWorkersBy,
} from '@/engine';

startWorkersBy(() => new Worker(new URL('../scripts/worker.mjs', import.meta.url)));
const [what, path, folder, longMm] = process.argv.slice(2) as [
  string,
  string,
  string,
  string?,
];
const never = new AbortController().signal;
const silent = () => undefined;
const pixels = `${folder}/pixels.v`;
const { facts, icc } = await readMaster(path, (await stat(path)).size);
const colour = { icc, assumedSpace: null };

const cotton = {
  icc: new Uint8Array(readFileSync('demo/profiles/heron-press-cotton.icc')),
  name: 'cotton',
  channels: 3,
} as const;
const proofed = {
  pixels,
  colour,
  width: facts.width,
  height: facts.height,
  way: { profile: cotton, intent: 'relative', blackPoint: true },
  profile: cotton,
} as const;

const PASSES: Record<string, () => Promise<void>> = {
  decode: () =>
    runInWorker(
      'decode',
      { path, facts, part: `${folder}/part.v`, target: pixels },
      silent,
      never,
    ),
  tiles: () =>
    cutTiles(
      {
        pixels,
        width: facts.width,
        height: facts.height,
        colour,
        scratch: `${folder}/scratch`,
        tilesFolder: `${folder}/tiles`,
        preview: `${folder}/preview.jpg`,
      },
      silent,
      never,
    ),
  /** The whole picture proofed on the demo's cotton, in its own space; `figures`: what it costs. */
  async softProof() {
    const target = `${folder}/proof.tif`;
    await rm(target, { force: true });
    const channels = facts.colourModel === 'grey' ? 1 : 3;
    const work = { ...proofed, channels, ppi: 300, target } as const;
    await fillSoftProof(work, silent, never);
  },
  async figures() {
    // The second time, as for the second paper: by threads that have done such work before.
    const work = { ...proofed, blackPoint: true };
    await measureProof(work, runInWorker, never);
    from = performance.now();
    await measureProof(work, runInWorker, never);
  },
  /** The whole reading of a master: its working copy, and then its pixels. */
  async inspect() {
    await PASSES.decode!();
    await inspect(pixels, silent, never);
  },
  async printFile() {
    const long = Number(longMm);
    const plan = printPlan(
      facts,
      fitToSheet(size(long, long), 1, plainLayout('within', mm(0))),
      300,
    );
    const recipe = plainRecipe(300, 0.8);
    recipe.convert = { target: 'srgb', intent: 'relative', blackPoint: true };
    if (what === 'printLzw') recipe.file.compression = 'lzw';
    const target = `${folder}/print.tif`;
    await rm(target, { force: true });
    const about = { title: 'Leaves', artist: 'nobody', copyright: '' };
    const into = spaceTarget('srgb');
    const work = { pixels, colour, plan, recipe, into, about, target };
    await fillPrintFile(work, silent, never);
  },
};

PASSES.printLzw = () => PASSES.printFile!();
// The threads are running before work comes, as in the application.
await Promise.all(
  Array.from({ length: WORKERS }, () => runInWorker('rest', null, silent, never)),
);
// A working copy goes where none was yet, as in the application.
if (what === 'decode' || what === 'inspect') await rm(pixels, { force: true });
let from = performance.now();
await PASSES[what]!();
const seconds = (performance.now() - from) / 1000;
const status = readFileSync('/proc/self/status', 'utf8');
const megabytes = Number(/VmHWM:\s+(\d+)/.exec(status)![1]) / 1024;
console.log(JSON.stringify({ seconds, megabytes }));
process.exit(0);
