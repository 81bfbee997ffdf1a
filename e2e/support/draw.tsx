import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import type { UnitMode } from '@/core/units';
import { BenchProvider } from '@/shell/figures';

/** A drawing as its markup, in the given units. */
export const draw = (drawing: ReactElement, units: UnitMode = 'metric'): string =>
  renderToStaticMarkup(
    <BenchProvider
      bench={{
        units,
        tone: 'middle',
        currency: 'EUR',
        locale: 'en-GB',
        timeZone: 'UTC',
        singleKeys: true,
      }}
    >
      {drawing}
    </BenchProvider>,
  );

/** What is written in a drawing, without its axis; and what is said of it. */
export function readDrawing(markup: string): { drawn: string[]; said: string } {
  const body = markup.replace(/<g data-axis[^]*?<\/g>/g, '');
  const drawn = [...body.matchAll(/<text[^>]*>([^]*?)<\/text>/g)].map((m) =>
    m[1]!.replace(/<[^>]*>/g, ' '),
  );
  return { drawn, said: /aria-label="([^"]*)"/.exec(markup)![1]! };
}

/** Widths and heights of the drawn rectangles, in drawing units. */
export const drawnRects = (markup: string) =>
  [...markup.matchAll(/<rect[^>]*?width="([\d.]+)" height="([\d.]+)"/g)].map((m) => ({
    width: Number(m[1]),
    height: Number(m[2]),
  }));
