import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
} from 'drizzle-orm/sqlite-core';
import type { DeviceKind } from '@/core/capture/plan';
import type { BoardGrid } from '@/core/capture/evenness';
import { READING } from '@/core/capture/reading';
import type { Derivation } from '@/core/capture/derivation';
import type { SpeckVerdict } from '@/core/capture/specks';
import type { SpaceId } from '@/core/colour';
import type { IccRemark, MasterFormat } from '@/core/image';
import { at, id, mm, versioned } from './columns';
import { workId } from './work';

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

/** What a capture can be made with. Which columns are filled depends on the kind. */
export const devices = sqliteTable('device', {
  id: id(),
  kind: text('kind').$type<DeviceKind>().notNull(),
  name: text('name').notNull(),
  /** Bed, sensor or film frame. */
  width: mm('width_mm'),
  height: mm('height_mm'),
  pixelsAcross: integer('pixels_across'),
  pixelsDown: integer('pixels_down'),
  nominalPpi: real('nominal_ppi'),
  measuredPpi: real('measured_ppi'),
  focalLength: mm('focal_length_mm'),
  memoryMegabytes: integer('memory_mb'),
});

/** The largest print that a work was said to be wanted at; the newest row of a work counts. */
export const printWishes = sqliteTable(
  'print_wish',
  {
    id: id(),
    workId: workId(),
    width: mm('width_mm').notNull(),
    height: mm('height_mm').notNull(),
    ppi: real('ppi').notNull(),
    deviceId: integer('device_id'),
    at: at(),
  },
  (t) => [index('print_wish_of_work').on(t.workId)],
);

/** What was read from the pixels of a stored original by one version of the reading. */
export const readings = sqliteTable(
  'reading',
  {
    sha256: text('sha256')
      .notNull()
      .references(() => files.sha256),
    version: integer('version').notNull(),
    /** Measured detail fraction; null when it cannot be told. */
    detail: real('detail'),
    reading: versioned('reading', READING).notNull(),
    at: at(),
  },
  (t) => [primaryKey({ columns: [t.sha256, t.version] })],
);

/** What was said of a speck, by its place in a file, pixels. Of one place the newest counts. */
export const speckEvents = sqliteTable(
  'speck_event',
  {
    id: id(),
    workId: workId(),
    sha256: text('sha256')
      .notNull()
      .references(() => files.sha256),
    x: real('x_px').notNull(),
    y: real('y_px').notNull(),
    diameter: real('diameter_px').notNull(),
    verdict: text('verdict').$type<SpeckVerdict>().notNull(),
    at: at(),
  },
  (t) => [index('speck_event_of_work').on(t.workId)],
);

/** Whether the artist's signature is in the picture; the newest row of a work counts. */
export const signatures = sqliteTable(
  'signature',
  {
    id: id(),
    workId: workId(),
    present: text('present').$type<'inPicture' | 'absent' | 'removed'>().notNull(),
    at: at(),
  },
  (t) => [index('signature_of_work').on(t.workId)],
);

/** A plain board photographed in the light of a work; the newest row of a work counts. */
export const boardShots = sqliteTable(
  'board_shot',
  {
    id: id(),
    workId: workId(),
    name: text('name').notNull(),
    sha256: text('sha256').notNull(),
    width: integer('width_px').notNull(),
    height: integer('height_px').notNull(),
    grid: text('grid', { mode: 'json' })
      .$type<Omit<BoardGrid, 'light'> & { light: number[] }>()
      .notNull(),
    /** By which rule its light was read; see `BOARD_RULE`. */
    rule: integer('rule').notNull().default(1),
    at: at(),
  },
  (t) => [index('board_shot_of_work').on(t.workId)],
);
