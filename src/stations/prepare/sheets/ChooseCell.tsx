'use client';
import styled from 'styled-components';
import { Button } from '@/shell/actions';
import { useToast } from '@/shell/said';
import { TableHead } from '@/shell/words';
import type { SheetProps } from '../sheetProps';

const Cells = styled.div`
  display: grid;
  gap: 5px;
  button {
    white-space: normal;
    line-height: 1.2;
    text-align: left;
    font-weight: 400;
    padding: 5px 7px;
  }
`;

/** Cells of the last written sheet: the one that was liked becomes the recipe. */
export function ChooseCell({ view, desk }: SheetProps) {
  const { say } = useToast();
  const last = view.sheets.find((s) => s.kind === 'settings');
  if (last?.content.kind !== 'settings') return null;
  const { cells, columns, media } = last.content;
  return (
    <>
      <TableHead>Which cell is best?{media && ` Media setting ${media}`}</TableHead>
      <Cells style={{ gridTemplateColumns: `repeat(${columns}, 1fr)` }}>
        {cells.map((cell, i) => (
          <Button
            key={i}
            $plain
            $small
            onPress={() => {
              desk.change(cell.recipe);
              say(`Cell ${i + 1} is the recipe now.`);
            }}
          >
            {i + 1} {cell.label}
          </Button>
        ))}
      </Cells>
    </>
  );
}
