import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { openDatabase } from '@/data';
import { BenchProvider } from '@/shell/figures';
import { fillLargeStudio } from '../../bench/largeStudio';
import { inProcess, SIZE } from '../../e2e/support/inProcess';
import type { InProcess } from '../../e2e/support/inProcess';
import { AccountsDrawer } from '@/drawers/accounts/AccountsDrawer';
import { loadAccounts } from '@/drawers/accounts/view';
import { EditionsDrawer } from '@/drawers/editions/EditionsDrawer';
import { loadEditions } from '@/drawers/editions/view';
import { LogDrawer } from '@/drawers/log/LogDrawer';
import { loadLog } from '@/drawers/log/view';
import { MaterialsDrawer } from '@/drawers/materials/MaterialsDrawer';
import { loadMaterials } from '@/drawers/materials/view';
import { OrderBench } from '@/drawers/orders/bench/OrderBench';
import { loadOrderBench } from '@/drawers/orders/bench/view';
import { CustomersDrawer } from '@/drawers/orders/customers/CustomersDrawer';
import { loadCustomers } from '@/drawers/orders/customers/view';
import { OrdersDrawer } from '@/drawers/orders/OrdersDrawer';
import { loadOrders } from '@/drawers/orders/view';
import { PapersDrawer } from '@/drawers/papers/PapersDrawer';
import { loadPapers } from '@/drawers/papers/view';
import { ProfilesDrawer } from '@/drawers/papers/profiles/ProfilesDrawer';
import { loadProfiles } from '@/drawers/papers/profiles/view';
import { LightDesk } from '@/drawers/proofs/light/LightDesk';
import { loadLight } from '@/drawers/proofs/light/view';
import { ProofsDrawer } from '@/drawers/proofs/ProofsDrawer';
import { loadProofs } from '@/drawers/proofs/view';
import { SafekeepingDrawer } from '@/drawers/safekeeping/SafekeepingDrawer';
import { loadSafekeeping } from '@/drawers/safekeeping/view';
import { SettingsDrawer } from '@/drawers/settings/SettingsDrawer';
import { loadSettings } from '@/drawers/settings/view';
import { TableDrawer } from '@/drawers/table/TableDrawer';
import { loadTable } from '@/drawers/table/view';
import { WorksDrawer } from '@/drawers/works/WorksDrawer';
import { createWork } from '@/drawers/works/actions';
import { loadWorks } from '@/drawers/works/view';
import { CaptureStation } from '@/stations/capture/CaptureStation';
import { loadCapture } from '@/stations/capture/view';
import { EditionStation } from '@/stations/edition/EditionStation';
import { loadEdition } from '@/stations/edition/view';
import { FinishStation } from '@/stations/finish/FinishStation';
import { loadFinish } from '@/stations/finish/view';
import { PackStation } from '@/stations/pack/PackStation';
import { loadPack } from '@/stations/pack/view';
import { PrepareStation } from '@/stations/prepare/PrepareStation';
import { loadPrepare } from '@/stations/prepare/view';
import { PriceStation } from '@/stations/price/PriceStation';
import { loadPrice } from '@/stations/price/view';
import { ProofStation } from '@/stations/proof/ProofStation';
import { loadProof } from '@/stations/proof/view';
import { SizeStation } from '@/stations/size/SizeStation';
import { loadSize } from '@/stations/size/view';

jest.mock('next/cache', () => ({ revalidatePath: () => undefined }));
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: () => undefined, replace: () => undefined }),
  usePathname: () => '/',
  useSearchParams: () => new URLSearchParams(),
  notFound: () => {
    throw new Error('not found');
  },
}));
jest.mock('openseadragon', () => ({}));

