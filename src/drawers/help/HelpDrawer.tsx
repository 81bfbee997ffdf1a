'use client';
import Markdown from 'markdown-to-jsx/react';
import { Link } from '@/shell/link';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { DrawerHead } from '@/shell/frame';
import { SERIF, paperCss } from '@/shell/frame/theme';
import { linkOf } from './chapters';
import type { HelpView } from './view';

const Spread = styled.div`
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 22px;
  padding: 14px 22px 22px;
  min-height: 0;
  overflow: auto;
  align-items: start;
  @media (max-width: 700px) {
    grid-template-columns: 1fr;
  }
`;

const List = styled.nav`
  position: sticky;
  top: 0;
  font-size: 13.5px;
  h2 {
    font-size: 12px;
    font-weight: 500;
    color: var(--soft);
    margin: 10px 0 3px;
  }
  a {
    display: block;
    padding: 3px 0 3px 9px;
    color: var(--ink);
    text-decoration: none;
    border-left: 3px solid transparent;
  }
  a:hover {
    text-decoration: underline;
  }
  a[aria-current] {
    border-color: var(--blue);
    font-weight: 600;
  }
`;

const Leaf = styled.article`
  ${paperCss}
  color: var(--ink);
  background: #f6f6f6;
  box-shadow: 0 1px 4px rgba(0, 0, 0, 0.35);
  padding: 24px 34px 32px;
  max-width: 860px;
  line-height: 1.5;
  font-size: 14.5px;
  overflow-wrap: break-word;
  h1 {
    font: 400 27px/1.2 ${SERIF};
    margin: 0 0 12px;
  }
  h2 {
    font-size: 17px;
    margin: 22px 0 6px;
  }
  p,
  ul,
  ol,
  table,
  pre {
    margin: 0 0 11px;
  }
  ul,
  ol {
    padding-left: 22px;
  }
  ul {
    list-style: disc;
  }
  ol {
    list-style: decimal;
  }
  li {
    margin: 3px 0;
  }
  table {
    border-collapse: collapse;
    font-size: 13.5px;
  }
  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 4px 12px 4px 0;
    border-bottom: 1px solid var(--line);
  }
  code {
    font-size: 12.5px;
  }
  pre {
    overflow-x: auto;
    background: #e9e9e9;
    padding: 9px 12px;
  }
`;

/** A link of a chapter: to another one, or, where it leads out of the help, its words alone. */
function Lead({ href = '', children }: { href?: string; children?: ReactNode }) {
  const within = linkOf(href);
  return within ? <Link href={within}>{children}</Link> : <span>{children}</span>;
}

/** A table that is wider than its leaf is moved within it, by the keyboard too. */
const Wide = ({ children }: { children?: ReactNode }) => (
  <div role="group" aria-label="Table" tabIndex={0} style={{ overflowX: 'auto' }}>
    <table>{children}</table>
  </div>
);

/** The help: every chapter at the left, the one that is read beside them. */
export function HelpDrawer({ chapter, parts, text }: HelpView) {
  return (
    <>
      <DrawerHead title="Help" sum={chapter.name} />
      <Spread>
        <List aria-label="Chapters">
          {parts.map(({ part, chapters }) => (
            <div key={part}>
              <h2>{part}</h2>
              {chapters.map(({ id, name }) => (
                <Link
                  key={id}
                  href={`/help/${id}`}
                  aria-current={id === chapter.id ? 'page' : undefined}
                >
                  {name}
                </Link>
              ))}
            </div>
          ))}
        </List>
        <Leaf>
          <Markdown
            options={{
              disableParsingRawHTML: true,
              overrides: { a: { component: Lead }, table: { component: Wide } },
            }}
          >
            {text}
          </Markdown>
        </Leaf>
      </Spread>
    </>
  );
}
