/**
 * `npm run bench`: our passes against the `vips` command line on the same file, memory at two
 * sizes, and how fast views and requests are answered. Ratios of one run; nothing is asserted.
 * GLASSINE_BENCH_MP sets the picture for the ratios, GLASSINE_BENCH_LARGE the largest one.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { writePicture } from './picture';
import { measureCut } from './cut';
import { measureDamaged } from './damaged';
import { measureInk } from './ink';
import { measureDetail } from './detail';
import { measureSizes } from './sizes';
import { measureFound } from './found';
import { measureKernels } from './kernels';
import { measurePatch } from './patch';
import { measurePrice } from './price';
import { measureSliders } from './sliders';
import { measurePress } from './press';
import { measureRings } from './rings';
import { measureSkies } from './skies';
import { tificc } from './softProof';
import { measureSpecks } from './specks';
import { measureServer, serverMemory } from './server';

const FOLDER = process.env.GLASSINE_BENCH_FOLDER ?? '/tmp/glassine-bench';
const MP = Number(process.env.GLASSINE_BENCH_MP ?? 100);
const LARGE = Number(process.env.GLASSINE_BENCH_LARGE ?? 400);
const SMALL = 25;
/** Side of the print, mm: at 300 ppi an enlargement of 1.2 x of 100 megapixels. */
const PRINT_MM = Math.round((Math.sqrt(MP * 1e6) * 1.2 * 25.4) / 300);

/** The same pyramid as ours. */
const PYRAMID = '--tile-size 512 --overlap 0 --suffix .jpg[Q=88] --depth onepixel'.split(
  ' ',
);

interface Pass {
  seconds: number;
  megabytes: number;
}

function ours(what: string, picture: string, folder: string, mm = PRINT_MM): Pass {
  const args = ['--import', 'tsx', 'bench/pass.ts', what, picture, folder, String(mm)];
  const done = spawnSync(process.execPath, args, { encoding: 'utf8' });
  if (done.status !== 0) throw new Error(done.stderr);
  return JSON.parse(done.stdout.trim().split('\n').at(-1)!) as Pass;
}

/** Runs commands of the library's own program, one after the other; seconds for all. */
function vips(...commands: string[][]): number {
  const from = performance.now();
  for (const [command, ...args] of commands) {
    const done = spawnSync(command!, args, { encoding: 'utf8' });
    if (done.status !== 0) throw new Error(`${command} ${args.join(' ')}: ${done.stderr}`);
  }
  return (performance.now() - from) / 1000;
}

const line = (name: string, a: number, b: number, theirs = 'vips') =>
  console.log(
    `${name.padEnd(34)} ours ${a.toFixed(1).padStart(7)} s   ${theirs} ${b.toFixed(1).padStart(7)} s   ${(a / b).toFixed(2)} x`,
  );

function folderOf(name: string): string {
  const folder = join(FOLDER, name);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  return folder;
}

async function ratios(): Promise<void> {
  const picture = join(FOLDER, `${MP}.tif`);
  const side = await writePicture(picture, MP);
  const folder = folderOf('ratios');
  const t = (name: string) => join(folder, name);
  console.log(
    `\nAgainst the vips command line, ${MP} megapixels, 16 bit (${side} px a side)`,
  );
  const decode = ours('decode', picture, folder);
  line(
    'intake: working copy',
    decode.seconds,
    vips(['vips', 'copy', picture, t('copy.v')]),
  );
  const tiles = ours('tiles', picture, folder);
  const dz = vips(['vips', 'dzsave', picture, t('dz'), ...PYRAMID]);
  const thumb = vips([
    'vipsthumbnail',
    picture,
    '--size',
    '2000',
    '--export-profile',
    'srgb',
    '-o',
    t('thumb.jpg[Q=88]'),
  ]);
  const inColour = vips(
    ['vips', 'icc_transform', picture, t('t.v'), 'srgb', '--embedded', '--depth', '8'],
    ['vips', 'dzsave', t('t.v'), t('dz2'), ...PYRAMID],
  );
  line('tiles in sRGB, and thumbnail', tiles.seconds, inColour + thumb);
  line('against tiles not converted', tiles.seconds, dz + thumb);
  const reading = ours('inspect', picture, folder);
  line('whole reading against dzsave', reading.seconds, dz);
  const print = ours('printFile', picture, folder);
  const factor = String((Math.round((PRINT_MM / 25.4) * 300) / side).toFixed(6));
  const theirs = vips(
    ['vips', 'resize', picture, t('r.v'), factor, '--kernel', 'lanczos3'],
    ['vips', 'sharpen', t('r.v'), t('s.v'), '--sigma', '0.8'],
    [
      'vips',
      'icc_transform',
      t('s.v'),
      t('i.v'),
      'srgb',
      '--embedded',
      '--intent',
      'relative',
      '--black-point-compensation',
      '--depth',
      '8',
    ],
    ['vips', 'copy', t('i.v'), t('out.tif')],
  );
  line(`print file, ${PRINT_MM} mm at 300 ppi`, print.seconds, theirs);
  rmSync(folder, { recursive: true });
}

