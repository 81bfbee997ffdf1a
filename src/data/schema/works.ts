import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Derivation } from '@/core/capture/derivation';
import type { SpaceId } from '@/core/colour';
import type { IccRemark, MasterFormat } from '@/core/image';
import type { Check, Recipe, SheetContent } from '@/core/prepare';
import type { CropChoice, CropRect, JudgedThen, Layout } from '@/core/size';
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

/** Named recipes; of one name the newest version counts, and the older ones stay. */
export const recipes = sqliteTable(
  'recipe',
  {
    id: id(),
    name: text('name').notNull(),
    version: integer('version').notNull(),
    recipe: text('recipe', { mode: 'json' }).$type<Recipe>().notNull(),
    remarks: text('remarks').notNull(),
    /** The recipe that it was copied from. */
    fromId: integer('from_id'),
    at: at(),
  },
  (t) => [uniqueIndex('recipe_once').on(t.name, t.version)],
);

/** Colour profiles of printers and presses; the bytes lie in the store under the hash. */
export const profiles = sqliteTable('profile', {
  sha256: text('sha256').primaryKey(),
  name: text('name').notNull(),
  /** ICC device class and colour space. */
  deviceClass: text('device_class').notNull(),
  space: text('space').$type<'RGB' | 'CMYK'>().notNull(),
  bytes: integer('bytes').notNull(),
  at: at(),
});

/** Sheets made to be judged: pieces of pictures at their final size, or one piece in many settings. */
export const sheetFiles = sqliteTable(
  'sheet_file',
  {
    id: id(),
    workId: workId(),
    kind: text('kind').$type<'resolution' | 'settings'>().notNull(),
    masterId: integer('master_id')
      .notNull()
      .references(() => masters.id),
    name: text('name').notNull(),
    /** The sheet as a picture, and as a PDF. */
    sha256: text('sha256').notNull(),
    pdfSha256: text('pdf_sha256').notNull(),
    bytes: integer('bytes').notNull(),
    width: integer('width_px').notNull(),
    height: integer('height_px').notNull(),
    ppi: integer('ppi').notNull(),
    /** What is on it; plain data of the kind's own shape. */
    content: text('content', { mode: 'json' }).$type<SheetContent>().notNull(),
    checks: text('checks', { mode: 'json' }).$type<Check[]>().notNull(),
    at: at(),
  },
  (t) => [index('sheet_file_of_work').on(t.workId), index('sheet_file_bytes').on(t.sha256)],
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
    /** For a printer or for a screen. */
    kind: text('kind').$type<'print' | 'screen'>().notNull().default('print'),
    /** Samples of a pixel: RGB or CMYK. */
    channels: integer('channels').$type<3 | 4>().notNull().default(3),
    /** Linear enlargement of the master's pixels. */
    factor: real('factor').notNull().default(1),
    /** Exactly what it was made by; `recipeId` is the named recipe that this was, if it was one. */
    recipe: text('recipe', { mode: 'json' }).$type<Recipe>().notNull(),
    recipeId: integer('recipe_id').references((): AnySQLiteColumn => recipes.id),
    checks: text('checks', { mode: 'json' }).$type<Check[]>().notNull(),
    at: at(),
  },
  (t) => [index('print_file_of_work').on(t.workId), index('print_file_bytes').on(t.sha256)],
);
