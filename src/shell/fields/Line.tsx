'use client';
import type { CSSProperties, KeyboardEvent } from 'react';
import { Input, TextField } from 'react-aria-components';
import styled from 'styled-components';
import { boxCss } from './box';

const Face = styled(Input)<{ $figure: boolean }>`
  ${boxCss}
  width: 100%;
  min-width: 0;
  padding: 4px 6px;
  font: inherit;
  text-align: ${({ $figure }) => ($figure ? 'right' : 'left')};
`;

/** A line that is typed and holds at once. */
export const Line = ({
  label,
  value,
  onChange,
  isInvalid = false,
  figure = false,
  whole = false,
  style,
  onKeyDown,
  onBlur,
}: {
  label: string;
  value: string;
  onChange: (typed: string) => void;
  isInvalid?: boolean;
  /** A figure: set to the right, with the keys for figures on a glass. */
  figure?: boolean;
  /** Whole figures only. */
  whole?: boolean;
  style?: CSSProperties;
  onKeyDown?: (event: KeyboardEvent) => void;
  onBlur?: () => void;
}) => (
  <TextField
    aria-label={label}
    value={value}
    onChange={onChange}
    isInvalid={isInvalid}
    validationBehavior="aria"
    style={style ?? { width: '100%' }}
    {...(onBlur ? { onBlur } : {})}
  >
    <Face
      $figure={figure}
      autoComplete="off"
      inputMode={whole ? 'numeric' : figure ? 'decimal' : 'text'}
      {...(onKeyDown ? { onKeyDown } : {})}
    />
  </TextField>
);
