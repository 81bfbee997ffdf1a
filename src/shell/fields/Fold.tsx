'use client';
import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';

const Face = styled(Disclosure)`
  h3 {
    margin: 0;
    font: inherit;
  }
  h3 button {
    appearance: none;
    border: 0;
    background: none;
    padding: 3px 0;
    display: flex;
    align-items: center;
    gap: 5px;
    font:
      500 12.5px/1.3 'Commissioner',
      sans-serif;
    color: var(--soft);
    cursor: pointer;
    text-align: left;
  }
  h3 svg {
    flex: none;
    transition: rotate 0.12s;
  }
  &[data-expanded] > h3 svg {
    rotate: 90deg;
  }
`;

const Inside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 9px;
  padding-top: 5px;
  > button {
    justify-self: start;
  }
`;

/** Something that is unfolded when it is wanted. */
export const Fold = ({
  title,
  children,
  open,
  onOpen,
}: {
  title: ReactNode;
  children: ReactNode;
  open?: boolean;
  onOpen?: (open: boolean) => void;
}) => (
  <Face
    {...(open === undefined ? {} : { isExpanded: open })}
    {...(onOpen ? { onExpandedChange: onOpen } : {})}
  >
    <Heading level={3}>
      <Button slot="trigger">
        <ChevronRight size={13} aria-hidden />
        {title}
      </Button>
    </Heading>
    <DisclosurePanel>
      <Inside>{children}</Inside>
    </DisclosurePanel>
  </Face>
);
