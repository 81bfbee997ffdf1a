import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import { RECIPE } from '@/core/prepare';
import type { Intent } from '@/core/prepare';
import type { Corners } from '@/core/capture/geometry';
import type {
  ByEye,
  GreyCard,
  PatchReading,
  ProofLight,
  ProofVerdict,
  Side,
  Surround,
} from '@/core/proof';
import { masters } from './capture';
import { at, currency, id, money, versioned } from './columns';
import { papers } from './paper';
import { printFiles, profiles, sheetFiles } from './prepare';
import { workId } from './work';

/** A proof that was sent. What rounds of before did not say is null. */
export const proofRounds = sqliteTable(
  'proof_round',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    round: integer('round').notNull(),
    route: text('route').notNull(),
    printFileId: integer('print_file_id').references(() => printFiles.id),
    cost: money('cost_minor').notNull(),
    currency: currency(),
    remarks: text('remarks').notNull(),
    sentAt: at('sent_at'),
    /** The sheet that was sent, where it was no print file. */
    sheetId: integer('sheet_id').references(() => sheetFiles.id),
    masterId: integer('master_id').references(() => masters.id),
    /** What it was made by. */
    recipe: versioned('recipe', RECIPE),
    /** Through which profile it is printed, by which intent. */
    profileSha256: text('profile_sha256').references(() => profiles.sha256),
    intent: text('intent').$type<Intent>(),
    blackPoint: integer('black_point', { mode: 'boolean' }),
    /** The printer's media setting, and the lot of the paper. */
    setting: text('setting'),
    lot: text('lot'),
    /** The inks that it is printed with, as its route says. */
    inkSet: text('ink_set'),
    /** The day on which it should be back. */
    dueOn: text('due_on'),
    /** Rounds that were sent together have the same. */
    sending: text('sending'),
  },
  (t) => [uniqueIndex('proof_round_once').on(t.workId, t.sizeKey, t.paperId, t.round)],
);

const ofRound = () =>
  integer('round_id')
    .notNull()
    .references(() => proofRounds.id);

/** What was seen when a round came back; one per round. */
export const proofReturns = sqliteTable('proof_return', {
  roundId: integer('round_id')
    .primaryKey()
    .references(() => proofRounds.id),
  seen: text('seen').notNull(),
  toChange: text('to_change').notNull(),
  verdict: text('verdict').$type<ProofVerdict>().notNull(),
  backAt: at('back_at'),
  /** Under what light it was judged, and how it was judged by eye. */
  light: text('light', { mode: 'json' }).$type<ProofLight>(),
  byEye: text('by_eye', { mode: 'json' }).$type<ByEye>(),
});

/** What an instrument read of a round's control strip: CIELAB, D50, 2 degrees; the newest of a round counts. */
export const proofReadings = sqliteTable(
  'proof_reading',
  {
    id: id(),
    roundId: ofRound(),
    patches: text('patches', { mode: 'json' }).$type<PatchReading[]>().notNull(),
    /** The instrument, or the name of the file. */
    source: text('source').notNull(),
    at: at(),
  },
  (t) => [index('proof_reading_of').on(t.roundId)],
);

/** What the customer of a print said of its proof. */
export const proofCustomers = sqliteTable(
  'proof_customer',
  {
    id: id(),
    roundId: ofRound(),
    sentOn: text('sent_on').notNull(),
    said: text('said').notNull(),
    agreed: integer('agreed', { mode: 'boolean' }).notNull(),
    at: at(),
  },
  (t) => [index('proof_customer_of').on(t.roundId)],
);

/** A photograph or scan of a round that came back; the file lies in the store as it came. */
export const proofPhotographs = sqliteTable(
  'proof_photograph',
  {
    id: id(),
    roundId: ofRound(),
    sha256: text('sha256').notNull(),
    name: text('name').notNull(),
    width: integer('width_px').notNull(),
    height: integer('height_px').notNull(),
    at: at(),
  },
  (t) => [index('proof_photograph_of').on(t.roundId)],
);

/** Where the print lies in a photograph of it, pixels: found, or placed by hand; the newest counts. */
export const proofPlacings = sqliteTable(
  'proof_placing',
  {
    id: id(),
    photographId: integer('photograph_id')
      .notNull()
      .references(() => proofPhotographs.id),
    proof: text('proof', { mode: 'json' }).$type<Corners>().notNull(),
    /** The original, where it lies beside the proof, and on which side of it the proof lies. */
    original: text('original', { mode: 'json' }).$type<Corners>(),
    proofAt: text('proof_at').$type<Side>().notNull(),
    card: text('card', { mode: 'json' }).$type<GreyCard>(),
    byHand: integer('by_hand', { mode: 'boolean' }).notNull(),
    at: at(),
  },
  (t) => [index('proof_placing_of').on(t.photographId)],
);

/** How screen and light were set up for judging prints; the newest counts. */
export const lightSetUps = sqliteTable('light_set_up', {
  id: id(),
  lux: real('lux').notNull(),
  reflectance: real('reflectance').notNull(),
  luminance: real('luminance_cd_m2'),
  lightKelvin: integer('light_kelvin'),
  screenKelvin: integer('screen_kelvin'),
  surround: text('surround').$type<Surround>().notNull(),
  calibratedOn: text('calibrated_on'),
  at: at(),
});
