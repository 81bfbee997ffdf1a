'use client';
import { Check, Circle } from 'lucide-react';
import { Link } from '@/shell/link';
import styled from 'styled-components';
import { PARTS } from '@/core/today';
import type { StudioPart } from '@/core/today';

const PART_WORDS: Record<StudioPart, readonly [name: string, why: string, href: string]> = {
  work: ['A first work', 'its title, its size, the scan of it', '/works/new'],
  device: [
    'A device',
    'the scanner or camera that takes it; named at Capture, Plan',
    '/works',
  ],
  paper: ['A paper', 'with its sheet and price', '/papers?new=1'],
  printer: [
    'A printer of your own',
    'a route on which you print; at Prepare, Hand over',
    '/works',
  ],
  route: [
    'A lab or another way out',
    'what it asks of files; at Prepare, Hand over',
    '/works',
  ],
  backup: ['A folder for backups', 'on another disk than the studio', '/safekeeping'],
};

const List = styled.ul`
  display: grid;
  gap: 7px;
  li {
    display: grid;
    grid-template-columns: 18px 1fr;
    gap: 6px;
    align-items: baseline;
  }
  svg {
    align-self: center;
  }
  small {
    display: block;
    font-size: 12px;
    color: var(--soft);
  }
`;

/** What makes a studio complete; each part ticks itself once it is there. */
export const StudioParts = ({
  parts,
  works,
}: {
  parts: Record<StudioPart, boolean>;
  /** The newest work, where parts are named that belong to a work's stations. */
  works: number | null;
}) => (
  <List aria-label="What makes a studio complete">
    {PARTS.map((part) => {
      const [name, why, href] = PART_WORDS[part];
      const at =
        works === null
          ? href
          : part === 'device'
            ? `/works/${works}/capture?sheet=plan`
            : part === 'printer' || part === 'route'
              ? `/works/${works}/prepare?sheet=handOver`
              : href;
      return (
        <li key={part}>
          {parts[part] ? <Check size={15} aria-hidden /> : <Circle size={13} aria-hidden />}
          <span>
            <span className="sr">{parts[part] ? 'there: ' : 'still missing: '}</span>
            {parts[part] ? name : <Link href={at}>{name}</Link>}
            {!parts[part] && <small>{why}</small>}
          </span>
        </li>
      );
    })}
  </List>
);
