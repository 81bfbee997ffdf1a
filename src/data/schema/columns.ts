import { customType, integer, real, text } from 'drizzle-orm/sqlite-core';
import type { Versioned } from '@/core/facts';
import type { Millimetres, Minor } from '@/core/units';

/** Row number, given by the database. */
export const id = () => integer('id').primaryKey({ autoIncrement: true });
export const mm = (name: string) => real(name).$type<Millimetres>();
export const money = (name: string) => integer(name).$type<Minor>();
/** The currency (ISO 4217) of the money in its row. */
export const currency = () => text('currency').notNull();
/** ISO 8601 instant of the fact. */
export const at = (name = 'at') => text(name).notNull();

/** A fact kept as JSON: written with its version, read by whatever version it is. */
export const versioned = <T extends object>(name: string, fact: Versioned<T>) =>
  customType<{ data: T; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(fact.write(value)),
    fromDriver: (stored) => fact.read(JSON.parse(stored)),
  })(name);
