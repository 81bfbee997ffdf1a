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
      label={label}
      style={{ width: 140 }}
      value={chosen}
      onChange={(value) => go({ [name]: value, page: null })}
      options={[['', all], ...of]}
    />
  );
}
