import { nominalSize } from '@/core/size';
import type { LineItem } from '@/core/order';
import type { ValueOf } from '@/core/input';
import { freeImpressions, openSizes, paperNamed, sizesOfWorks, worksTitled } from '@/data';
import type { Work, Writing } from '@/data';
import type { LineAsked } from '../readLine';
import type { orderListForm } from './orderListForm';

type Listed = ValueOf<(typeof orderListForm)['fields']>;

/** Thrown where a line of a list cannot be taken, in a sentence that names its field. */
export class NotTaken extends Error {}

const PROOF = /^(?:ap|a\.p\.)\s*/i;
/** Impressions of one work that are looked through. */
const MOST = 5000;

/** A size as it is compared: `50 x 70 cm` and `50 × 70 cm` are one. */
const plainSize = (said: string) =>
  said
    .toLowerCase()
    .replace(/[×*]/g, 'x')
    .replace(/[^a-z0-9.,]/g, '');

const isSize = (key: string, said: string): boolean =>
  said === '' ||
  [key, nominalSize(key)?.label ?? ''].some((name) => plainSize(name) === plainSize(said));

async function workOf(tx: Writing, title: string): Promise<Work> {
  if (title === '') throw new NotTaken('Work: is empty. Give its title.');
  const [work, other] = await worksTitled(tx, title);
  if (!work) throw new NotTaken(`Work: there is no “${title}” in the works drawer.`);
  if (other)
    throw new NotTaken(
      `Work: there are several called “${title}”; take this order in by hand.`,
    );
  return work;
}

/** What a line of a list is of: a numbered print that is here, or a size on offer. */
async function itemOf(tx: Writing, work: Work, v: Listed): Promise<LineItem> {
  const { size, number } = v;
  const sizes = (found: readonly { sizeKey: string }[]) => [
    ...new Set(found.map((f) => f.sizeKey)),
  ];
  const one = (keys: string[], what: string): string => {
    const [key, other] = keys;
    if (key === undefined)
      throw new NotTaken(
        `Size: no ${what} of “${work.title}”${size && ` at “${size}”`} can be sold now.`,
      );
    if (other !== undefined)
      throw new NotTaken(
        `Size: “${work.title}” is sold at ${keys.map((k) => nominalSize(k)?.label ?? k).join(', ')}. Say which.`,
      );
    return key;
  };
  if (v.kind === 'unnumbered') {
    const open = (await openSizes(tx, { workId: work.id }, MOST)).filter((o) =>
      isSize(o.sizeKey, size),
    );
    const sizeKey = one(sizes(open), 'unnumbered print');
    return { of: 'openPrint', workId: work.id, sizeKey };
  }
  const series = v.kind === 'artist’s proof' || PROOF.test(number) ? 'ap' : 'number';
  const free = (await freeImpressions(tx, { workId: work.id }, MOST)).filter(
    (f) => f.series === series && isSize(f.sizeKey, size),
  );
  const sizeKey = one(sizes(free), 'numbered print');
  const asked = number.replace(PROOF, '').split('/')[0]!.trim();
  if (asked !== '' && !/^\d{1,6}$/.test(asked))
    throw new NotTaken(`Number: “${number}” cannot be read. Give it as 7, 7/30 or AP 1.`);
  const wanted = asked === '' ? free[0] : free.find((f) => f.number === Number(asked));
  if (!wanted)
    throw new NotTaken(
      `Number: ${number} of “${work.title}” is not here to be sold. Leave it empty for the lowest that is.`,
    );
  return {
    of: 'impression',
    editionId: wanted.editionId,
    series,
    number: wanted.number,
    sizeKey,
  };
}

/** The paper that was named, or that the size is usually printed on. */
async function paperOf(
  tx: Writing,
  work: Work,
  sizeKey: string,
  name: string,
): Promise<number> {
  if (name !== '') {
    const paper = await paperNamed(tx, name);
    if (!paper) throw new NotTaken(`Paper: there is no “${name}” in the drawer.`);
    return paper.id;
  }
  const known = await sizesOfWorks(tx, [work.id]);
  const usual = known.find((s) => s.sizeKey === sizeKey)?.paperId;
  if (usual == null)
    throw new NotTaken(`Paper: is empty, and none is known for this size. Give its name.`);
  return usual;
}

/** What a line of a list asks for, as a form would have asked for it. Throws NotTaken. */
export async function askedOfList(tx: Writing, v: Listed): Promise<LineAsked> {
  const { goods, mass, thickness, quantity, price } = v;
  const rest = { goods, mass, thickness, quantity, price };
  if (v.kind === 'goods') return { kind: 'goods', item: null, paperId: null, ...rest };
  const work = await workOf(tx, v.work);
  const item = await itemOf(tx, work, v);
  const paperId = await paperOf(tx, work, item.sizeKey ?? '', v.paper);
  const kind = item.of === 'openPrint' ? 'openPrint' : 'impression';
  return { kind, item, paperId, ...rest };
}
