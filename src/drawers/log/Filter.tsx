'use client';
import { Choose } from '@/shell/fields';
import { useAddress } from '@/shell/table';
import { useSearchParams } from 'next/navigation';

/** Rows as choices: their numbers, and what they are called. */
export const named = <K extends string>(
  rows: readonly ({ id: number } & Record<K, string>)[],
  key: K,
) => rows.map((row): [string, string] => [String(row.id), row[key]]);

/** What a list is narrowed to, kept in the address. */
export function Filter({
  name,
  label,
  all,
  of,
}: {
  /** In the address. */
  name: string;
  label: string;
  all: string;
  of: readonly (readonly [string, string])[];
}) {
  const go = useAddress();
  const chosen = useSearchParams().get(name) ?? '';
  return (
    <Choose
      aria-label={label}
      style={{ padding: 6, maxWidth: 140 }}
      value={chosen}
      onChange={(e) => go({ [name]: e.target.value, page: null })}
    >
      <option value="">{all}</option>
      {of.map(([value, text]) => (
        <option key={value} value={value}>
          {text}
        </option>
      ))}
    </Choose>
  );
}