type Query = Record<string, string>;
/** Each view by its address, as its route joins it. */
const DRAWERS: Record<string, (query: Query) => Promise<ReactElement>> = {
  table: async () => <TableDrawer {...await loadTable()} />,
  works: async (q) => <WorksDrawer {...await loadWorks(q)} />,
  papers: async (q) => <PapersDrawer {...await loadPapers(q)} />,
  profiles: async (q) => <ProfilesDrawer {...await loadProfiles(q)} />,
  light: async () => <LightDesk {...await loadLight()} />,
  proofs: async (q) => <ProofsDrawer {...await loadProofs(q)} />,
  editions: async (q) => <EditionsDrawer {...await loadEditions(q)} />,
  orders: async (q) => <OrdersDrawer {...await loadOrders(q)} />,
  customers: async (q) => <CustomersDrawer {...await loadCustomers(q)} />,
  materials: async (q) => <MaterialsDrawer {...await loadMaterials(q)} />,
  accounts: async (q) => <AccountsDrawer {...await loadAccounts(q)} />,
  log: async (q) => <LogDrawer {...await loadLog(q)} />,
  settings: async () => <SettingsDrawer {...await loadSettings({})} />,
  safekeeping: async () => <SafekeepingDrawer {...await loadSafekeeping()} />,
};
const STATIONS: Record<string, (query: Query) => Promise<ReactElement>> = {
  capture: async (q) => <CaptureStation {...await loadCapture('1', q)} />,
  size: async (q) => <SizeStation {...await loadSize('1', q)} />,
  prepare: async (q) => <PrepareStation {...await loadPrepare('1', q)} />,
  proof: async (q) => <ProofStation {...await loadProof('1', q)} />,
  edition: async (q) => <EditionStation {...await loadEdition('1', q)} />,
  price: async (q) => <PriceStation {...await loadPrice('1', q)} />,
  finish: async (q) => <FinishStation {...await loadFinish('1', q)} />,
  pack: async () => <PackStation {...await loadPack('1')} />,
};

const render = (view: ReactElement): string =>
  renderToStaticMarkup(
    <BenchProvider
      bench={{
        units: 'metric',
        tone: 'middle',
        currency: 'EUR',
        locale: 'en-GB',
        timeZone: 'UTC',
        singleKeys: true,
      }}
    >
      {view}
    </BenchProvider>,
  );

/** Words of a page, as they are read. */
const words = (markup: string) =>
  markup
    .replace(/<style[^]*?<\/style>/g, '')
    .replace(/<[^>]*>/g, ' ')
    .replace(/\s+/g, ' ');

