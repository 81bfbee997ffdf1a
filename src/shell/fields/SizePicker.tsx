'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { ButtonLink } from '../actions/Button';
import { Empty } from '../said/states';

const Row = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
`;

const Tab = styled.button`
  appearance: none;
  border: 1px solid #555;
  background: transparent;
  padding: 5px 11px;
  font:
    400 14.5px/1.2 'Newsreader',
    serif;
  cursor: pointer;
  &[aria-current='true'] {
    background: #161616;
    color: #fff;
    border-color: #161616;
  }
`;

interface SizePickerProps {
  path: string;
  sizes: { key: string; label: string; note?: string }[];
  picked: string | null;
}

/** The sizes on offer, one of them under the hand. */
export function SizePicker({ path, sizes, picked }: SizePickerProps) {
  const router = useRouter();
  return (
    <Row aria-label="Sizes on offer">
      {sizes.map((s) => (
        <Tab
          key={s.key}
          type="button"
          aria-current={s.key === picked}
          onClick={() =>
            router.push(
              `${path}${path.includes('?') ? '&' : '?'}size=${encodeURIComponent(s.key)}`,
            )
          }
        >
          {s.label}
          {s.note && (
            <span style={{ fontSize: 12, fontFamily: 'Commissioner' }}> {s.note}</span>
          )}
        </Tab>
      ))}
    </Row>
  );
}

/** What a station says when no size is on offer yet. */
export const NoSizes = ({ workId }: { workId: number }) => (
  <Empty title="No size is on offer yet">
    <p>This station works on a size that is offered. Choose one first.</p>
    <ButtonLink href={`/works/${workId}/size`}>Choose sizes</ButtonLink>
  </Empty>
);
