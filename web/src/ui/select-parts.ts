import clsx from 'clsx';
import type { Ref } from 'react';
import { fieldLook } from './field';

/** Values with their words; '' stands for none. */
export type Options = readonly (readonly [value: string, words: string])[];

export interface SelectProps {
  value: string;
  onChange: (value: string) => void;
  options: Options;
  /** if no label precedes it */
  'aria-label'?: string;
  id?: string;
  'aria-describedby'?: string | undefined;
  'aria-invalid'?: boolean;
  disabled?: boolean | undefined;
  /** as wide as its words */
  narrow?: boolean;
  /** focused when its value is refused */
  ref?: Ref<HTMLElement>;
}

/** Style of a closed list field. */
export const triggerLook = (narrow: boolean | undefined): string =>
  clsx(fieldLook, 'flex cursor-pointer items-center justify-between gap-2 text-left', !narrow && 'w-full');

export const wordsOfChosen = (options: Options, value: string): string => options.find(([v]) => v === value)?.[1] ?? '';
