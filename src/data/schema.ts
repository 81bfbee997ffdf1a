import {
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  index,
} from 'drizzle-orm/sqlite-core';
import type { SpaceId } from '@/core/colour';
import type { LedgerKind, Series } from '@/core/edition';
import type { MasterFormat } from '@/core/image';
import type { Check, Recipe } from '@/core/prepare';
import type { ProofVerdict } from '@/core/proof';
import type { Fit } from '@/core/sizing';
import type { Grams, GramsPerSquareMetre, Millimetres, Minor } from '@/core/units';
import type { WorkKind } from '@/core/work';

const id = () => integer('id').primaryKey({ autoIncrement: true });
const mm = (name: string) => real(name).$type<Millimetres>();
const money = (name: string) => integer(name).$type<Minor>();
/** ISO 8601 instant of the fact. */
const at = (name = 'at') => text(name).notNull();
const workId = () =>
  integer('work_id')
    .notNull()
    .references(() => works.id);

export const settings = sqliteTable('setting', {
  key: text('key').primaryKey(),
  value: text('value', { mode: 'json' }).notNull(),
});

export const works = sqliteTable(
  'work',
  {
    id: id(),
    title: text('title').notNull(),
    artist: text('artist').notNull(),
    year: integer('year').notNull(),
    kind: text('kind').$type<WorkKind>().notNull(),
    medium: text('medium').notNull(),
    width: mm('width_mm').notNull(),
    height: mm('height_mm').notNull(),
    price: money('price_minor').notNull(),
    createdAt: at('created_at'),
  },
  (t) => [index('work_title').on(t.title)],
);

/** Facts of a stored original; the bytes lie in the store under the hash. */
export const files = sqliteTable('file', {
  sha256: text('sha256').primaryKey(),
  bytes: integer('bytes').notNull(),
  format: text('format').$type<MasterFormat>().notNull(),
  width: integer('width_px').notNull(),
  height: integer('height_px').notNull(),
  bitsPerChannel: integer('bits').notNull(),
  channels: integer('channels').notNull(),
  colourModel: text('colour_model').$type<'rgb' | 'grey'>().notNull(),
  ppiTag: real('ppi_tag'),
  iccDescription: text('icc_description'),
  orientation: integer('orientation').notNull(),
  storedAt: at('stored_at'),
});

/** A file taken as the master of a work; the newest row of a work counts. */
export const masters = sqliteTable(
  'master',
  {
    id: id(),
    workId: workId(),
    sha256: text('sha256')
      .notNull()
      .references(() => files.sha256),
    name: text('name').notNull(),
    /** What the user said of an untagged file. */
    assumedSpace: text('assumed_space').$type<SpaceId>(),
    at: at(),
  },
  (t) => [index('master_of_work').on(t.workId), index('master_file').on(t.sha256)],
);

export type JobKind = 'intake' | 'read' | 'printFile' | 'backup' | 'check';

/** Long work. `spec` holds all that is needed to run it again. */
export const jobs = sqliteTable(
  'job',
  {
    id: id(),
    kind: text('kind').$type<JobKind>().notNull(),
    workId: integer('work_id').references(() => works.id),
    spec: text('spec', { mode: 'json' }).$type<unknown>().notNull().default('{}'),
    state: text('state')
      .$type<'queued' | 'running' | 'done' | 'failed' | 'cancelled' | 'cutOff'>()
      .notNull(),
    stage: text('stage').notNull(),
    error: text('error'),
    at: at(),
  },
  (t) => [
    index('job_of_work').on(t.workId, t.kind, t.id),
    index('job_in_state').on(t.state),
  ],
);

export const sizeEvents = sqliteTable(
  'size_event',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    kind: text('kind').$type<'offered' | 'withdrawn'>().notNull(),
    fit: text('fit').$type<Fit>().notNull(),
    border: mm('border_mm').notNull(),
    reason: text('reason'),
    at: at(),
  },
  (t) => [index('size_event_of_work').on(t.workId)],
);

export const printFiles = sqliteTable(
  'print_file',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    masterId: integer('master_id')
      .notNull()
      .references(() => masters.id),
    version: integer('version').notNull(),
    name: text('name').notNull(),
    sha256: text('sha256').notNull(),
    bytes: integer('bytes').notNull(),
    width: integer('width_px').notNull(),
    height: integer('height_px').notNull(),
    recipe: text('recipe', { mode: 'json' }).$type<Recipe>().notNull(),
    checks: text('checks', { mode: 'json' }).$type<Check[]>().notNull(),
    at: at(),
  },
  (t) => [index('print_file_of_work').on(t.workId), index('print_file_bytes').on(t.sha256)],
);

export const papers = sqliteTable('paper', {
  id: id(),
  name: text('name').notNull(),
  maker: text('maker').notNull(),
  base: text('base').notNull(),
  surface: text('surface').notNull(),
  weight: real('weight_gsm').$type<GramsPerSquareMetre>().notNull(),
  thickness: mm('thickness_mm').notNull(),
  sheetWidth: mm('sheet_width_mm').notNull(),
  sheetHeight: mm('sheet_height_mm').notNull(),
  price: money('price_minor').notNull(),
  reorderPoint: integer('reorder_point').notNull(),
  printerSetting: text('printer_setting').notNull(),
  /** Never a bare number of years: figure, source and display condition in one line. */
  permanence: text('permanence').notNull(),
  note: text('note').notNull(),
  createdAt: at('created_at'),
});

