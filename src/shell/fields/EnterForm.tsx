'use client';
import type { CSSProperties, ReactNode } from 'react';

interface EnterFormProps {
  /** What Enter does, as the press does. */
  onEnter: () => void;
  /** The press is elsewhere: what Enter does is said for those who do not see. */
  verb?: string;
  className?: string;
  style?: CSSProperties;
  children: ReactNode;
}

/**
 * Fields that Enter sends. Like all forms here it never leaves the page by itself (method
 * dialog): Enter pressed before the page is alive must not lose what was typed.
 */
export const EnterForm = ({ onEnter, verb, children, ...rest }: EnterFormProps) => (
  <form
    method="dialog"
    onSubmit={(e) => {
      e.preventDefault();
      onEnter();
    }}
    {...rest}
  >
    {children}
    {verb && (
      <button type="submit" className="sr" tabIndex={-1} aria-hidden>
        {verb}
      </button>
    )}
  </form>
);
