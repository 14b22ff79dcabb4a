import type { ComponentProps } from 'react';
import { TextField } from './field';

type Props = Omit<ComponentProps<typeof TextField>, 'label' | 'type' | 'autoComplete' | 'hint'> & {
  label?: string;
  /** a password to choose, rather than the one in use */
  fresh?: boolean;
};

/** A password: the one in use, or a new one. */
export function PasswordField({ label = 'Password', fresh = false, ...rest }: Props) {
  return (
    <TextField
      label={label}
      type="password"
      autoComplete={fresh ? 'new-password' : 'current-password'}
      hint={fresh ? '10 characters or more' : undefined}
      {...rest}
    />
  );
}
