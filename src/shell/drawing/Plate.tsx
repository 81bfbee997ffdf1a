'use client';
import { useRef, useState } from 'react';
import type { CSSProperties, ReactNode } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { slug } from '@/core/prepare';
import { useSingleKeys } from '../actions/singleKeys';
import { Dialog } from '../said/Dialog';
import { useToast } from '../said/Toasts';
import { Cells } from '../table/Cells';
import { SlipTable } from '../table/SlipTable';
import { saveAs, svgFile } from './saveSvg';

const Held = styled.div`
  position: relative;
  width: 100%;
  svg {
    display: block;
  }
`;

const Ways = styled.div`
  position: absolute;
  top: 0;
  right: 0;
  display: flex;
  gap: 8px;
  padding: 1px 4px;
  background: color-mix(in srgb, var(--table, #fff) 70%, transparent);
  @media print {
    display: none;
  }
`;

const Way = styled(Button)`
  appearance: none;
  border: 0;
  background: none;
  padding: 3px 2px;
  font: inherit;
  font-size: 11.5px;
  line-height: 1.2;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  text-decoration-color: var(--soft);
  cursor: pointer;
`;

/** What a drawing shows, as figures: heads with their units, and a row for each thing drawn. */
export interface PlateFigures {
  heads: readonly string[];
  rows: readonly (readonly (string | number)[])[];
}

interface PlateProps {
  /** What is drawn; its file is named so. */
  name: string;
  /** Everything that is drawn, in words. */
  said: string;
  width: number;
  height: number;
  /** Drawn with as many pixels as it has units; else as wide as there is room. */
  fixed?: boolean;
  /** Where its parts answer to presses. */
  role?: 'img' | 'group';
  figures?: PlateFigures | undefined;
  style?: CSSProperties;
  children: ReactNode;
}

const KEYS = [{ key: '=', does: 'the figures of the drawing, as a table' }] as const;
const NO_KEYS = [] as const;

/**
 * A drawing of the house: said in words, taken out as a file (SVG), and where it is a chart, with
 * its figures as a table (also on the key `=`).
 */
export function Plate({ name, said, figures, children, ...size }: PlateProps) {
  const drawn = useRef<SVGSVGElement>(null);
  const [open, setOpen] = useState(false);
  const { say } = useToast();
  const { width, height, fixed = false, role = 'img', style } = size;
  useSingleKeys(figures ? KEYS : NO_KEYS, (key) => {
    if (key !== '=' || !figures) return false;
    setOpen(true);
    return true;
  });
  const save = async () => {
    if (!drawn.current) return;
    const [view = 'drawing'] = document.title.split(' · Glassine');
    try {
      const file = await svgFile(drawn.current, `${name} · ${view}`, said);
      saveAs(file, 'image/svg+xml', `${slug(view)}_${slug(name)}.svg`);
    } catch (error) {
      say(`${name} is not saved: ${(error as Error).message}. Try again.`);
    }
  };
  return (
    <Held style={fixed ? { width, ...style } : style}>
      <svg
        ref={drawn}
        viewBox={`0 0 ${width} ${height}`}
        width={fixed ? width : '100%'}
        height={fixed ? height : undefined}
        role={role}
        aria-label={said}
      >
        {children}
      </svg>
      <Ways>
        {figures && (
          <Way onPress={() => setOpen(true)} aria-label={`Figures of ${name}`}>
            figures
          </Way>
        )}
        <Way onPress={() => void save()} aria-label={`Save ${name} as SVG`}>
          SVG
        </Way>
      </Ways>
      {figures && (
        <Dialog title={name} open={open} onClose={() => setOpen(false)} fitting>
          <SlipTable>
            <Cells {...figures} />
          </SlipTable>
        </Dialog>
      )}
    </Held>
  );
}
