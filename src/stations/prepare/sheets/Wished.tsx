'use client';
import { nominalSize } from '@/core/size';
import { Button } from '@/shell/actions';
import { Sentence, Small } from '@/shell/words';
import { fileShown, newestFiles } from '../filesShown';
import type { ErrandDeskNow } from '../useErrandDesk';
import type { PrepareView } from '../view';

/** What was compared at Price and is to be ordered: laid ready on a press. */
export function Wished({
  view: { wish, files },
  errand,
  onName,
}: {
  view: PrepareView;
  errand: ErrandDeskNow;
  /** Who prints is to be named first. */
  onName: () => void;
}) {
  if (!wish) return null;
  const { name, prints, sizeKey, routeId } = wish;
  const label = nominalSize(sizeKey)?.label ?? '';
  const row = newestFiles(files).find((f) => f.sizeKey === sizeKey);
  const file = row && fileShown(row);
  const left = { alignSelf: 'flex-start' };
  return (
    <>
      <Sentence>
        {prints} {prints === 1 ? 'print' : 'prints'} of {label} from {name}, as compared at
        Price.
      </Sentence>
      {!file ? (
        <Small>▲ No print file of this size is written yet: write one under Files.</Small>
      ) : routeId === null ? (
        <>
          <Small>▲ {name} is not named here yet: say what they ask for.</Small>
          <Button $small onPress={onName} style={left}>
            Name {name}
          </Button>
        </>
      ) : errand.desk.items[file.id]?.quantity === String(prints) &&
        errand.desk.routeId === routeId ? (
        <Small>✓ They lie ready.</Small>
      ) : (
        <Button $small onPress={() => errand.lay(file, prints, routeId)} style={left}>
          Lay them ready
        </Button>
      )}
    </>
  );
}
