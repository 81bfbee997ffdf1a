'use client';
import { Bench, Surface } from '@/shell/bench';
import { NoSizes, SizePicker } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { SheetTabs, useSheet } from '@/shell/frame';
import { TitleBlock } from '@/shell/words';
import { ChannelsSheet } from './channels/ChannelsSheet';
import { CostSheet } from './CostSheet';
import { LadderSheet } from './ladder/LadderSheet';
import { ManySheet } from './many/ManySheet';
import { OwnSheet } from './own/OwnSheet';
import { RoutesSheet } from './routes/RoutesSheet';
import { SHEETS, SHEET_NAMES, sheetOf } from './sheetNames';
import type { SheetId } from './sheetNames';
import type { PriceView } from './view';

const SUB: Record<SheetId, (currency: string) => string> = {
  cost: (currency) => `Price of one impression, all amounts in ${currency}`,
  ladder: (currency) => `What to ask over all sizes, all amounts in ${currency}`,
  routes: (currency) => `Who prints it, over how many at once, all amounts in ${currency}`,
  channels: (currency) =>
    `What one price leaves on every channel, all amounts in ${currency}`,
  own: (currency) =>
    `One’s own printer against what others ask, all amounts in ${currency}`,
  many: (currency) => `How many to make at once, all amounts in ${currency}`,
};

/** Price: what one impression costs, what the channel takes, who prints it, and what is asked. */
export function PriceStation(view: PriceView) {
  const { work, picked, currency, ladder } = view;
  const format = useFormat();
  const path = `/works/${work.id}/price`;
  const href = (id: string) =>
    `${path}?sheet=${id}${picked ? `&size=${encodeURIComponent(picked.key)}` : ''}`;
  const [sheet, turn] = useSheet(view.sheet, sheetOf, href);
  const head = (
    <>
      <TitleBlock>
        <h1>{work.title}</h1>
        <p>{SUB[sheet](currency)}</p>
      </TitleBlock>
      {picked && (
        <>
          <SheetTabs
            label="Sheets of pricing"
            current={sheet}
            sheets={SHEETS.map((id) => ({ id, name: SHEET_NAMES[id], href: href(id) }))}
            onTurn={turn}
          />
          <SizePicker
            path={`${path}?sheet=${sheet}`}
            picked={picked.key}
            sizes={ladder.map((l) => ({
              key: l.key,
              label: l.label,
              note: l.price ? format.money(l.price.amount, l.price.currency) : '',
            }))}
          />
        </>
      )}
    </>
  );
  if (!picked)
    return (
      <Bench>
        <Surface>
          {head}
          <NoSizes workId={work.id} />
        </Surface>
      </Bench>
    );
  const key = `${work.id} ${picked.key}`;
  if (sheet === 'ladder') return <LadderSheet key={key} view={view} head={head} />;
  if (sheet === 'routes') return <RoutesSheet key={key} view={view} head={head} />;
  if (sheet === 'many') return <ManySheet key={key} view={view} head={head} />;
  if (sheet === 'own') return <OwnSheet key={key} view={view} head={head} />;
  if (sheet === 'channels') return <ChannelsSheet key={key} view={view} head={head} />;
  return <CostSheet key={key} view={view} head={head} />;
}
