import { integer, real, text } from 'drizzle-orm/sqlite-core';
import type { Millimetres, Minor } from '@/core/units';

/** Row number, given by the database. */
export const id = () => integer('id').primaryKey({ autoIncrement: true });
export const mm = (name: string) => real(name).$type<Millimetres>();
export const money = (name: string) => integer(name).$type<Minor>();
/** ISO 8601 instant of the fact. */
export const at = (name = 'at') => text(name).notNull();
