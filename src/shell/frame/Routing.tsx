'use client';
import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import { RouterProvider } from 'react-aria-components';

/** Links in lists and menus lead through the house without loading the page anew. */
export const Routing = ({ children }: { children: ReactNode }) => {
  const router = useRouter();
  return <RouterProvider navigate={(href) => router.push(href)}>{children}</RouterProvider>;
};
