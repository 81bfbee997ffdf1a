import { drawerTitle } from '@/app/titles';
import { ProofsDrawer } from '@/drawers/proofs/ProofsDrawer';
import { loadProofs } from '@/drawers/proofs/view';

export const generateMetadata = drawerTitle('Proofs');

export default async function ProofsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <ProofsDrawer {...await loadProofs(await searchParams)} />;
}
