import {
  index,
  integer,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { AnySQLiteColumn } from 'drizzle-orm/sqlite-core';
import { RECIPE } from '@/core/prepare';
import type { Check, SheetContent, SheetKindId } from '@/core/prepare';
import { masters } from './capture';
import { at, id, versioned } from './columns';
import { workId } from './work';

/** Named recipes; of one name the newest version counts, and the older ones stay. */
export const recipes = sqliteTable(
  'recipe',
  {
    id: id(),
    name: text('name').notNull(),
    version: integer('version').notNull(),
    recipe: versioned('recipe', RECIPE).notNull(),
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
    kind: text('kind').$type<SheetKindId>().notNull(),
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
  (t) => [index('sheet_file_bytes').on(t.sha256)],
);

/** The works whose pictures are on a sheet, and the masters they were taken from. */
export const sheetItems = sqliteTable(
  'sheet_item',
  {
    id: id(),
    sheetId: integer('sheet_id')
      .notNull()
      .references(() => sheetFiles.id),
    workId: workId(),
    masterId: integer('master_id')
      .notNull()
      .references(() => masters.id),
  },
  (t) => [index('sheet_item_of').on(t.sheetId), index('sheet_item_work').on(t.workId)],
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
    recipe: versioned('recipe', RECIPE).notNull(),
    recipeId: integer('recipe_id').references((): AnySQLiteColumn => recipes.id),
    checks: text('checks', { mode: 'json' }).$type<Check[]>().notNull(),
    at: at(),
  },
  (t) => [index('print_file_of_work').on(t.workId), index('print_file_bytes').on(t.sha256)],
);
