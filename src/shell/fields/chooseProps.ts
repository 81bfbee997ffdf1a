import type { CSSProperties, Ref } from 'react';
import type { Options } from './OptionList';

/** What a list of choices needs, however it is laid open. */
export interface ChooseProps {
  /** What is chosen; said, not shown: a label beside it is the caller's. */
  label: string;
  value: string;
  options: Options;
  onChange: (value: string) => void;
  isInvalid?: boolean;
  isDisabled?: boolean;
  style?: CSSProperties;
  /** What takes the focus. */
  focusRef?: Ref<HTMLButtonElement & HTMLInputElement>;
  onBlur?: () => void;
}
