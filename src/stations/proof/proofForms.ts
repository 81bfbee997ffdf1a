import {
  choice,
  day,
  defineForm,
  hinted,
  json,
  money,
  optional,
  rowNumber,
  text,
  whole,
} from '@/core/input';
import { INTENTS } from '@/core/prepare';
import { EYE_ASPECTS, EYE_SCALE, PROOF_VERDICTS } from '@/core/proof';
import type { Place } from '@/core/capture/geometry';
import type { ByEye, GreyCard } from '@/core/proof';

const workId = rowNumber('Work');
const roundId = rowNumber('Round');

/** What is sent: a print file or a sheet, by its number; empty: nothing of ours. */
const file = { ...text('What is sent', { min: 0, max: 40 }), hidden: false };

/** One more proof that goes along in the same sending. */
export interface SentToo {
  file: string;
  paperId: number;
}

/** What is noted when a round is sent. */
export const sendForm = defineForm({
  workId,
  sizeKey: { ...text('Size', { max: 40 }), hidden: true },
  file,
  paperId: { ...rowNumber('Paper'), hidden: false },
  /** Others that go along. */
  too: {
    ...json<SentToo[]>('Sent along', {
      type: 'array',
      maxItems: 20,
      items: {
        type: 'object',
        additionalProperties: false,
        required: ['file', 'paperId'],
        properties: {
          file: { type: 'string', maxLength: 40 },
          paperId: { type: 'integer', minimum: 1, maximum: 1e9 },
        },
      },
    }),
    hidden: true,
  },
  route: text('Printed by', { max: 80 }),
  intent: choice('Intent', INTENTS),
  setting: text('Media setting', { min: 0, max: 120 }),
  lot: hinted(text('Lot', { min: 0, max: 60 }), 'as on the box'),
  sentOn: day('Sent on'),
  dueOn: optional(day('Back by')),
  cost: money('Cost of each', { min: 0, max: 1e10 }),
  remarks: text('What this round tries', { min: 0, max: 500 }),
});

/** What is said of a round that came back. */
export const backForm = defineForm({
  workId,
  roundId,
  byEye: {
    ...json<ByEye>('By eye', {
      type: 'object',
      additionalProperties: false,
      properties: Object.fromEntries(EYE_ASPECTS.map((a) => [a, { enum: EYE_SCALE }])),
    }),
    hidden: true,
  },
  lux: optional(whole('Light on it', { min: 1, max: 100_000 }, 'lx')),
  kelvin: optional(whole('Colour of the light', { min: 1500, max: 20_000 }, 'K')),
  backOn: optional(day('Came back on')),
  seen: text('What was seen', { max: 1000 }),
  toChange: text('To change in the next round', { min: 0, max: 1000 }),
  verdict: choice('Verdict', PROOF_VERDICTS),
});

/** What the customer of a print said of its proof. */
export const customerForm = defineForm({
  workId,
  roundId,
  sentOn: day('Shown to them on'),
  agreed: choice('They', ['agree', 'do not agree']),
  said: text('What they said', { min: 0, max: 500 }),
});

/** A round of a work. */
export const roundForm = defineForm({ workId, roundId });

/** A round whose change is kept: by its strip, or by a photograph of it. */
export const changeForm = defineForm({
  workId,
  roundId,
  photographId: optional(rowNumber('Photograph')),
});

/** What usually is changed on a paper, taken to begin with. */
export const usualForm = defineForm({
  workId,
  paperId: rowNumber('Paper'),
  sizeKey: text('Size', { max: 60 }),
});

const pixel = { type: 'number', minimum: 0, maximum: 100_000 } as const;
const place = (more: Record<string, object> = {}) =>
  ({
    type: 'object',
    additionalProperties: false,
    required: ['x', 'y', ...Object.keys(more)],
    properties: { x: pixel, y: pixel, ...more },
  }) as const;

/** Where a print lies in a photograph. */
export const placingForm = defineForm({
  workId,
  roundId,
  photographId: rowNumber('Photograph'),
  proofAt: choice('The proof lies', ['left', 'right']),
  corners: {
    ...json<Place[]>('Corners', {
      type: 'array',
      minItems: 4,
      maxItems: 4,
      items: place(),
    }),
    hidden: true,
  },
  /** None, or one. */
  cards: {
    ...json<GreyCard[]>('Grey card', {
      type: 'array',
      maxItems: 1,
      items: place({ reflectance: { type: 'number', minimum: 0.02, maximum: 1 } }),
    }),
    hidden: true,
  },
});
