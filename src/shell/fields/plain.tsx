'use client';
import type { ComponentProps } from 'react';

/*
 * The platform's own pieces. Rooms take them from here and from nowhere else, so that what is
 * true of one (its keys, its name, what it looks like) can be made true of all in one place.
 */

/** One of a list. */
export const Choose = (props: ComponentProps<'select'>) => <select {...props} />;

/** On or off. */
export const Tick = (props: Omit<ComponentProps<'input'>, 'type'>) => (
  <input type="checkbox" {...props} />
);

/** A figure that is slid. */
export const Slide = (props: Omit<ComponentProps<'input'>, 'type'>) => (
  <input type="range" {...props} />
);

/** A line that is typed. */
export const Line = (props: ComponentProps<'input'>) => <input {...props} />;
