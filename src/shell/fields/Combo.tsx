'use client';
import { ChevronDown } from 'lucide-react';
import type { CSSProperties, Ref } from 'react';
import { Button, ComboBox, Input } from 'react-aria-components';
import styled from 'styled-components';
import type { ChooseProps } from './chooseProps';
import { FoundList, keyOf, rowsOf, valueOf } from './OptionList';
import { boxCss } from './box';

/** Beyond this the list draws only the lines in sight. */
const DRAWN = 60;

const Face = styled.span`
  ${boxCss}
  display: flex;
  width: 100%;
  align-items: center;
  input {
    flex: 1;
    min-width: 0;
    border: 0;
    background: transparent;
    padding: 5px 0 5px 7px;
    font: inherit;
    color: inherit;
    text-overflow: ellipsis;
  }
  button {
    appearance: none;
    border: 0;
    background: none;
    padding: 4px 5px;
    display: grid;
    cursor: pointer;
    color: inherit;
  }
  &:focus-within {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
  input:focus-visible {
    outline: none;
  }
`;

const Opened = ({
  label,
  invalid,
  focusRef,
}: {
  label: string;
  invalid: boolean;
  focusRef?: Ref<HTMLInputElement> | undefined;
}) => (
  <Face data-invalid={invalid || undefined}>
    <Input
      ref={focusRef}
      autoComplete="off"
      // What is chosen gives way to what is searched.
      onFocus={(e) => e.currentTarget.select()}
    />
    <Button aria-label={`${label}: the list`}>
      <ChevronDown size={14} aria-hidden />
    </Button>
  </Face>
);

/** One of many: what is typed narrows the list; left without a choice, the one before stays. */
export const Combo = ({
  label,
  value,
  options,
  onChange,
  isInvalid = false,
  isDisabled = false,
  style,
  focusRef,
  onBlur,
}: ChooseProps) => (
  <ComboBox
    aria-label={label}
    defaultItems={rowsOf(options)}
    // Another list is another box: what was typed into the old one is let go.
    key={options.length}
    value={options.some(([v]) => v === value) ? keyOf(value) : null}
    onChange={(key) => key !== null && onChange(valueOf(key))}
    menuTrigger="input"
    validationBehavior="aria"
    isInvalid={isInvalid}
    isDisabled={isDisabled}
    {...(style ? { style } : {})}
    {...(onBlur ? { onBlur } : {})}
  >
    <Opened label={label} invalid={isInvalid} focusRef={focusRef} />
    <FoundList virtual={options.length > DRAWN} />
  </ComboBox>
);

/** Words that are typed, with those offered that are often meant. */
export const Offered = ({
  label,
  value,
  offered,
  onChange,
  onBlur,
  isInvalid = false,
  style,
  focusRef,
}: {
  label: string;
  value: string;
  offered: readonly string[];
  onChange: (words: string) => void;
  onBlur?: () => void;
  isInvalid?: boolean;
  style?: CSSProperties;
  focusRef?: Ref<HTMLInputElement>;
}) => (
  <ComboBox
    aria-label={label}
    allowsCustomValue
    defaultItems={rowsOf(offered.map((o) => [o, o] as const))}
    inputValue={value}
    onInputChange={onChange}
    menuTrigger="input"
    validationBehavior="aria"
    isInvalid={isInvalid}
    {...(style ? { style } : {})}
    {...(onBlur ? { onBlur } : {})}
  >
    <Opened label={label} invalid={isInvalid} focusRef={focusRef} />
    <FoundList virtual={offered.length > DRAWN} />
  </ComboBox>
);
