import { drawerTitle } from '@/app/titles';
import { LightDesk } from '@/drawers/proofs/light/LightDesk';
import { loadLight } from '@/drawers/proofs/light/view';

export const generateMetadata = drawerTitle('Screen and light');

export default async function LightRoute() {
  return <LightDesk {...await loadLight()} />;
}
