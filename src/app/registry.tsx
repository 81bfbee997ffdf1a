'use client';
import { useServerInsertedHTML } from 'next/navigation';
import { useState } from 'react';
import { ServerStyleSheet, StyleSheetManager } from 'styled-components';

/** Collects styles while the server renders, so that pages arrive styled, under their nonce. */
export function StyleRegistry({
  nonce: given,
  children,
}: {
  nonce: string | undefined;
  children: React.ReactNode;
}) {
  // The document keeps the nonce it came with; later readings of the view carry others.
  const [nonce] = useState(given);
  const [sheet] = useState(() => new ServerStyleSheet({ nonce }));
  useServerInsertedHTML(() => {
    const styles = sheet.getStyleElement();
    sheet.instance.clearTag();
    return <>{styles}</>;
  });
  const content = (
    <>
      {nonce && <meta property="csp-nonce" content={nonce} nonce={nonce} />}
      {children}
    </>
  );
  if (typeof window !== 'undefined')
    return <StyleSheetManager nonce={nonce}>{content}</StyleSheetManager>;
  return <StyleSheetManager sheet={sheet.instance}>{content}</StyleSheetManager>;
}
