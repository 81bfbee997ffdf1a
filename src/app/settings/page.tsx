import { drawerTitle } from '@/app/titles';
import { SettingsDrawer } from '@/drawers/settings/SettingsDrawer';
import { loadSettings } from '@/drawers/settings/view';

export const generateMetadata = drawerTitle('Bench settings');

export default async function SettingsRoute({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>;
}) {
  return <SettingsDrawer {...await loadSettings(await searchParams)} />;
}
