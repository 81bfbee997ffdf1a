import { nominalSize } from '@/core/size';
import { findAll } from '@/data';
import type { Hit } from '@/data';
import { studio } from '@/studio';

const MOST = 12;
const STATES: Record<string, string> = {
  numbered: 'here',
  ordered: 'ordered',
  sold: 'sold',
  spoiled: 'spoiled',
  damaged: 'damaged',
  lost: 'lost',
};

function said(hit: Hit) {
  switch (hit.kind) {
    case 'work':
      return {
        kind: 'Work',
        name: hit.title,
        about: `${hit.medium}, ${hit.year}`,
        href: `/works/${hit.workId}`,
      };
    case 'paper':
      return {
        kind: 'Paper',
        name: hit.name,
        about: hit.maker,
        href: `/papers?paper=${hit.paperId}`,
      };
    case 'order':
      return {
        kind: `Order ${hit.number}`,
        name: `${hit.customer}, ${hit.town}`,
        about: hit.what,
        href: `/orders/${hit.number}`,
      };
    case 'customer':
      return {
        kind: 'Customer',
        name: hit.name,
        about: hit.town,
        href: `/orders/customers?customer=${hit.customerId}`,
      };
    case 'impression':
      return {
        kind: `${hit.number}/${hit.of}`,
        name: hit.work,
        about: `${nominalSize(hit.sizeKey)?.label ?? 'all sizes'}, ${STATES[hit.state] ?? hit.state}`,
        href: `/works/${hit.workId}/edition?${hit.sizeKey === 'all' ? '' : `size=${hit.sizeKey}&`}impression=${hit.series}:${hit.number}`,
      };
  }
}

/** What is found under words or a pencilled number, each with where it lies. */
export const findFor = async (find: string) =>
  (await findAll((await studio()).db.read, find, MOST)).map(said);
