'use client';
import { useState } from 'react';
import { DownloadLink } from '@/shell/actions';
import { Choose } from '@/shell/fields';
import { Small } from '@/shell/words';
import type { PriceView } from '../view';

/** The price list of the work, for one channel, to be taken out. */
export function TakeList({ view }: { view: PriceView }) {
  const [channel, setChannel] = useState('own site');
  const at = `/api/price-lists/${view.work.id}?channel=${encodeURIComponent(channel)}`;
  return (
    <>
      <div style={{ display: 'flex', alignItems: 'center', gap: 6 }}>
        <Choose
          label="Price list for"
          value={channel}
          options={view.channels.map((c) => [c.channel, c.channel] as const)}
          onChange={setChannel}
        />
        <DownloadLink $plain $small href={at}>
          PDF
        </DownloadLink>
        <DownloadLink $plain $small href={`${at}&form=csv`}>
          CSV
        </DownloadLink>
      </div>
      <Small>Price list: as prices were kept, in both units.</Small>
    </>
  );
}
