'use client';
import { answersErrands, routeKind } from '@/core/prepare';
import { Button, useAction } from '@/shell/actions';
import { useFormat } from '@/shell/figures';
import { Problem } from '@/shell/said';
import { SlipTable } from '@/shell/table';
import { TableHead } from '@/shell/words';
import { askLab } from '../handOverActions';
import { STAGES, reasonWords } from '../handOverWords';
import type { PrepareView } from '../view';
import { Arrived } from './Arrived';

type ErrandView = PrepareView['errands'][number];

/** What came back of one errand, file by file. */
function ErrandRow({ errand, today }: { errand: ErrandView; today: string }) {
  const format = useFormat();
  const { run, sending, problem } = useAction(askLab, 'The lab answered.');
  const { answer, manifest } = errand;
  return (
    <>
      <tr>
        <td className="wrap">
          {errand.number} to {manifest.to}, {format.day(errand.at)}
        </td>
        <td className="wrap">
          {answer
            ? `${STAGES[answer.stage]}, said ${format.day(errand.answeredAt!)}`
            : answersErrands(errand.routeKind)
              ? 'not answered yet'
              : 'no answer comes of itself'}
        </td>
        <td className="wrap">
          {answer?.printedOn ? `prints by ${format.day(answer.printedOn)}` : ''}
        </td>
        <td className="wrap">
          {answer?.sentOn ? `sends by ${format.day(answer.sentOn)}` : ''}
        </td>
        <td>
          {answersErrands(errand.routeKind) && (
            <Button
              $small
              $plain={answer !== null}
              isDisabled={sending}
              onPress={() => run({ errandId: String(errand.id) })}
            >
              {answer ? 'Ask again' : 'Ask the lab'}
            </Button>
          )}
        </td>
      </tr>
      {manifest.items.map((item) => {
        const said = answer?.items.find((i) => i.file === item.file);
        return (
          <tr key={item.file} data-tone={said && !said.accepted ? 'stop' : undefined}>
            <td className="wrap" style={{ paddingLeft: 18 }}>
              {item.file}
            </td>
            <td className="wrap" colSpan={4}>
              {item.quantity} × {item.paper || 'paper not said'}
              {said &&
                (said.accepted
                  ? ', accepted ✓'
                  : `, refused: ${said.reasons.map(reasonWords).join('; ')}`)}
            </td>
          </tr>
        );
      })}
      {errand.routeKind !== null && !routeKind(errand.routeKind).here && (
        <Arrived errand={errand} today={today} />
      )}
      {problem && (
        <tr>
          <td colSpan={5} className="wrap">
            <Problem>{problem}</Problem>
          </td>
        </tr>
      )}
    </>
  );
}

/** What was handed over, and what came back. */
export const Errands = ({ errands, today }: { errands: ErrandView[]; today: string }) =>
  errands.length === 0 ? null : (
    <>
      <TableHead>Handed over</TableHead>
      <SlipTable aria-label="Handed over">
        <tbody>
          {errands.map((errand) => (
            <ErrandRow key={errand.id} errand={errand} today={today} />
          ))}
        </tbody>
      </SlipTable>
    </>
  );
