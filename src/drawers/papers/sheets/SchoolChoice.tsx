'use client';
import type { CutSchool } from '@/core/cut';
import { useAction } from '@/shell/actions';
import { Strips } from '@/shell/fields';
import { Problem } from '@/shell/said';
import { keepRules } from './actions';
import type { SheetsView } from './view';

const SCHOOLS: readonly (readonly [CutSchool, string])[] = [
  ['printThenCut', 'print, then cut'],
  ['cutThenPrint', 'cut, then print'],
];

/** The two schools: whole sheets are printed and cut apart, or paper is cut to its size first. */
export function SchoolChoice({ view, busy }: { view: SheetsView; busy: boolean }) {
  const { run, problem } = useAction(keepRules);
  return (
    <>
      <Strips
        label="School"
        value={view.state.rules.school}
        options={SCHOOLS}
        onChange={(school) => {
          if (!busy)
            run({
              ...view.rules,
              school,
              planId: String(view.id),
              basedOn: String(view.stateId),
            });
        }}
      />
      <Problem>{problem}</Problem>
    </>
  );
}
