'use client';
import { createGlobalStyle } from 'styled-components';
import { SANS, SERIF, paperCss, toneCss } from './theme';

export const GlobalStyle = createGlobalStyle`
  ${toneCss}
  *, *::before, *::after { box-sizing: border-box; }
  html, body { height: 100%; margin: 0; }
  body {
    background: var(--table); color: var(--ink);
    font: 400 13.5px/1.4 ${SANS};
    font-variant-numeric: tabular-nums lining-nums;
    -webkit-font-smoothing: antialiased;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; font-weight: 400; }
  h1, h2, h3 { font-family: ${SERIF}; }
  ul, ol { list-style: none; }
  a { color: var(--blue); }
  button, input, select, textarea { font: inherit; color: inherit; }
  :focus { outline: none; }
  :focus-visible, [data-focus-visible] { outline: 2px solid var(--blue); outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
  @media (forced-colors: active) {
    svg[role='img'], svg[role='group'] { forced-color-adjust: none; background: #c4c4c4; }
    [data-selected], [aria-selected='true'], [aria-current] { outline: 2px solid Highlight; outline-offset: -2px; }
    [role='progressbar'] div div { background: Highlight; forced-color-adjust: none; }
  }
  @media print {
    @page { margin: 14mm; }
    html { ${paperCss} --table: #fff; }
    html, body, main { background: #fff; color: #000; height: auto; display: block; }
    main, main > *, main > * > *, main :has(> table), main :has(> dl) { overflow: visible !important; max-height: none !important; }
    table label:has(input[type='checkbox']) { display: none !important; }
    body > div, main > div, main > section { display: block; height: auto; min-height: 0; }
    nav, button, [role='search'], [role='group'], [role='status']:empty, a[download], [data-screen-only] { display: none !important; }
    table { break-inside: auto; }
    thead { display: table-header-group; }
    tr, figure, svg, img { break-inside: avoid; }
    th { position: static !important; background: #fff !important; }
    main input, main textarea { border: 0; padding: 0; }
  }
  .sr { position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap; }
`;
