import { LISTS, MOST_LISTED } from '@/app/lists';
import { csvText } from '@/documents';
import { ordersTemplate } from '@/drawers/orders/bring/orderListForm';
import { papersTemplate } from '@/drawers/papers/csv';
import { pricesTemplate } from '@/drawers/prices/csv';
import { notThere, sendBytes } from '../../send';

/** Lists that can be brought, each as its heads alone. */
const TEMPLATES: Record<string, () => string[][]> = {
  papers: papersTemplate,
  orders: ordersTemplate,
  prices: pricesTemplate,
};

/**
 * A drawer as it is sorted and found, whole, as CSV; with `lines=1,2` those alone, by their first
 * column; with `template=1` the heads of a list that can be brought.
 */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ drawer: string }> },
): Promise<Response> {
  const { drawer } = await params;
  if (!Object.hasOwn(LISTS, drawer)) return notThere();
  const sent = (text: string, name: string) =>
    sendBytes({ bytes: Buffer.from(text), type: 'text/csv; charset=utf-8', name });
  const { lines, template, ...query } = Object.fromEntries(
    new URL(request.url).searchParams,
  );
  if (template === '1')
    return Object.hasOwn(TEMPLATES, drawer)
      ? sent(csvText(TEMPLATES[drawer]!()), `${drawer}-template.csv`)
      : notThere();
  const { heads, rows } = await LISTS[drawer]!({ ...query, page: '1' }, MOST_LISTED);
  const only = lines ? new Set(lines.split(',')) : null;
  const chosen = only ? rows.filter(([id]) => only.has(String(id))) : rows;
  return sent(csvText([heads, ...chosen]), `${drawer}.csv`);
}
