import type { Metadata } from 'next';
import type { Station } from '@/core/work';
import { getMaterial, getPaper, getWork } from '@/data';
import type { Reading } from '@/data';
import { stationName } from '@/shell/frame/places';
import { rowId, studio } from '@/studio';

type Query = Record<string, string | undefined>;

interface Asked {
  params: Promise<Record<string, string>>;
  searchParams: Promise<Query>;
}

const joined = (...parts: (string | null | undefined)[]) =>
  parts.filter((p): p is string => Boolean(p)).join(' · ');

const titleOfWork = async (id: string) =>
  (await getWork((await studio()).db.read, rowId(id)))?.title ?? null;

/** The title of a station: its name, the sheet that lies on top, the work. */
export const stationTitle =
  (station: Station, sheetName: (sheet: string | undefined) => string = () => '') =>
  async ({ params, searchParams }: Asked): Promise<Metadata> => {
    const [{ id = '' }, { sheet }] = await Promise.all([params, searchParams]);
    const own = [stationName(station), sheetName(sheet)].filter(Boolean).join(', ');
    return { title: joined(own, await titleOfWork(id)) };
  };

/** The title of a page about a work that is no station. */
export const workTitle =
  (name: string) =>
  async ({ params }: Pick<Asked, 'params'>): Promise<Metadata> => ({
    title: joined(name, await titleOfWork((await params).id ?? '')),
  });

/** What is picked in a drawer, by its name in the address. */
const PICKED: Record<string, (db: Reading, id: number) => Promise<string | undefined>> = {
  paper: async (db, id) => (await getPaper(db, id))?.name,
  material: async (db, id) => (await getMaterial(db, id))?.name,
};

/** The title of a drawer: what is picked in it, what is sought in it, its name. */
export const drawerTitle =
  (name: string) =>
  async ({ searchParams }: Pick<Asked, 'searchParams'>): Promise<Metadata> => {
    const query = await searchParams;
    const db = (await studio()).db.read;
    const picked = await Promise.all(
      Object.entries(PICKED).map(async ([key, nameOf]) =>
        query[key] ? await nameOf(db, rowId(query[key])) : undefined,
      ),
    );
    const sought = query.find ? `“${query.find.slice(0, 40)}”` : null;
    return { title: joined(...picked, sought, name) };
  };
