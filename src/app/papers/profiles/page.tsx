import { drawerTitle } from '@/app/titles';
import { ProfilesDrawer } from '@/drawers/papers/profiles/ProfilesDrawer';
import { loadProfiles } from '@/drawers/papers/profiles/view';

export const generateMetadata = drawerTitle('Profiles');

export default async function ProfilesRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <ProfilesDrawer {...await loadProfiles(await searchParams)} />;
}