/** Packing material; sizes inside. A tube has its diameter in `width` and its length in `height`. */
export const materials = sqliteTable('material', {
  id: id(),
  kind: text('kind').$type<'sleeve' | 'board' | 'mailer' | 'tube'>().notNull(),
  name: text('name').notNull(),
  width: mm('width_mm').notNull(),
  height: mm('height_mm').notNull(),
  thickness: mm('thickness_mm').notNull(),
  mass: real('mass_g').$type<Grams>().notNull(),
  cost: money('cost_minor').notNull(),
});

/** Received (positive) and used (negative) sheets or pieces. */
export const movements = sqliteTable(
  'movement',
  {
    id: id(),
    of: text('of').$type<'paper' | 'material'>().notNull(),
    ref: integer('ref').notNull(),
    pieces: integer('pieces').notNull(),
    reason: text('reason').notNull(),
    at: at(),
  },
  (t) => [index('movement_of').on(t.of, t.ref)],
);

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
    remarks: text('remarks').notNull(),
    sentAt: at('sent_at'),
  },
  (t) => [uniqueIndex('proof_round_once').on(t.workId, t.sizeKey, t.paperId, t.round)],
);

/** What was seen when a round came back; one per round. */
export const proofReturns = sqliteTable('proof_return', {
  roundId: integer('round_id')
    .primaryKey()
    .references(() => proofRounds.id),
  seen: text('seen').notNull(),
  toChange: text('to_change').notNull(),
  verdict: text('verdict').$type<ProofVerdict>().notNull(),
  backAt: at('back_at'),
});

export const editions = sqliteTable(
  'edition',
  {
    id: id(),
    workId: workId(),
    /** The size it is of, or `all` for one edition over all sizes. */
    sizeKey: text('size_key').notNull(),
    createdAt: at('created_at'),
  },
  (t) => [uniqueIndex('edition_once').on(t.workId, t.sizeKey)],
);

/** Append-only: triggers refuse UPDATE and DELETE. Declarations carry theirs in `payload`. */
export const ledger = sqliteTable(
  'ledger',
  {
    seq: integer('seq').primaryKey(),
    editionId: integer('edition_id')
      .notNull()
      .references(() => editions.id),
    kind: text('kind').$type<LedgerKind>().notNull(),
    series: text('series').$type<Series>(),
    number: integer('number'),
    at: at(),
    payload: text('payload', { mode: 'json' })
      .$type<Record<string, string | number>>()
      .notNull(),
    previousHash: text('previous_hash').notNull().unique(),
    hash: text('hash').notNull().unique(),
  },
  (t) => [index('ledger_of_edition').on(t.editionId, t.seq)],
);

export const prices = sqliteTable(
  'price',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    channel: text('channel').notNull(),
    input: text('input', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    cost: money('cost_minor').notNull(),
    fees: money('fees_minor').notNull(),
    price: money('price_minor').notNull(),
    net: money('net_minor').notNull(),
    at: at(),
  },
  (t) => [index('price_of_size').on(t.workId, t.sizeKey, t.id)],
);

export const finishes = sqliteTable(
  'finish',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    input: text('input', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    at: at(),
  },
  (t) => [index('finish_of_work').on(t.workId)],
);

export const customers = sqliteTable(
  'customer',
  {
    id: id(),
    name: text('name').notNull(),
    street: text('street').notNull(),
    town: text('town').notNull(),
    country: text('country').notNull(),
  },
  (t) => [index('customer_name').on(t.name)],
);

export const orders = sqliteTable(
  'orders',
  {
    id: id(),
    number: text('number').notNull().unique(),
    customerId: integer('customer_id')
      .notNull()
      .references(() => customers.id),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    paperId: integer('paper_id')
      .notNull()
      .references(() => papers.id),
    editionId: integer('edition_id')
      .notNull()
      .references(() => editions.id),
    series: text('series').$type<Series>().notNull(),
    impression: integer('impression').notNull(),
    channel: text('channel').notNull(),
    price: money('price_minor').notNull(),
    placedAt: at('placed_at'),
    dueOn: text('due_on').notNull(),
  },
  (t) => [
    index('order_of_work').on(t.workId),
    index('order_due').on(t.dueOn),
    index('order_price').on(t.price),
    index('order_placed').on(t.placedAt),
    index('order_customer').on(t.customerId),
  ],
);

export type OrderEventKind = 'tick' | 'weighed' | 'labelled' | 'shipped';

export const orderEvents = sqliteTable(
  'order_event',
  {
    id: id(),
    orderId: integer('order_id')
      .notNull()
      .references(() => orders.id),
    kind: text('kind').$type<OrderEventKind>().notNull(),
    payload: text('payload', { mode: 'json' })
      .$type<Record<string, string | number | boolean>>()
      .notNull(),
    at: at(),
  },
  (t) => [index('order_event_of').on(t.orderId)],
);

export type DocumentKind = 'certificate' | 'packing slip' | 'label';

export const documents = sqliteTable('document', {
  id: id(),
  orderId: integer('order_id')
    .notNull()
    .references(() => orders.id),
  kind: text('kind').$type<DocumentKind>().notNull(),
  name: text('name').notNull(),
  sha256: text('sha256').notNull(),
  at: at(),
});

/** The log book: one line for every write, in order. */
export const logLines = sqliteTable(
  'log_line',
  {
    id: id(),
    at: at(),
    what: text('what').notNull(),
    workId: integer('work_id'),
    sizeKey: text('size_key'),
    editionId: integer('edition_id'),
    series: text('series').$type<Series>(),
    impression: integer('impression'),
    orderId: integer('order_id'),
    detail: text('detail', { mode: 'json' })
      .$type<Record<string, string | number | null>>()
      .notNull(),
  },
  (t) => [
    index('log_in_order').on(t.at, t.id),
    index('log_of_work').on(t.workId, t.at, t.id),
    index('log_of_impression').on(t.editionId, t.series, t.impression),
  ],
);