/** What a slip of the pen in a view would show. */
const SLIPS = /\bundefined\b|\bNaN\b|\[object|\bnull\b|\bInfinity\b|Invalid Date|\$\{/;

function expectWhole(markup: string): void {
  expect(words(markup)).not.toMatch(SLIPS);
  // Attributes as well: labels, addresses, places in drawings.
  expect(markup).not.toMatch(/="[^"]*(undefined|NaN|\[object|Infinity)[^"]*"/);
  // Every field has its name, every picture its words or its silence.
  const fields = [...markup.matchAll(/<(?:input|textarea|select)\b[^>]*>/g)]
    // What lists and days keep for forms of the browser is not met by anybody.
    .filter(([field]) => !/^<(select|input) tabindex="-1"/.test(field));
  for (const [input] of fields)
    expect(input).toMatch(/aria-label|aria-labelledby|id="|type="(?:hidden|file)"|name="/);
  for (const [image] of markup.matchAll(/<img\b[^>]*>/g)) expect(image).toMatch(/alt="/);
  expect(markup).toMatch(/<h[12]/);
}

describe('a studio with something in it', () => {
  let here: InProcess;
  beforeAll(async () => {
    here = await inProcess({ editionOf: 30, numbered: 5, orders: 2 });
  });
  afterAll(() => here.end());

  it.each(Object.keys(DRAWERS))(
    'the drawer %s shows whole figures and words',
    async (name) => expectWhole(render(await DRAWERS[name]!({}))),
  );
  it.each(Object.keys(STATIONS))(
    'the station %s shows whole figures and words',
    async (name) => {
      const markup = render(await STATIONS[name]!({ size: SIZE }));
      expectWhole(markup);
      expect(words(markup)).toContain('Slack Water');
      // It says what to do next.
      expect(markup).toMatch(/<(?:button|a)\b/);
    },
  );
  it.each([
    ['papers', { new: '1' }, 'New paper'],
    ['papers', { bring: '1' }, 'list'],
    ['papers', { paper: '1', edit: '1' }, 'Linen 300'],
    ['orders', { new: '1' }, 'Take the order'],
    ['orders', { find: 'nobody at all' }, 'Nothing is found like this.'],
    ['orders', { page: '9' }, 'none on page 9'],
    ['customers', { find: 'nobody at all' }, 'Nothing is found like this.'],
    ['materials', { new: '1' }, 'New'],
    ['works', { find: 'nothing like it' }, 'Nothing is found like this.'],
    ['editions', { code: 'x' }, 'not the code of one of our certificates'],
    ['log', { work: '1' }, 'Slack Water'],
  ] as const)('the drawer %s with %j shows %p', async (name, query, text) => {
    const markup = render(await DRAWERS[name]!(query));
    expectWhole(markup);
    expect(words(markup)).toContain(text);
  });
});

describe('the bench of an order', () => {
  let here: InProcess;
  beforeAll(async () => {
    delete (globalThis as { glassineStudio?: unknown }).glassineStudio;
    here = await inProcess({ editionOf: 30, numbered: 5, orders: 2 });
  });
  afterAll(() => here.end());

  it.each([
    [{}, 'Count every line twice'],
    [{ do: 'add' }, 'plain goods'],
    [{ do: 'line', line: '1' }, 'Take it out of the order'],
    [{ do: 'address' }, 'Postcode and town'],
    [{ do: 'notes' }, 'Note to the packer'],
    [{ do: 'cancel' }, 'Cancel'],
    [{ parcel: '99', do: 'nonsense', line: '77' }, 'Reader 1'],
  ])('with %j shows %p', async (query, text) => {
    const markup = render(
      <OrderBench {...await loadOrderBench(here.orderNumbers[0]!, query)} />,
    );
    expectWhole(markup);
    expect(words(markup)).toContain(text);
  });
  it('of an order that is not there is a page not found', () =>
    expect(loadOrderBench('9999', {})).rejects.toThrow('not found'));
});

describe('a studio in which nothing is yet', () => {
  let here: InProcess;
  beforeAll(async () => {
    // A further studio of this process: the one before is closed and forgotten.
    delete (globalThis as { glassineStudio?: unknown }).glassineStudio;
    here = await inProcess({ empty: true });
  });
  afterAll(() => here.end());

  it.each([
    ['table', 'A first day'],
    ['works', 'Take in your first work'],
    ['papers', 'New paper'],
    ['proofs', 'No proof has been sent yet'],
    ['editions', 'No edition is declared yet'],
    ['orders', 'No order yet'],
    ['customers', 'Nobody has ordered yet'],
    ['materials', 'usual'],
    ['accounts', 'Nothing is sold yet'],
    ['log', 'The log book is empty'],
    ['settings', 'Rule'],
    ['safekeeping', 'There is no backup yet'],
  ])('the drawer %s says what to do first: %p', async (name, text) => {
    const markup = render(await DRAWERS[name]!({}));
    expectWhole(markup);
    expect(words(markup).toLowerCase()).toContain(text.toLowerCase());
  });
  it('a work that is not there is a page not found', async () => {
    for (const view of Object.values(STATIONS))
      await expect(view({})).rejects.toThrow('not found');
  });
});

describe('a work of which there is only the title', () => {
  let here: InProcess;
  beforeAll(async () => {
    delete (globalThis as { glassineStudio?: unknown }).glassineStudio;
    here = await inProcess({ empty: true });
    await createWork({
      title: 'Slack Water',
      artist: 'Senna Quillfeather',
      year: '2026',
      kind: 'painting',
      medium: 'Gouache',
      width: '30 cm',
      height: '40 cm',
      price: '0',
    });
  });
  afterAll(() => here.end());

  it.each([
    ['capture', 'No master yet', /Bring the master/],
    ['size', 'There is no master to size', /capture/],
    ['prepare', 'There is no master to print from', /capture/],
    ['proof', 'There is no master to look at', /capture/],
    ['edition', 'Choose sizes', /works\/1\/size/],
    ['price', 'Choose sizes', /works\/1\/size/],
    ['finish', 'Choose sizes', /works\/1\/size/],
    ['pack', 'Nothing to pack', /./],
  ])('the station %s says %p, and leads there', async (name, text, way) => {
    const markup = render(await STATIONS[name]!({}));
    expectWhole(markup);
    expect(words(markup)).toContain(text);
    expect(markup).toMatch(way);
  });
});

describe('a studio of a hundred works', () => {
  let here: InProcess;
  beforeAll(async () => {
    delete (globalThis as { glassineStudio?: unknown }).glassineStudio;
    here = await inProcess({ empty: true });
    const db = await openDatabase(here.open.home);
    await fillLargeStudio(db, { works: 100, impressionsEach: 10, ordersEach: 5 });
    db.close();
  });
  afterAll(() => here.end());

  it.each(Object.keys(DRAWERS))(
    'the drawer %s shows a page of it, not all',
    async (name) => {
      const markup = render(await DRAWERS[name]!({}));
      expectWhole(markup);
      expect(markup.match(/<tr/g)?.length ?? 0).toBeLessThan(90);
      expect(markup.length).toBeLessThan(400_000);
    },
  );
  it.each(['works', 'orders', 'editions', 'proofs', 'accounts', 'log'])(
    'the drawer %s goes on to its last page',
    async (name) => {
      const first = words(render(await DRAWERS[name]!({})));
      const [, total] = /1 to 30 of (\d+)/.exec(first)!;
      const last = Math.ceil(Number(total) / 30);
      const markup = words(render(await DRAWERS[name]!({ page: String(last) })));
      expect(markup).toContain(`${(last - 1) * 30 + 1} to ${total} of ${total}`);
    },
  );
});
