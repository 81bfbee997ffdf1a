'use client';
import { X } from 'lucide-react';
import { useState } from 'react';
import type { Ref } from 'react';
import { Button, Input, Tag, TagGroup, TagList, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { Box } from './fieldParts';

const Held = styled(Box)`
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  padding: 3px 5px;
  .react-aria-TagGroup,
  .react-aria-TagList {
    display: contents;
  }
  .react-aria-TextField {
    flex: 1;
    min-width: 90px;
  }
  input {
    padding: 3px 2px;
  }
`;

const Piece = styled(Tag)`
  display: inline-flex;
  align-items: center;
  gap: 4px;
  max-width: 100%;
  padding: 2px 3px 2px 7px;
  font-size: 12.5px;
  background: #e4e4e4;
  color: #161616;
  border: 1px solid #8d8d8d;
  overflow-wrap: anywhere;
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
  button {
    appearance: none;
    border: 0;
    background: none;
    padding: 2px;
    display: grid;
    color: inherit;
    cursor: pointer;
  }
`;

/**
 * Several short things in one field: each stands as a piece that can be taken out (Delete, or its
 * cross), and what is typed becomes one with Enter, or when the field is left.
 */
export function Tags({
  label,
  value,
  split,
  onChange,
  onBlur,
  isInvalid = false,
  inputRef,
}: {
  label: string;
  value: readonly string[];
  /** How what was typed falls into pieces. */
  split: (typed: string) => string[];
  onChange: (pieces: string[]) => void;
  onBlur?: () => void;
  isInvalid?: boolean;
  inputRef?: Ref<HTMLInputElement>;
}) {
  const [typed, setTyped] = useState('');
  const take = () => {
    const more = split(typed)
      .map((piece) => piece.trim())
      .filter(Boolean);
    if (more.length > 0) onChange([...value, ...more]);
    setTyped('');
  };
  const pieces = value.map((piece, i) => ({ id: `${i}`, piece }));
  return (
    <Held>
      {pieces.length > 0 && (
        <TagGroup
          aria-label={label}
          onRemove={(keys) => onChange(value.filter((_, i) => !keys.has(`${i}`)))}
        >
          <TagList items={pieces}>
            {({ id, piece }) => (
              <Piece key={id} id={id} textValue={piece}>
                {piece}
                <Button slot="remove" aria-label={`Take out ${piece}`}>
                  <X size={12} aria-hidden />
                </Button>
              </Piece>
            )}
          </TagList>
        </TagGroup>
      )}
      <TextField
        aria-label={label}
        value={typed}
        onChange={setTyped}
        isInvalid={isInvalid}
        validationBehavior="aria"
        onBlur={() => {
          take();
          onBlur?.();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && typed.trim() !== '') {
            event.preventDefault();
            take();
          } else if (event.key === 'Backspace' && typed === '' && value.length > 0)
            onChange(value.slice(0, -1));
          else event.continuePropagation();
        }}
      >
        <Input ref={inputRef ?? null} />
      </TextField>
    </Held>
  );
}
