'use client';
import { Tick } from '@/shell/fields';
import { SlipTable } from '@/shell/table';
import { FigureRow } from '@/shell/fields';
import { PlainChoice } from '../PlainChoice';
import { SHEET_CHOICES } from '../proofWish';
import type { SheetProps } from '../sheetProps';
import { PIECE_HINTS, PIECE_WORDS, STRIP_CHOICE } from '../sheetWords';
import type { Desk } from './proofDesk';

interface Props {
  desk: Desk;
  put: (over: Partial<Desk>) => void;
}

/** The pieces that were chosen, what each tests, and how to take one off. */
export const PiecesTable = ({ desk, put }: Props) =>
  desk.places.length > 0 && (
    <SlipTable aria-label="Pieces">
      <tbody>
        {desk.places.map((p, i) => (
          <tr key={i}>
            <td className="wrap">
              {i + 1}&ensp;{PIECE_WORDS[p.tests]}
              {p.said && <small style={{ color: 'var(--soft)' }}> {p.said}</small>}
              <br />
              <small style={{ color: 'var(--soft)' }}>{PIECE_HINTS[p.tests]}</small>
            </td>
            <td>
              <button
                type="button"
                className="link"
                aria-label={`Take off piece ${i + 1}`}
                onClick={() => put({ places: desk.places.filter((_, k) => k !== i) })}
              >
                off
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </SlipTable>
  );

/** How large pieces are, on which sheet they lie, and whether the whole picture lies with them. */
export const ProofChoices = ({
  desk,
  put,
  papers,
}: Props & { papers: SheetProps['view']['papers'] }) => (
  <>
    <FigureRow
      label="piece wide"
      unit="mm"
      value={desk.width}
      limits={[15, 400]}
      most={200}
      step={5}
      onChange={(width) => put({ width })}
    />
    <FigureRow
      label="piece high"
      unit="mm"
      value={desk.height}
      limits={[15, 400]}
      most={200}
      step={5}
      onChange={(height) => put({ height })}
    />
    <PlainChoice
      label="sheet"
      value={desk.sheet}
      options={[
        ['auto', 'the one with least waste'],
        ['own', 'a sheet of my own size'],
        ...[...SHEET_CHOICES, ...papers].map(
          (s) =>
            [
              s.name,
              `${s.name}, ${Math.round(s.width)} × ${Math.round(s.height)} mm`,
            ] as const,
        ),
      ]}
      onChange={(sheet) => put({ sheet })}
    />
    {desk.sheet === 'own' && (
      <>
        <FigureRow
          label="sheet wide"
          unit="mm"
          value={desk.own.width}
          limits={[60, 1500]}
          step={5}
          onChange={(width) => put({ own: { ...desk.own, width } })}
        />
        <FigureRow
          label="sheet high"
          unit="mm"
          value={desk.own.height}
          limits={[60, 1500]}
          step={5}
          onChange={(height) => put({ own: { ...desk.own, height } })}
        />
      </>
    )}
    <Tick checked={desk.overview} onChange={(overview) => put({ overview })}>
      the whole picture small, with the pieces marked
    </Tick>
    <Tick checked={desk.strip ?? false} onChange={(strip) => put({ strip })}>
      {STRIP_CHOICE}
    </Tick>
  </>
);
