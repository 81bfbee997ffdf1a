import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Derivation } from '@/core/capture/derivation';
import type { SpaceId } from '@/core/colour';
import type { IccRemark, MasterFormat } from '@/core/image';
import type { Check, Recipe } from '@/core/prepare';
import type { CropChoice, CropRect, JudgedThen, Layout } from '@/core/sizing';
import type { WorkKind } from '@/core/work';
import { id, mm, money, at } from './columns';

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

/** The work a row is about. */
export const workId = () =>
  integer('work_id')
    .notNull()
    .references(() => works.id);

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
  iccRemark: text('icc_remark').$type<IccRemark>(),
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
    /** Crop, turn and flat field that were accepted for it; null: the file as it is. */
    derivation: text('derivation', { mode: 'json' }).$type<Derivation>(),
    /** Under which the derived pixels, tiles and preview lie; null: under the file's own hash. */
    picture: text('picture'),
    at: at(),
  },
  (t) => [index('master_of_work').on(t.workId), index('master_file').on(t.sha256)],
);

export const sizeEvents = sqliteTable(
  'size_event',
  {
    id: id(),
    workId: workId(),
    sizeKey: text('size_key').notNull(),
    kind: text('kind').$type<'offered' | 'withdrawn'>().notNull(),
    layout: text('layout', { mode: 'json' }).$type<Layout>().notNull(),
    /** What was judged of it then; null where nothing could be judged. */
    judged: text('judged', { mode: 'json' }).$type<JudgedThen>(),
    reason: text('reason'),
    at: at(),
  },
  (t) => [index('size_event_of_work').on(t.workId)],
);

/** A crop chosen for a ratio of a work; the newest row of a ratio counts. */
export const cropChoices = sqliteTable(
  'crop_choice',
  {
    id: id(),
    workId: workId(),
    ratio: text('ratio').notNull(),
    /** Null: none is chosen any more. */
    choice: text('choice', { mode: 'json' }).$type<CropChoice>(),
    /** Proportion (width / height) of the picture it was chosen on. */
    picture: real('picture').notNull(),
    at: at(),
  },
  (t) => [index('crop_choice_of_work').on(t.workId, t.ratio)],
);

/** The part of a picture that no crop may lose; the newest row of a work counts. */
export const keptAreas = sqliteTable(
  'kept_area',
  {
    id: id(),
    workId: workId(),
    /** Null: nothing is kept in any more. */
    area: text('area', { mode: 'json' }).$type<CropRect>(),
    at: at(),
  },
  (t) => [index('kept_area_of_work').on(t.workId)],
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
