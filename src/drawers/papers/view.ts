import { listPapers, paperMovements, readSettings } from '@/data';
import { studio } from '@/studio';
import { paperForm } from './paperForm';

/** The paper drawer: every stock with what is left, and the one picked. */
export async function loadPapers(query: Record<string, string | undefined>) {
  const db = (await studio()).db.read;
  const [papers, settings] = await Promise.all([listPapers(db), readSettings(db)]);
  const picked = papers.find((p) => String(p.id) === query.paper) ?? papers[0] ?? null;
  return {
    papers,
    picked,
    movements: picked ? await paperMovements(db, picked.id) : [],
    adding: query.new === '1' || papers.length === 0,
    editing: query.edit === '1' && picked ? paperForm(picked, settings.currency) : null,
    bringing: query.bring === '1',
    currency: settings.currency,
  };
}

export type PapersView = Awaited<ReturnType<typeof loadPapers>>;
