import '@fontsource/newsreader/400.css';
import '@fontsource/newsreader/400-italic.css';
import '@fontsource/newsreader/500.css';
import '@fontsource/commissioner/400.css';
import '@fontsource/commissioner/500.css';
import '@fontsource/commissioner/600.css';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { MarkSymbols } from '@/shell/drawing';
import { BenchProvider } from '@/shell/figures';
import { BringAnything } from '@/shell/bring';
import { RunningFoot, RunningProvider } from '@/shell/running';
import { Chest, GlobalStyle, House, Routing } from '@/shell/frame';
import { SampleCard } from '@/drawers/table/Sample';
import { HearBrowser } from '@/drawers/table/HearBrowser';
import { UndoToasts } from '@/drawers/undo/UndoToasts';
import { BenchSwitches } from '@/drawers/settings/BenchSwitches';
import { loadChest } from '@/drawers/settings/view';
import { StyleRegistry } from './registry';

export const metadata: Metadata = {
  title: { default: 'Glassine', template: '%s · Glassine' },
};
export const dynamic = 'force-dynamic';

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const { bench, counts, placeKnown } = await loadChest();
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" data-tone={bench.tone}>
      <body>
        <StyleRegistry nonce={nonce}>
          <GlobalStyle />
          <MarkSymbols />
          <HearBrowser known={placeKnown} />
          <BenchProvider bench={bench}>
            <Routing>
              <UndoToasts>
                <RunningProvider>
                  <House>
                    <Chest
                      counts={counts}
                      foot={
                        <>
                          {bench.sample && <SampleCard />}
                          <RunningFoot />
                          <BenchSwitches />
                        </>
                      }
                    />
                    <main>{children}</main>
                  </House>
                  <BringAnything />
                </RunningProvider>
              </UndoToasts>
            </Routing>
          </BenchProvider>
        </StyleRegistry>
      </body>
    </html>
  );
}
