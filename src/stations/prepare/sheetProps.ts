import type { MasterView } from '@/studio/reads/workPage';
import type { OfferedRung } from '@/studio/reads/offered';
import type { SheetId } from './sheetNames';
import type { RecipeDesk } from './useRecipe';
import type { PrepareView } from './view';

/** What every sheet of the station gets. */
export interface SheetProps {
  view: PrepareView;
  master: MasterView;
  picked: OfferedRung;
  desk: RecipeDesk;
  head: React.ReactNode;
  turn: (sheet: SheetId) => void;
}
