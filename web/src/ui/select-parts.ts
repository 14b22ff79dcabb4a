import clsx from 'clsx';
import type { Ref } from 'react';
import { fieldLook } from './field';

/** Values and the words for them; '' stands for none. */
export type Options = readonly (readonly [value: string, words: string])[];

export interface SelectProps {
  value: string;
  onChange: (value: string) => void;
  options: Options;
  /** where no label stands before it */
  'aria-label'?: string;
  id?: string;
  'aria-describedby'?: string | undefined;
  'aria-invalid'?: boolean;
  disabled?: boolean | undefined;
  /** as wide as its words, not as the room it has */
  narrow?: boolean;
  /** where the form goes when its value is refused */
  ref?: Ref<HTMLElement>;
}

/** How the field of a list looks while it is closed. */
export const triggerLook = (narrow: boolean | undefined): string =>
  clsx(fieldLook, 'flex cursor-pointer items-center justify-between gap-2 text-left', !narrow && 'w-full');

export const wordsOfChosen = (options: Options, value: string): string => options.find(([v]) => v === value)?.[1] ?? '';
