import { access } from 'node:fs/promises';
import { INTENTS } from '@/core/prepare';
import type { Intent } from '@/core/prepare';
import { NotProofed, printTargetOf, softProofFile } from '@/studio/reads/softProofFile';
import { fileFaultWords } from '@/studio/reads/inspectFiles';
import { STRIP_LIMITS } from '@/core/proof';
import { compareStripFiles } from '@/studio/reads/stripFiles';
import { Stop, said, saying } from './command';
import type { Command } from './command';

const INTENT_NAMES = INTENTS.join('|');

export const softproof: Command = {
  name: 'softproof',
  takes: 'FILE',
  does: 'what printing a picture through a profile costs it: one JSON object',
  flags: {
    profile: { type: 'string', does: 'the ICC profile of printer and paper' },
    intent: {
      type: 'string',
      does: `of the proofed picture: ${INTENT_NAMES}; else relative`,
    },
    'no-bpc': { type: 'boolean', does: 'without black point compensation' },
    out: { type: 'string', does: 'where the proofed picture is written, 16-bit TIFF' },
    json: { type: 'boolean', does: 'one JSON object (always so)' },
  },
  words: [1, 1],
  async run([file], flags) {
    const { profile, intent = 'relative', out = null } = flags;
    if (typeof profile !== 'string')
      throw new Stop('Through which profile? Name it: --profile P.icc');
    if (!INTENTS.includes(intent as Intent))
      throw new Stop(
        `There is no intent “${String(intent)}”. It is one of ${INTENT_NAMES}.`,
      );
    if (
      typeof out === 'string' &&
      (await access(out).then(
        () => true,
        () => false,
      ))
    )
      throw new Stop(`${out}: there is a file of that name already. Name another.`);
    const never = new AbortController().signal;
    try {
      const report = await softProofFile(
        file!,
        {
          profile: await printTargetOf(profile),
          intent: intent as Intent,
          blackPoint: flags['no-bpc'] !== true,
          out: typeof out === 'string' ? out : null,
        },
        saying(`${file!}: `),
        never,
      );
      said();
      console.log(JSON.stringify(report));
    } catch (error) {
      said();
      throw new Stop(
        error instanceof NotProofed ? error.message : fileFaultWords(file!, error),
      );
    }
  },
};

/** A limit that was typed; else the rule of thumb. */
function limitOf(typed: string | boolean | undefined, usual: number): number {
  if (typeof typed !== 'string') return usual;
  const v = Number(typed);
  if (!/^\d+(\.\d+)?$/.test(typed) || v > 100)
    throw new Stop(`“${typed}” is no limit: a number of ΔE00 such as ${usual}.`);
  return v;
}

export const stripCompare: Command = {
  name: 'strip-compare',
  takes: 'READING.cgats REFERENCE.cgats',
  does: 'holds a strip that was read against the approved one, patch by patch: one JSON object',
  flags: {
    mean: { type: 'string', does: `the mean ΔE00 that passes; else ${STRIP_LIMITS.mean}` },
    worst: { type: 'string', does: `the largest that passes; else ${STRIP_LIMITS.worst}` },
    json: { type: 'boolean', does: 'one JSON object (always so)' },
  },
  words: [2, 2],
  async run([reading, reference], flags) {
    const limits = {
      mean: limitOf(flags.mean, STRIP_LIMITS.mean),
      worst: limitOf(flags.worst, STRIP_LIMITS.worst),
    };
    console.log(JSON.stringify(await compareStripFiles(reading!, reference!, limits)));
  },
};
