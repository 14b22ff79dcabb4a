import type { ReactNode } from 'react';
import { get, useFormContext } from 'react-hook-form';
import { Unfold } from './unfold';

interface Props {
  title: string;
  /** what is set in it, in a few words */
  says: string;
  /** its fields: it stands open while one of them is wrong */
  fields: readonly string[];
  children: ReactNode;
}

/** A closed part of a long form: its line tells what is set, a touch opens it. */
export function FormGroup({ title, says, fields, children }: Props) {
  const { errors } = useFormContext().formState;
  const wrong = fields.some((name) => get(errors, name) !== undefined);
  return (
    <Unfold
      look="card"
      held={wrong}
      title={
        <span className="min-w-0 grow">
          {title} <span className="font-normal text-soft">{says}</span>
        </span>
      }
    >
      {() => (
        <fieldset className="px-4 pt-3 pb-4">
          <legend className="sr-only">{title}</legend>
          <div className="grid gap-4 sm:grid-cols-2">{children}</div>
        </fieldset>
      )}
    </Unfold>
  );
}
