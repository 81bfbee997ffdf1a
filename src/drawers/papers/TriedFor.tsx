'use client';
import { useRouter } from 'next/navigation';
import { Choose } from '@/shell/fields';
import { useAddressOf } from '@/shell/table';
import type { PapersView } from './view';

/** Which papers were tried for something; nothing while none was. */
export function TriedFor({ view }: { view: PapersView }) {
  const router = useRouter();
  const addressOf = useAddressOf();
  if (view.tried.length === 0) return null;
  return (
    <div style={{ width: 260, marginBottom: 6 }}>
      <Choose
        label="Tried for"
        value={view.triedFor ?? ''}
        options={[
          ['', 'all papers, whatever tried for'],
          ...view.tried.map((t) => [t, `tried for ${t}`] as const),
        ]}
        onChange={(t) => router.replace(addressOf({ tried: t || null, paper: null }))}
      />
    </div>
  );
}
