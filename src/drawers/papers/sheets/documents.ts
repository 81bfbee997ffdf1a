import { cutListPdf, cutSvg } from '@/documents';
import { getPaper, getSheetPlan, readSettings } from '@/data';
import { cutList, rowId, studio } from '@/studio';
import { pieceWords } from '@/studio/words/sheetWords';

/** The list of cuts of a plan as PDF, a page each sheet, or one sheet at 1 : 1 as SVG; null where there is none. */
export async function sheetPlanDocument(id: string, form: string, asked: string) {
  const db = (await studio()).db.read;
  const plan = await getSheetPlan(db, rowId(id));
  const sheets = plan?.state.plan?.sheets ?? [];
  if (!plan || sheets.length === 0) return null;
  const [settings, paper] = await Promise.all([
    readSettings(db),
    getPaper(db, plan.paperId),
  ]);
  const { pieces, stock } = plan.state;
  const rolls = new Set(stock.filter((s) => s.kind === 'roll').map((s) => s.id));
  const name = paper?.name ?? '';
  const lists = sheets.map((sheet, i) =>
    cutList(
      { sheet, pieces, paper: name, number: i + 1, roll: rolls.has(sheet.stock) },
      settings,
    ),
  );
  if (form === 'pdf')
    return {
      bytes: await cutListPdf(lists),
      type: 'application/pdf',
      name: `sheets-to-cut_plan-${plan.id}.pdf`,
    };
  const sheet = sheets[Number(asked) - 1];
  if (form !== 'svg' || !sheet) return null;
  const svg = cutSvg(sheet, lists[Number(asked) - 1]!.title, (piece) =>
    pieceWords(pieces.find((p) => p.id === piece)!),
  );
  return {
    bytes: new TextEncoder().encode(svg),
    type: 'image/svg+xml',
    name: `sheet-${asked}_plan-${plan.id}.svg`,
  };
}