/** Proofs against Little CMS's own program, which also reads and writes the whole picture. */
async function proofs(): Promise<void> {
  const picture = join(FOLDER, `${MP}.tif`);
  await writePicture(picture, MP);
  const folder = folderOf('proofs');
  console.log(`\nAgainst tificc, ${MP} megapixels, 16 bit`);
  ours('decode', picture, folder);
  const proof = ours('softProof', picture, folder);
  line('whole picture soft-proofed', proof.seconds, tificc(picture, folder), 'tificc');
  const figures = ours('figures', picture, folder);
  console.log(
    `${'figures of it, threads warm'.padEnd(34)} ours ${figures.seconds.toFixed(2)} s`,
  );
  rmSync(folder, { recursive: true });
}

async function memory(): Promise<void> {
  console.log('\nHighest memory of the process, MB');
  const highest: Record<string, number[]> = {};
  for (const mp of [SMALL, LARGE]) {
    const picture = join(FOLDER, `${mp}.tif`);
    await writePicture(picture, mp);
    const folder = folderOf('memory');
    for (const what of ['decode', 'tiles', 'inspect', 'printFile', 'softProof', 'figures'])
      (highest[what] ??= []).push(
        ours(what, picture, folder, mp === LARGE ? 1400 : 420).megabytes,
      );
    rmSync(folder, { recursive: true });
    (highest['whole server'] ??= []).push(
      await serverMemory(join(FOLDER, 'server'), picture),
    );
  }
  for (const [what, [small = 0, large = 0]] of Object.entries(highest))
    console.log(
      `${what.padEnd(14)} ${SMALL} MP ${small.toFixed(0).padStart(5)}   ${LARGE} MP ${large.toFixed(0).padStart(5)}   ${(large / small).toFixed(2)} x`,
    );
}

mkdirSync(FOLDER, { recursive: true });
const wanted = process.argv.slice(2);
const run = (name: string) => wanted.length === 0 || wanted.includes(name);
if (run('ratios')) await ratios();
if (run('proofs')) await proofs();
if (run('memory')) await memory();
if (run('found')) measureFound();
if (run('cut')) measureCut();
if (run('price')) measurePrice();
if (run('ink')) measureInk();
if (run('server')) await measureServer(join(FOLDER, 'server'));
if (run('damaged')) await measureDamaged(join(FOLDER, 'server'));
if (wanted[0] === 'specks') await measureSpecks(wanted[1]);
if (wanted[0] === 'detail' && wanted[1]) await measureDetail(wanted[1]);
if (wanted[0] === 'sizes') await measureSizes(wanted[1]!, wanted[2]!);
if (wanted[0] === 'sliders') await measureSliders(wanted[1]!, wanted[2]!);
if (wanted[0] === 'press') await measurePress(wanted[1]!, wanted[2]!);
if (wanted[0] === 'rings') measureRings();
if (wanted[0] === 'skies') await measureSkies();
if (wanted[0] === 'kernels') await measureKernels(wanted[1]!);
if (wanted[0] === 'patch') await measurePatch(wanted[1]!, wanted[2]!, wanted[3]);
