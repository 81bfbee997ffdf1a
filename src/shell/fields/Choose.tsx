'use client';
import { ChevronDown } from 'lucide-react';
import { Button, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { Combo } from './Combo';
import { OptionList, keyOf, valueOf } from './OptionList';
import type { ChooseProps } from './chooseProps';
import { boxCss } from './box';

/** So many are looked over; among more of them one searches. */
const LOOKED_OVER = 12;

const Face = styled(Button)`
  ${boxCss}
  appearance: none;
  display: flex;
  align-items: center;
  gap: 4px;
  width: 100%;
  padding: 5px 5px 5px 7px;
  font: inherit;
  text-align: left;
  cursor: pointer;
  > span {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  svg {
    flex: none;
  }
`;

/** One of a list: a few are looked over, many are searched. */
export const Choose = ({ label, value, options, onChange, ...rest }: ChooseProps) => {
  if (options.length > LOOKED_OVER)
    return <Combo {...{ label, value, options, onChange, ...rest }} />;
  const { isInvalid, isDisabled, style, focusRef, onBlur } = rest;
  return (
    <Select
      aria-label={label}
      value={keyOf(value)}
      onChange={(key) => key !== null && onChange(valueOf(key))}
      placeholder="choose"
      validationBehavior="aria"
      {...(isInvalid ? { isInvalid } : {})}
      {...(isDisabled ? { isDisabled } : {})}
      style={{ minWidth: 0, ...style }}
    >
      <Face
        ref={focusRef}
        {...(onBlur ? { onBlur } : {})}
        data-invalid={isInvalid || undefined}
      >
        <SelectValue />
        <ChevronDown size={14} aria-hidden />
      </Face>
      <OptionList options={options} />
    </Select>
  );
};
