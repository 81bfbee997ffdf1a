'use client';
// eslint-disable-next-line no-restricted-syntax -- the one place
import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A way to another view, fetched when it is gone: the server is on this machine, and a view shows
 * some thirty ways, each of which would be rendered ahead for nothing.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => (
  <NextLink prefetch={false} {...props} />
);
